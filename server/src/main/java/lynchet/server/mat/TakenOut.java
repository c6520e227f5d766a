package lynchet.server.mat;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import lynchet.core.mat.Attendance;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** The trail of corrections: who was taken out of a class again, when and by whom. */
@Service
public class TakenOut {

    private final JdbcTemplate jdbc;

    TakenOut(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Somebody who was down as there and is no more.
     *
     * @param id of the attendance that went
     * @param by who had taken it
     */
    public record Gone(
            String id,
            String student,
            String classId,
            @Nullable Instant at,
            @Nullable String by,
            Instant goneAt,
            @Nullable String goneBy) {}

    /** Writes it down in the caller's transaction; an id that came back and went once more is written again. */
    void add(Attendance there, Instant goneAt, String goneBy) {
        jdbc.update("delete from attendance_gone where id = ?", there.id());
        jdbc.update(
                "insert into attendance_gone (id, student, class_id, at, by_account, gone_at, gone_by)"
                        + " values (?, ?, ?, ?, ?, ?, ?)",
                there.id(),
                there.student(),
                there.classId(),
                there.at() == null ? null : there.at().atOffset(ZoneOffset.UTC),
                there.by(),
                goneAt.atOffset(ZoneOffset.UTC),
                goneBy);
    }

    /** Of one class, the latest last. */
    public List<Gone> of(String classId) {
        return jdbc.query(
                "select id, student, class_id, at, by_account, gone_at, gone_by from attendance_gone"
                        + " where class_id = ? order by gone_at, id",
                (row, n) -> new Gone(
                        row.getString(1),
                        row.getString(2),
                        row.getString(3),
                        row.getObject(4) == null
                                ? null
                                : row.getObject(4, OffsetDateTime.class).toInstant(),
                        row.getString(5),
                        row.getObject(6, OffsetDateTime.class).toInstant(),
                        row.getString(7)),
                classId);
    }
}

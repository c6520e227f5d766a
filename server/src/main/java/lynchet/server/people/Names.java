package lynchet.server.people;

import java.sql.Date;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.Restriction;
import lynchet.core.people.Student;
import lynchet.server.keep.Remembered;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everybody by name, as little of each as finding and checking in need; remembered until somebody changes. */
@Service
public class Names {

    private final StudentStore students;
    private final JdbcTemplate jdbc;
    private final Remembered<List<NameRow>> slim = new Remembered<>();

    /** One of them as they are kept; only those with a limit are read whole. */
    private record NameRow(
            String id,
            String name,
            String calledBy,
            @Nullable String card,
            List<String> tracks,
            Student.@Nullable Guest guest,
            @Nullable Student limited) {}

    Names(StudentStore students, JdbcTemplate jdbc) {
        this.students = students;
        this.jdbc = jdbc;
        students.onChange(slim::changed);
    }

    /**
     * Somebody.
     *
     * @param limits what must not be done with them today; nothing for a viewer
     * @param step where they are on a way back: its step in words; nothing for a viewer
     * @param guest where they only visit
     */
    record Name(
            String id,
            String name,
            String calledBy,
            @Nullable String card,
            List<String> tracks,
            Collection<Restriction.Kind> limits,
            @Nullable String step,
            Student.@Nullable Guest guest) {}

    @Transactional(readOnly = true)
    List<Name> all(LocalDate today, boolean open) {
        return slim.get(() -> read(today)).stream()
                .map(one -> new Name(
                        one.id(),
                        one.name(),
                        one.calledBy(),
                        one.card(),
                        one.tracks(),
                        open || one.limited() == null
                                ? List.of()
                                : one.limited().limitsOn(today),
                        open || one.limited() == null
                                ? null
                                : one.limited().stepOn(today).orElse(null),
                        one.guest()))
                .toList();
    }

    private List<NameRow> read(LocalDate today) {
        Map<String, List<String>> tracks = new HashMap<>();
        jdbc.query(
                "select thing, pointed from points_at where part = ? and target = ? order by thing, pointed",
                row -> {
                    tracks.computeIfAbsent(row.getString(1), id -> new ArrayList<>())
                            .add(row.getString(2));
                },
                Parts.PEOPLE.name(),
                Target.TRACK.name());
        Map<String, Student> limited = students.find(jdbc.queryForList(
                "select id from student where left_on is null and limited_until >= ?",
                String.class,
                Date.valueOf(today)));
        List<NameRow> all = jdbc.query(
                "select id, name, called_by, card, falls_known from student where left_on is null", (row, n) -> {
                    boolean falls = row.getBoolean(5);
                    Student.Guest guest = row.wasNull() ? null : new Student.Guest(falls);
                    String id = row.getString(1);
                    return new NameRow(
                            id,
                            row.getString(2),
                            row.getString(3),
                            row.getString(4),
                            List.copyOf(tracks.getOrDefault(id, List.of())),
                            guest,
                            limited.get(id));
                });
        all.sort(Comparator.comparing(NameRow::name).thenComparing(NameRow::id));
        return List.copyOf(all);
    }
}

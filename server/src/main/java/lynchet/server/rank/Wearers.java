package lynchet.server.rank;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.people.HeldRank;
import lynchet.core.people.SyllabusMove;
import lynchet.core.rank.Ladder;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Who wears the ranks of a ladder, and which version of its syllabus is asked of them. */
@Component
class Wearers {

    private final JdbcTemplate jdbc;

    Wearers(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * One of them.
     *
     * @param version which of the ladder's syllabuses is asked of them, 0 the oldest
     * @param own which it would be if nobody had moved them
     */
    record Wearer(String student, String name, String calledBy, HeldRank held, int version, int own) {}

    /**
     * Those of a ladder who train here, in order of name.
     *
     * @param rank only those who wear this one; null: all
     */
    List<Wearer> of(Ladder ladder, @Nullable String rank) {
        List<Object> values = new ArrayList<>(List.of(ladder.id()));
        if (rank != null) {
            values.add(rank);
        }
        List<Wearer> all = new ArrayList<>();
        jdbc.query(
                "select s.id, s.name, s.called_by, s.joined, l.rank_id, l.stripes, l.since, l.from_before, m.to_day"
                        + " from student_ladder l join student s on s.id = l.student"
                        + " left join syllabus_move m on m.student = l.student and m.ladder = l.ladder"
                        + " and m.held_rank = l.rank_id where l.ladder = ?" + (rank == null ? "" : " and l.rank_id = ?")
                        + " and s.left_on is null order by s.name, s.id",
                row -> {
                    HeldRank held = new HeldRank(
                            ladder.id(),
                            row.getString(5),
                            row.getInt(6),
                            row.getObject(7, LocalDate.class),
                            row.getBoolean(8));
                    LocalDate joined = row.getObject(4, LocalDate.class);
                    all.add(new Wearer(
                            row.getString(1),
                            row.getString(2),
                            row.getString(3),
                            held,
                            ladder.versionOn(SyllabusMove.day(held, joined, row.getObject(9, LocalDate.class))),
                            ladder.versionOn(SyllabusMove.day(held, joined, null))));
                },
                values.toArray());
        return all;
    }
}

package lynchet.server.people;

import java.sql.Date;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Readiness;
import lynchet.core.rank.Ladder;
import lynchet.server.keep.Sql;
import org.springframework.jdbc.core.JdbcTemplate;

/** Since when somebody has the classes for the next rank. */
final class ClassesMet {

    private final JdbcTemplate jdbc;

    ClassesMet(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** The day on which the classes for the next rank were there, of somebody who has them. */
    LocalDate day(Readiness.Question asked) {
        Ladder ladder = asked.ladder();
        HeldRank held = asked.state().ladders().get(ladder.id()).held();
        int need = ladder.policy().classesForRank(ladder.rank(held.rank()).orElseThrow())
                - (held.fromBefore() ? asked.student().priorClasses() : 0)
                - (ladder.policy().seminars() ? asked.besides().seminars() : 0);
        if (need <= 0) {
            return held.since();
        }
        List<Object> values = new ArrayList<>(List.of(asked.student().id(), Date.valueOf(held.since())));
        values.addAll(ladder.tracks());
        values.add(need - 1);
        String tracks = ladder.tracks().isEmpty()
                ? ""
                : " and c.track in (" + Sql.marks(ladder.tracks().size()) + ")";
        String once = ladder.policy().oneClassADay() ? " group by a.class_date" : "";
        return jdbc
                .queryForList(
                        "select a.class_date from attendance a join training_class c on c.id = a.class_id"
                                + " where a.student = ? and a.class_date >= ? and c.cancelled = false" + tracks + once
                                + " order by a.class_date offset ? rows fetch first 1 row only",
                        Date.class,
                        values.toArray())
                .stream()
                .map(Date::toLocalDate)
                .findFirst()
                .orElse(asked.today());
    }
}

package lynchet.server.people;

import jakarta.persistence.EntityManager;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Parts;
import lynchet.core.people.Ask;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what students asked to work on. */
@Service
class AskStore extends BodyRecords<Ask, AskRow> {

    private final JdbcTemplate jdbc;

    AskStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.ASKS, AskRow.class, AskRow::new, null);
        this.jdbc = jdbc;
    }

    /** What one student asked, what waits first, then the latest. */
    @Transactional(readOnly = true)
    List<Ask> of(String student) {
        return core(entities()
                        .createQuery(from() + "where r.student = :student", AskRow.class)
                        .setParameter("student", student)
                        .getResultList())
                .stream()
                .sorted(Comparator.comparing((Ask ask) -> ask.done() != null)
                        .thenComparing(Ask::on, Comparator.reverseOrder())
                        .thenComparing(Ask::id))
                .toList();
    }

    /** What those who train on a track wait for, the oldest first. */
    @Transactional(readOnly = true)
    List<Ask> waitingOn(String track, int most) {
        List<String> ids = jdbc.queryForList(
                "select a.id from ask a join student s on s.id = a.student"
                        + " join points_at p on p.part = 'people' and p.thing = a.student and p.target = 'TRACK'"
                        + " where p.pointed = ? and a.done_on is null and s.left_on is null order by a.asked_on, a.id"
                        + " limit ?",
                String.class,
                track,
                most);
        Map<String, Ask> found = find(ids);
        return ids.stream().map(found::get).toList();
    }
}

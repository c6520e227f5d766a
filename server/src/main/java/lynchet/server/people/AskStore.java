package lynchet.server.people;

import jakarta.persistence.EntityManager;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.Ask;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what students asked to work on. */
@Service
class AskStore extends BodyRecords<Ask, AskRow> {

    AskStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.ASKS, AskRow.class, AskRow::new, null);
    }

    /** What one student asked, what waits first, then the latest. */
    @Transactional(readOnly = true)
    List<Ask> of(String student) {
        return core(entities()
                        .createQuery(from() + "where r.student = :student", AskRow.class)
                        .setParameter("student", student)
                        .getResultList())
                .stream()
                .sorted(java.util.Comparator.comparing((Ask ask) -> ask.done() != null)
                        .thenComparing(Ask::on, java.util.Comparator.reverseOrder())
                        .thenComparing(Ask::id))
                .toList();
    }

    /** What those who train on a track wait for, the oldest first. */
    @Transactional(readOnly = true)
    List<Ask> waitingOn(String track, int most) {
        return core(entities()
                        .createQuery(
                                from() + "where r.doneOn is null and r.student in (select s.id from StudentRow s"
                                        + " where s.leftOn is null)",
                                AskRow.class)
                        .getResultList())
                .stream()
                .filter(ask -> isOn(track, ask.student()))
                .sorted(java.util.Comparator.comparing(Ask::on).thenComparing(Ask::id))
                .limit(most)
                .toList();
    }

    private boolean isOn(String track, String student) {
        return !entities()
                .createNativeQuery(
                        "select 1 from points_at where part = 'people' and thing = ? and target = ? and pointed = ?")
                .setParameter(1, student)
                .setParameter(2, Target.TRACK.name())
                .setParameter(3, track)
                .getResultList()
                .isEmpty();
    }
}

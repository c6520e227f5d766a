package lynchet.server.safety;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.safety.Incident;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what happened to whom on the mat. */
@Service
public class IncidentStore extends BodyRecords<Incident, IncidentRow> {

    IncidentStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.INCIDENTS, IncidentRow.class, IncidentRow::new, null);
    }

    /** What happened to one student, the latest first. */
    @Transactional(readOnly = true)
    public List<Incident> of(String student) {
        return core(entities()
                .createQuery(from() + "where r.student = :student order by r.happenedOn desc, r.id", IncidentRow.class)
                .setParameter("student", student)
                .getResultList());
    }

    /** What happened from a day to a day, the latest first. */
    @Transactional(readOnly = true)
    List<Incident> between(LocalDate from, LocalDate to, int most) {
        return core(entities()
                .createQuery(
                        from() + "where r.happenedOn between :from and :to order by r.happenedOn desc, r.id",
                        IncidentRow.class)
                .setParameter("from", from)
                .setParameter("to", to)
                .setMaxResults(most)
                .getResultList());
    }
}

package lynchet.server.mat;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.mat.Start;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps starts of positional rounds. */
@Service
class StartStore extends BodyRecords<Start, StartRow> {

    StartStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.STARTS, StartRow.class, StartRow::new, null);
    }

    /** Those of a class, in the order they were counted. */
    @Transactional(readOnly = true)
    List<Start> ofClass(String classId) {
        return core(entities()
                .createQuery(from() + "where r.classId = :class order by r.at, r.id", StartRow.class)
                .setParameter("class", classId)
                .getResultList());
    }

    /** Those from a position since a moment, the latest first. */
    @Transactional(readOnly = true)
    List<Start> from(String position, Instant since, int most) {
        return core(entities()
                .createQuery(
                        from() + "where r.position = :position and r.at >= :since order by r.at desc, r.id",
                        StartRow.class)
                .setParameter("position", position)
                .setParameter("since", since)
                .setMaxResults(most)
                .getResultList());
    }
}

package lynchet.server.grading;

import jakarta.persistence.EntityManager;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.grading.Grading;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** Keeps the gradings. */
@Service
class GradingStore extends BodyRecords<Grading, GradingRow> {

    GradingStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.GRADINGS, GradingRow.class, GradingRow::new, Target.GRADING);
    }
}

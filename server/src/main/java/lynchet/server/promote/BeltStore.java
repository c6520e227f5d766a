package lynchet.server.promote;

import jakarta.persistence.EntityManager;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.promote.Belt;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what is in the cupboard. */
@Service
class BeltStore extends BodyRecords<Belt, BeltRow> {

    private static final int MOST = 1000;

    BeltStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.BELTS, BeltRow.class, BeltRow::new, null);
    }

    /** What is there: kinds, not belts, so there are few. */
    @Transactional(readOnly = true)
    List<Belt> cupboard() {
        return core(entities()
                .createQuery(from() + "order by r.id", BeltRow.class)
                .setMaxResults(MOST)
                .getResultList());
    }
}

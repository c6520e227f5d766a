package lynchet.server.promote;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.promote.Nomination;
import lynchet.server.keep.BodyRecords;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps who is put forward. */
@Service
class NominationStore extends BodyRecords<Nomination, NominationRow> {

    NominationStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, jdbc, Parts.NOMINATIONS, NominationRow.class, NominationRow::new, null);
    }

    /** Those of a ladder at a window. */
    @Transactional(readOnly = true)
    List<Nomination> at(String ladder, LocalDate window) {
        return core(entities()
                .createQuery(
                        from() + "where r.ladder = :ladder and r.windowOn = :window order by r.id", NominationRow.class)
                .setParameter("ladder", ladder)
                .setParameter("window", window)
                .getResultList());
    }
}

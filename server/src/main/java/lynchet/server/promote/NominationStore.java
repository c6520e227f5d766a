package lynchet.server.promote;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.promote.Nomination;
import lynchet.server.keep.PartStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps who is put forward. */
@Service
class NominationStore extends PartStore<Nomination, NominationRow> {

    NominationStore(EntityManager entities) {
        super(entities, Parts.NOMINATIONS, NominationRow.class, NominationRow::new);
    }

    /** Those of a ladder at a window, in the order they were said. */
    @Transactional(readOnly = true)
    List<Nomination> at(String ladder, LocalDate window) {
        return core(entities()
                .createQuery(
                        from() + "where r.ladder = :ladder and r.windowOn = :window order by r.at, r.id",
                        NominationRow.class)
                .setParameter("ladder", ladder)
                .setParameter("window", window)
                .getResultList());
    }

    @Override
    @Transactional(readOnly = true)
    public List<Nomination> pointingAt(Target target, Collection<String> ids, int most) {
        String where =
                switch (target) {
                    case LADDER -> "r.ladder in :ids";
                    case RANK_OF_LADDER -> "concat(r.ladder, '/', r.heldRank) in :ids";
                    default -> null;
                };
        if (where == null) {
            return List.of();
        }
        return core(entities()
                .createQuery(from() + "where " + where, NominationRow.class)
                .setParameter("ids", ids)
                .setMaxResults(most)
                .getResultList());
    }
}

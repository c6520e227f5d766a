package lynchet.server.mat;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.util.Collection;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.mat.Tally;
import lynchet.server.keep.RowStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the faults of the room. */
@Service
class TallyStore extends RowStore<Tally, TallyRow> {

    TallyStore(EntityManager entities) {
        super(entities, Parts.TALLIES, TallyRow.class, TallyRow::new);
    }

    /** Those of a class, in the order they were ticked. */
    @Transactional(readOnly = true)
    List<Tally> ofClass(String classId) {
        return core(entities()
                .createQuery(from() + "where r.classId = :class order by r.at, r.id", TallyRow.class)
                .setParameter("class", classId)
                .getResultList());
    }

    @Override
    @Transactional(readOnly = true)
    public List<Tally> pointingAt(Target target, Collection<String> ids, int most) {
        String where =
                switch (target) {
                    case CLASS -> "r.classId in :ids";
                    case TECHNIQUE -> "r.technique in :ids";
                    case FAULT -> "r.technique in :firsts and concat(r.technique, '/', r.fault) in :ids";
                    default -> null;
                };
        if (where == null) {
            return List.of();
        }
        TypedQuery<TallyRow> query = entities()
                .createQuery(from() + "where " + where, TallyRow.class)
                .setParameter("ids", ids);
        if (target == Target.FAULT) {
            query.setParameter("firsts", firsts(ids));
        }
        return core(query.setMaxResults(most).getResultList());
    }
}

package lynchet.server.mat;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.mat.PracticeEntry;
import lynchet.server.keep.RowStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was drilled in which class. */
@Service
class PracticeStore extends RowStore<PracticeEntry, PracticeRow> {

    PracticeStore(EntityManager entities) {
        super(entities, Parts.PRACTICE, PracticeRow.class, PracticeRow::new);
    }

    /** Those of a class, in the order they were logged. */
    @Transactional(readOnly = true)
    public List<PracticeEntry> ofClass(String classId) {
        return core(entities()
                .createQuery(from() + "where r.classId = :class order by r.at, r.id", PracticeRow.class)
                .setParameter("class", classId)
                .getResultList());
    }

    @Override
    @Transactional(readOnly = true)
    public List<PracticeEntry> pointingAt(Target target, Collection<String> ids, int most) {
        String field =
                switch (target) {
                    case CLASS -> "classId";
                    case TECHNIQUE -> "technique";
                    case CHAIN -> "chain";
                    default -> null;
                };
        return field == null
                ? List.of()
                : core(entities()
                        .createQuery(from() + "where r." + field + " in :ids", PracticeRow.class)
                        .setParameter("ids", ids)
                        .setMaxResults(most)
                        .getResultList());
    }
}

package lynchet.server.mat;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.mat.Credit;
import lynchet.server.keep.RowStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps practice from elsewhere that counts. */
@Service
public class CreditStore extends RowStore<Credit, CreditRow> {

    CreditStore(EntityManager entities) {
        super(entities, Parts.CREDITS, CreditRow.class, CreditRow::new);
    }

    /** Those of a student, in order of day. */
    @Transactional(readOnly = true)
    public List<Credit> of(String student) {
        return core(entities()
                .createQuery(from() + "where r.student = :student order by r.practisedOn, r.id", CreditRow.class)
                .setParameter("student", student)
                .getResultList());
    }

    @Override
    @Transactional(readOnly = true)
    public List<Credit> pointingAt(Target target, Collection<String> ids, int most) {
        if (target != Target.SUBJECT) {
            return List.of();
        }
        return core(entities()
                .createQuery(from() + "where r.subject in :ids", CreditRow.class)
                .setParameter("ids", ids)
                .setMaxResults(most)
                .getResultList());
    }
}

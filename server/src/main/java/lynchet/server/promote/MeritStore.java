package lynchet.server.promote;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.promote.Merit;
import lynchet.server.keep.RowStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what counts outside of the classes. */
@Service
public class MeritStore extends RowStore<Merit, MeritRow> {

    MeritStore(EntityManager entities) {
        super(entities, Parts.MERITS, MeritRow.class, MeritRow::new);
    }

    /** Those of a student, the latest first. */
    @Transactional(readOnly = true)
    public List<Merit> of(String student) {
        return core(entities()
                .createQuery(from() + "where r.student = :student order by r.onDay desc, r.id", MeritRow.class)
                .setParameter("student", student)
                .getResultList());
    }

    @Override
    @Transactional(readOnly = true)
    public List<Merit> pointingAt(Target target, Collection<String> ids, int most) {
        return target == Target.STUDENT
                ? ids.stream().flatMap(id -> of(id).stream()).limit(most).toList()
                : List.of();
    }
}

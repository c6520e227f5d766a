package lynchet.server.people;

import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.Promotion;
import lynchet.server.keep.PartStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the belts and stripes that were given. */
@Service
class PromotionStore extends PartStore<Promotion, PromotionRow> {

    PromotionStore(EntityManager entities) {
        super(entities, Parts.PROMOTIONS, PromotionRow.class, PromotionRow::new);
    }

    /** Those of a student, the oldest first. */
    @Transactional(readOnly = true)
    public List<Promotion> of(String student) {
        return core(entities()
                .createQuery(from() + "where r.student = :student order by r.givenOn, r.at, r.id", PromotionRow.class)
                .setParameter("student", student)
                .getResultList());
    }

    @Override
    @Transactional(readOnly = true)
    public List<Promotion> pointingAt(Target target, Collection<String> ids, int most) {
        String where =
                switch (target) {
                    case LADDER -> "r.ladder in :ids";
                    case RANK_OF_LADDER ->
                        "concat(r.ladder, '/', r.toRank) in :ids or concat(r.ladder, '/', r.fromRank) in :ids";
                    case GRADING -> "r.grading in :ids";
                    default -> null;
                };
        return where == null
                ? List.of()
                : core(entities()
                        .createQuery(from() + "where " + where, PromotionRow.class)
                        .setParameter("ids", ids)
                        .setMaxResults(most)
                        .getResultList());
    }
}

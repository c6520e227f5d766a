package lynchet.server.people;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.Promotion;
import lynchet.server.keep.RowStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the belts and stripes that were given. */
@Service
class PromotionStore extends RowStore<Promotion, PromotionRow> {

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

    /** Those of a ladder that were not said aloud yet and are no older than a day, and those said aloud since that day. */
    @Transactional(readOnly = true)
    List<Promotion> lately(String ladder, LocalDate since) {
        return core(entities()
                .createQuery(
                        from() + "where r.ladder = :ladder and r.fromBefore = false and (r.announced >= :since"
                                + " or r.announced is null and r.givenOn >= :since) order by r.givenOn, r.at, r.id",
                        PromotionRow.class)
                .setParameter("ladder", ladder)
                .setParameter("since", since)
                .getResultList());
    }

    @Override
    public boolean has(Target target, String id) {
        int slash = id.indexOf('/');
        return target == Target.PROMOTION
                && slash > 0
                && find(id.substring(slash + 1))
                        .filter(given -> given.student().equals(id.substring(0, slash)))
                        .isPresent();
    }

    @Override
    @Transactional(readOnly = true)
    public List<Promotion> pointingAt(Target target, Collection<String> ids, int most) {
        String where =
                switch (target) {
                    case LADDER -> "r.ladder in :ids";
                    case RANK_OF_LADDER ->
                        "r.ladder in :firsts and (concat(r.ladder, '/', r.toRank) in :ids"
                                + " or concat(r.ladder, '/', r.fromRank) in :ids)";
                    case GRADING -> "r.grading in :ids";
                    case PROMOTION -> "r.student in :firsts and concat(r.student, '/', r.corrects) in :ids";
                    default -> null;
                };
        if (where == null) {
            return List.of();
        }
        TypedQuery<PromotionRow> query = entities()
                .createQuery(from() + "where " + where, PromotionRow.class)
                .setParameter("ids", ids);
        if (where.contains(":firsts")) {
            query.setParameter("firsts", firsts(ids));
        }
        return core(query.setMaxResults(most).getResultList());
    }
}

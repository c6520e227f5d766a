package lynchet.server.mat;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.util.Collection;
import java.util.List;
import java.util.function.Consumer;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.mat.Mark;
import lynchet.server.keep.RowStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the marks. */
@Service
public class MarkStore extends RowStore<Mark, MarkRow> {

    MarkStore(EntityManager entities) {
        super(entities, Parts.MARKS, MarkRow.class, MarkRow::new);
    }

    /** Those of a student, the oldest first. */
    @Transactional(readOnly = true)
    public List<Mark> of(String student) {
        return core(entities()
                .createQuery(from() + "where r.student = :student order by r.at, r.id", MarkRow.class)
                .setParameter("student", student)
                .getResultList());
    }

    /** Hands on all of a student's, the oldest first; one that takes another back comes after it. */
    @Transactional(readOnly = true)
    public void inTime(String student, Consumer<Mark> to) {
        List<Mark> all = of(student);
        all.stream().filter(mark -> mark.withdraws() == null).forEach(to);
        all.stream().filter(mark -> mark.withdraws() != null).forEach(to);
    }

    @Override
    public boolean has(Target target, String id) {
        int slash = id.indexOf('/');
        return target == Target.MARK
                && slash > 0
                && find(id.substring(slash + 1))
                        .filter(mark -> mark.student().equals(id.substring(0, slash)))
                        .isPresent();
    }

    @Override
    @Transactional(readOnly = true)
    public List<Mark> pointingAt(Target target, Collection<String> ids, int most) {
        String field =
                switch (target) {
                    case CLASS -> "r.classId in :ids";
                    case SUBJECT -> "r.subject in :ids";
                    case VERSION -> "r.subject in :firsts and concat(r.subject, '/', r.version) in :ids";
                    case FAULT ->
                        "r.subject in :firsts"
                                + " and exists (select f from r.faults f where concat(r.subject, '/', f) in :ids)";
                    case MARK -> "r.student in :firsts and concat(r.student, '/', r.withdraws) in :ids";
                    default -> null;
                };
        if (field == null) {
            return List.of();
        }
        TypedQuery<MarkRow> query =
                entities().createQuery(from() + "where " + field, MarkRow.class).setParameter("ids", ids);
        if (field.contains(":firsts")) {
            query.setParameter("firsts", firsts(ids));
        }
        return core(query.setMaxResults(most).getResultList());
    }
}

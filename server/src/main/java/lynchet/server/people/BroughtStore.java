package lynchet.server.people;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Parts;
import lynchet.core.club.Target;
import lynchet.core.people.Brought;
import lynchet.server.keep.RowStore;
import lynchet.server.keep.Sql;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what people knew already when they came, with the breakfalls among it beside. */
@Service
class BroughtStore extends RowStore<Brought, BroughtRow> {

    private final JdbcTemplate jdbc;

    BroughtStore(EntityManager entities, JdbcTemplate jdbc) {
        super(entities, Parts.BROUGHT, BroughtRow.class, BroughtRow::new);
        this.jdbc = jdbc;
    }

    /** What is said of these people, in order of ladder. */
    @Transactional(readOnly = true)
    List<Brought> of(Collection<String> students) {
        List<Brought> all = new ArrayList<>();
        handfuls(
                List.copyOf(students),
                some -> all.addAll(core(entities()
                        .createQuery(from() + "where r.student in :students order by r.ladder", BroughtRow.class)
                        .setParameter("students", some)
                        .getResultList())));
        return all;
    }

    @Override
    public void add(List<Brought> things) {
        super.add(things);
        falls(things);
    }

    @Override
    public void change(List<Brought> things) {
        forget(things.stream().map(Brought::id).toList());
        super.change(things);
        falls(things);
    }

    @Override
    public void remove(Collection<String> ids) {
        forget(List.copyOf(ids));
        super.remove(ids);
    }

    private void falls(List<Brought> things) {
        List<Object[]> rows = things.stream()
                .flatMap(one -> one.falls().stream().map(fall -> new Object[] {one.id(), one.student(), fall}))
                .toList();
        handfuls(
                rows,
                some -> jdbc.batchUpdate("insert into brought_fall (brought, student, fall) values (?, ?, ?)", some));
    }

    private void forget(List<String> ids) {
        handfuls(
                ids,
                some -> jdbc.update(
                        "delete from brought_fall where brought in (" + Sql.marks(some.size()) + ")", some.toArray()));
    }

    /** Whom and what rank it names; of things it is looked for in the body, since it points at none of them. */
    @Override
    @Transactional(readOnly = true)
    public List<Brought> pointingAt(Target target, Collection<String> ids, int most) {
        Map<String, Brought> found = new LinkedHashMap<>();
        for (String id : ids) {
            String where =
                    switch (target) {
                        case STUDENT -> "where r.student = :id";
                        case LADDER -> "where r.ladder = :id";
                        case RANK_OF_LADDER -> "where concat(r.ladder, '/', r.below) = :id";
                        case SUBJECT -> "where locate(concat('\"', :id, '\"'), r.body) > 0";
                        default -> null;
                    };
            if (where != null) {
                core(entities()
                                .createQuery(from() + where, BroughtRow.class)
                                .setParameter("id", id)
                                .setMaxResults(most)
                                .getResultList())
                        .forEach(one -> found.put(one.id(), one));
            }
        }
        return List.copyOf(found.values());
    }

    @Override
    public Map<Brought, String> clashing(List<Brought> things) {
        Map<String, Brought> wanted = new HashMap<>();
        things.forEach(one -> wanted.put(one.student() + " " + one.ladder(), one));
        Map<Brought, String> clashes = new LinkedHashMap<>();
        of(things.stream().map(Brought::student).distinct().toList()).forEach(kept -> {
            Brought incoming = wanted.get(kept.student() + " " + kept.ladder());
            if (incoming != null && !incoming.id().equals(kept.id())) {
                clashes.put(incoming, "what they came with to " + kept.ladder() + " is said already, as " + kept.id());
            }
        });
        return clashes;
    }
}

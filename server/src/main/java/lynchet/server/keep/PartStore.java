package lynchet.server.keep;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Table;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import lynchet.core.club.Part;
import lynchet.core.club.Target;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps the things of one part of a club: one table, one kind of row. Everything that is the same for all parts is here;
 * a new part is one of these with a row of its own.
 */
public class PartStore<T, R extends Row<T>> {

    /** Rows written or read at a time; nothing is held beyond that. */
    public static final int HANDFUL = 500;

    private final EntityManager entities;
    private final Part<T> part;
    private final Class<R> rows;
    private final Function<T, R> row;

    public PartStore(EntityManager entities, Part<T> part, Class<R> rows, Function<T, R> row) {
        this.entities = entities;
        this.part = part;
        this.rows = rows;
        this.row = row;
    }

    public Part<T> part() {
        return part;
    }

    protected EntityManager entities() {
        return entities;
    }

    /** JPQL from this store's rows, called {@code r}. */
    protected String from() {
        return "select r from " + rows.getSimpleName() + " r ";
    }

    @Transactional(readOnly = true)
    public Optional<T> find(String id) {
        return Optional.ofNullable(entities.find(rows, id)).map(R::toCore);
    }

    /** The things with these ids, by id; what is not there is left out. */
    @Transactional(readOnly = true)
    public Map<String, T> find(Collection<String> ids) {
        Map<String, T> found = new HashMap<>();
        handfuls(List.copyOf(ids), some -> core(entities.createQuery(from() + "where r.id in :ids", rows)
                        .setParameter("ids", some)
                        .getResultList())
                .forEach(thing -> found.put(part.idOf(thing), thing)));
        return found;
    }

    /** Everything in order of id; only for parts that are no records. */
    @Transactional(readOnly = true)
    public List<T> all() {
        if (part.isRecord()) {
            throw new IllegalStateException("nobody reads all " + part.name() + " at once");
        }
        List<T> all = new ArrayList<>();
        each(all::add);
        return all;
    }

    /** Hands on everything in order of id, a handful at a time. */
    @Transactional(readOnly = true)
    public void each(Consumer<T> to) {
        String after = "";
        List<R> some;
        do {
            some = entities.createQuery(from() + "where r.id > :after order by r.id", rows)
                    .setParameter("after", after)
                    .setMaxResults(HANDFUL)
                    .getResultList();
            core(some).forEach(to);
            after = some.isEmpty() ? after : some.get(some.size() - 1).getId();
        } while (some.size() == HANDFUL);
    }

    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return entities.createQuery("select r.id from " + rows.getSimpleName() + " r", String.class)
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    /** Adds new things in the caller's transaction. */
    public void add(List<T> things) {
        handfuls(things, some -> {
            List<R> fresh = rows(some);
            fresh.forEach(entities::persist);
            entities.flush();
            fresh.forEach(entities::detach);
        });
    }

    /** New rows for new things. */
    protected List<R> rows(List<T> things) {
        return things.stream().map(row).toList();
    }

    /** Changes things that are there in the caller's transaction. */
    public void change(List<T> things) {
        handfuls(things, some -> {
            Map<String, T> byId = new HashMap<>();
            some.forEach(thing -> byId.put(part.idOf(thing), thing));
            List<R> kept = entities.createQuery(from() + "where r.id in :ids", rows)
                    .setParameter("ids", byId.keySet())
                    .getResultList();
            kept.forEach(one -> one.keep(byId.get(one.getId())));
            entities.flush();
            kept.forEach(entities::detach);
        });
    }

    /** Removes things in the caller's transaction; nothing points at them any more. */
    public void remove(Collection<String> ids) {
        handfuls(List.copyOf(ids), some -> {
            entities.createQuery(from() + "where r.id in :ids", rows)
                    .setParameter("ids", some)
                    .getResultList()
                    .forEach(entities::remove);
            entities.flush();
        });
    }

    /** What stands before the slash of ids such as {@code student/mark}: the part of them that has an index. */
    protected static List<String> firsts(Collection<String> ids) {
        return ids.stream()
                .map(id -> id.substring(0, id.indexOf('/')))
                .distinct()
                .toList();
    }

    /** The name of the table, for plain SQL over ids. */
    public String table() {
        return rows.getAnnotation(Table.class).name();
    }

    /** Whether this part offers such a thing; only asked of records. */
    public boolean has(Target target, String id) {
        return false;
    }

    /**
     * Some records that point at one of these things.
     *
     * @param most at most so many
     */
    public List<T> pointingAt(Target target, Collection<String> ids, int most) {
        return List.of();
    }

    /** Records among new ones that may not stand beside what is kept, each with what is wrong. */
    public Map<T, String> clashing(List<T> things) {
        return Map.of();
    }

    /** The rows of a query made into things. The rows are let go, or each later query looks through all of them for changes. */
    protected List<T> core(List<R> found) {
        List<T> things = found.stream().map(R::toCore).toList();
        found.forEach(entities::detach);
        return things;
    }

    /** Cuts a list into handfuls. */
    protected static <E> void handfuls(List<E> all, Consumer<List<E>> each) {
        for (int from = 0; from < all.size(); from += HANDFUL) {
            each.accept(all.subList(from, Math.min(all.size(), from + HANDFUL)));
        }
    }
}

package lynchet.server.keep;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Table;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import lynchet.core.club.Part;
import org.springframework.transaction.annotation.Transactional;

/** Keeps records: one table a part, with a column for whatever is asked of them beside their id. */
public class RowStore<T, R extends Row<T>> extends PartStore<T> {

    private final EntityManager entities;
    private final Class<R> rows;
    private final Function<T, R> row;

    public RowStore(EntityManager entities, Part<T> part, Class<R> rows, Function<T, R> row) {
        super(part);
        this.entities = entities;
        this.rows = rows;
        this.row = row;
    }

    protected EntityManager entities() {
        return entities;
    }

    /** JPQL from this store's rows, called {@code r}. */
    protected String from() {
        return "select r from " + rows.getSimpleName() + " r ";
    }

    @Override
    @Transactional(readOnly = true)
    public Optional<T> find(String id) {
        return Optional.ofNullable(entities.find(rows, id)).map(R::toCore);
    }

    @Override
    @Transactional(readOnly = true)
    public Map<String, T> find(Collection<String> ids) {
        Map<String, T> found = new HashMap<>();
        handfuls(List.copyOf(ids), some -> core(entities.createQuery(from() + "where r.id in :ids", rows)
                        .setParameter("ids", some)
                        .getResultList())
                .forEach(thing -> found.put(part().idOf(thing), thing)));
        return found;
    }

    @Override
    @Transactional(readOnly = true)
    public void each(Consumer<T> to) {
        String after = "";
        List<R> some;
        do {
            some = entities.createQuery(from() + "where r.id > :after order by r.id", rows)
                    .setParameter("after", after)
                    .setMaxResults(BATCH_SIZE)
                    .getResultList();
            core(some).forEach(to);
            after = some.isEmpty() ? after : some.get(some.size() - 1).getId();
        } while (some.size() == BATCH_SIZE);
    }

    @Override
    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return entities.createQuery("select r.id from " + rows.getSimpleName() + " r", String.class)
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    @Override
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

    @Override
    public void change(List<T> things) {
        handfuls(things, some -> {
            Map<String, T> byId = new HashMap<>();
            some.forEach(thing -> byId.put(part().idOf(thing), thing));
            List<R> kept = entities.createQuery(from() + "where r.id in :ids", rows)
                    .setParameter("ids", byId.keySet())
                    .getResultList();
            kept.forEach(one -> one.keep(byId.get(one.getId())));
            entities.flush();
            kept.forEach(entities::detach);
        });
    }

    @Override
    public void remove(Collection<String> ids) {
        handfuls(List.copyOf(ids), some -> {
            entities.createQuery(from() + "where r.id in :ids", rows)
                    .setParameter("ids", some)
                    .getResultList()
                    .forEach(entities::remove);
            entities.flush();
        });
    }

    @Override
    public String table() {
        return rows.getAnnotation(Table.class).name();
    }

    /** The rows of a query made into things. The rows are let go, or each later query looks through all of them for changes. */
    protected List<T> core(List<R> found) {
        List<T> things = found.stream().map(R::toCore).toList();
        found.forEach(entities::detach);
        return things;
    }
}

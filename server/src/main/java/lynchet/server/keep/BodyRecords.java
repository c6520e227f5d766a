package lynchet.server.keep;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import lynchet.core.club.Part;
import lynchet.core.club.Target;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Records whose body is one value: what they point at stands in {@code points_at} besides, so that it can be asked which
 * of them point at something.
 */
public abstract class BodyRecords<T, R extends KeptAsJson<T>> extends RowStore<T, R> {

    private final JdbcTemplate jdbc;
    private final Target offered;

    /** @param offered what others point at by the id of such a record; null: nothing */
    protected BodyRecords(
            EntityManager entities,
            JdbcTemplate jdbc,
            Part<T> part,
            Class<R> rows,
            Function<T, R> row,
            Target offered) {
        super(entities, part, rows, row);
        this.jdbc = jdbc;
        this.offered = offered;
    }

    @Override
    public void add(List<T> things) {
        super.add(things);
        point(things);
    }

    @Override
    public void change(List<T> things) {
        super.change(things);
        forget(things.stream().map(part()::idOf).toList());
        point(things);
    }

    @Override
    public void remove(Collection<String> ids) {
        forget(List.copyOf(ids));
        super.remove(ids);
    }

    private void point(List<T> things) {
        List<Object[]> pointers = new ArrayList<>();
        for (T thing : things) {
            String id = part().idOf(thing);
            part().refers().accept(thing, (rule, field, target, to) -> {
                if (to != null) {
                    pointers.add(new Object[] {part().name(), id, target.name(), to});
                }
            });
        }
        handfuls(
                pointers,
                some -> jdbc.batchUpdate(
                        "insert into points_at (part, thing, target, pointed) values (?, ?, ?, ?)", some));
    }

    private void forget(List<String> ids) {
        handfuls(
                ids,
                some -> jdbc.batchUpdate(
                        "delete from points_at where part = ? and thing = ?",
                        some.stream()
                                .map(id -> new Object[] {part().name(), id})
                                .toList()));
    }

    @Override
    public boolean has(Target target, String id) {
        return target == offered && find(id).isPresent();
    }

    @Override
    public List<T> pointingAt(Target target, Collection<String> ids, int most) {
        List<String> found = new ArrayList<>();
        handfuls(List.copyOf(ids), some -> {
            List<Object> values = new ArrayList<>(List.of(part().name(), target.name()));
            values.addAll(some);
            found.addAll(jdbc.queryForList(
                    "select distinct thing from points_at where part = ? and target = ? and pointed in ("
                            + Sql.marks(some.size()) + ")",
                    String.class,
                    values.toArray()));
        });
        return List.copyOf(find(found.subList(0, Math.min(most, found.size()))).values());
    }
}

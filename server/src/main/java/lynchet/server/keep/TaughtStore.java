package lynchet.server.keep;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import lynchet.core.club.Part;
import lynchet.format.Json;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Keeps one part of what is taught, as bodies in the one table that all of these parts share. What they point at, and what is
 * unique among them, is checked before it is written: all of it is known, and nobody else writes meanwhile.
 */
public final class TaughtStore<T> extends PartStore<T> {

    private static final String TABLE = "taught";

    private final JdbcTemplate jdbc;

    public TaughtStore(JdbcTemplate jdbc, Part<T> part) {
        super(part);
        this.jdbc = jdbc;
    }

    @Override
    public Optional<T> find(String id) {
        return Optional.ofNullable(find(List.of(id)).get(id));
    }

    @Override
    public Map<String, T> find(Collection<String> ids) {
        Map<String, T> found = new HashMap<>();
        handfuls(List.copyOf(ids), some -> {
            List<Object> values = new ArrayList<>(List.of(part().name()));
            values.addAll(some);
            read(" and id in (" + Sql.marks(some.size()) + ")", values, thing -> found.put(part().idOf(thing), thing));
        });
        return found;
    }

    @Override
    public void each(Consumer<T> to) {
        read("", List.of(part().name()), to);
    }

    private void read(String which, List<Object> values, Consumer<T> to) {
        jdbc.query(
                "select body from " + TABLE + " where part = ?" + which + " order by id",
                row -> {
                    to.accept(Json.read(row.getString(1), part().type()));
                },
                values.toArray());
    }

    @Override
    public boolean isEmpty() {
        return jdbc.queryForList("select id from " + TABLE + " where part = ? limit 1", part().name())
                .isEmpty();
    }

    @Override
    public void add(List<T> things) {
        write("insert into " + TABLE + " (body, part, id) values (?, ?, ?)", things);
    }

    @Override
    public void change(List<T> things) {
        write("update " + TABLE + " set body = ? where part = ? and id = ?", things);
    }

    private void write(String sql, List<T> things) {
        handfuls(
                things,
                some -> jdbc.batchUpdate(
                        sql,
                        some.stream()
                                .map(thing -> new Object[] {Body.of(thing), part().name(), part().idOf(thing)})
                                .toList()));
    }

    @Override
    public void remove(Collection<String> ids) {
        handfuls(
                List.copyOf(ids),
                some -> jdbc.batchUpdate(
                        "delete from " + TABLE + " where part = ? and id = ?",
                        some.stream()
                                .map(id -> new Object[] {part().name(), id})
                                .toList()));
    }

    @Override
    public String table() {
        return TABLE;
    }
}

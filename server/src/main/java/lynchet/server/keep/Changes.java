package lynchet.server.keep;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Function;
import org.springframework.data.jpa.repository.JpaRepository;

/**
 * What differs between two states of the things of one kind; written and journalled in the caller's transaction, which
 * has checked that the new state holds together.
 */
public final class Changes<T> {

    private record Change<T>(T before, T after) {}

    private final String kind;
    private final Map<String, Change<T>> changes = new LinkedHashMap<>();

    private Changes(String kind) {
        this.kind = kind;
    }

    /** @param kind what the journal calls one of them */
    public static <T> Changes<T> between(String kind, List<T> before, List<T> after, Function<T, String> id) {
        Changes<T> found = new Changes<>(kind);
        Map<String, T> was = new LinkedHashMap<>();
        before.forEach(thing -> was.put(id.apply(thing), thing));
        for (T thing : after) {
            T old = was.remove(id.apply(thing));
            if (!thing.equals(old)) {
                found.changes.put(id.apply(thing), new Change<>(old, thing));
            }
        }
        was.forEach((key, thing) -> found.changes.put(key, new Change<>(thing, null)));
        return found;
    }

    public int size() {
        return changes.size();
    }

    /** Adds what is new and changes what is different. */
    public <R extends KeptAsJson<T>> void keep(
            JpaRepository<R, String> rows, Function<T, R> row, BiConsumer<R, T> keep, Journal journal) {
        List<String> changed = new ArrayList<>();
        changes.forEach((id, change) -> {
            if (change.before() == null) {
                rows.save(row.apply(change.after()));
                journal.write("add", kind, id, null, change.after());
            } else if (change.after() != null) {
                changed.add(id);
            }
        });
        for (R present : rows.findAllById(changed)) {
            Change<T> change = changes.get(present.getId());
            keep.accept(present, change.after());
            journal.write("change", kind, present.getId(), change.before(), change.after());
        }
        rows.flush();
    }

    /** Removes what is gone. */
    public <R extends KeptAsJson<T>> void remove(JpaRepository<R, String> rows, Journal journal) {
        changes.forEach((id, change) -> {
            if (change.after() == null) {
                rows.deleteById(id);
                journal.write("remove", kind, id, change.before(), null);
            }
        });
        rows.flush();
    }
}

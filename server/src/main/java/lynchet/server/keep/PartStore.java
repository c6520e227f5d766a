package lynchet.server.keep;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import lynchet.core.club.Part;
import lynchet.core.club.Target;

/** Keeps the things of one part of a club. What is taught stands in one table, records of each part in one of their own. */
public abstract class PartStore<T> {

    /** Rows written or read at a time; nothing is held beyond that. */
    public static final int BATCH_SIZE = 500;

    private final Part<T> part;

    protected PartStore(Part<T> part) {
        this.part = part;
    }

    public Part<T> part() {
        return part;
    }

    public abstract Optional<T> find(String id);

    /** The things with these ids, by id; what is not there is left out. */
    public abstract Map<String, T> find(Collection<String> ids);

    /** Hands on everything in order of id, a handful at a time. */
    public abstract void each(Consumer<T> to);

    public abstract boolean isEmpty();

    /** Adds new things in the caller's transaction. */
    public abstract void add(List<T> things);

    /** Changes things that are there in the caller's transaction. */
    public abstract void change(List<T> things);

    /** Removes things in the caller's transaction; nothing points at them any more. */
    public abstract void remove(Collection<String> ids);

    /** The name of the table, for plain SQL over ids. */
    public abstract String table();

    /** Everything in order of id; only for parts that are no records. */
    public List<T> all() {
        if (part.isRecord()) {
            throw new IllegalStateException("nobody reads all " + part.name() + " at once");
        }
        List<T> all = new ArrayList<>();
        each(all::add);
        return all;
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

    /** Cuts a list into handfuls. */
    protected static <E> void handfuls(List<E> all, Consumer<List<E>> each) {
        for (int from = 0; from < all.size(); from += BATCH_SIZE) {
            each.accept(all.subList(from, Math.min(all.size(), from + BATCH_SIZE)));
        }
    }

    /** What stands before the slash of ids such as {@code student/mark}: the part of them that has an index. */
    protected static List<String> firsts(Collection<String> ids) {
        return ids.stream()
                .map(id -> id.substring(0, id.indexOf('/')))
                .distinct()
                .toList();
    }
}

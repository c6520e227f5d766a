package lynchet.server.keep;

import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.transaction.annotation.Transactional;

/** Things of one kind that are read all together, in one order, and put there with the whole club. */
public abstract class Shelf<T, R extends KeptAsJson<T>> {

    private final JpaRepository<R, String> rows;
    private final Function<T, R> row;
    private final Comparator<T> order;
    private final Remembered<List<T>> remembered = new Remembered<>();

    protected Shelf(JpaRepository<R, String> rows, Function<T, R> row, Comparator<T> order) {
        this.rows = rows;
        this.row = row;
        this.order = order;
    }

    @Transactional(readOnly = true)
    public List<T> all() {
        return remembered.get(
                () -> rows.findAll().stream().map(R::toCore).sorted(order).toList());
    }

    /** Writes what differs between two states in the caller's transaction; somebody has checked the new one. */
    public void rewrite(String kind, List<T> before, List<T> after, Function<T, String> id, Journal journal) {
        remembered.changed();
        Changes<T> changes = Changes.between(kind, before, after, id);
        changes.keep(rows, row, R::keep, journal);
        changes.remove(rows, journal);
    }

    /** Removes all in the caller's transaction. */
    public void clear() {
        remembered.changed();
        rows.deleteAllInBatch();
    }

    /** Adds many, all of them checked, in the caller's transaction. */
    public void fill(List<T> all) {
        remembered.changed();
        rows.saveAll(all.stream().map(row).toList());
        rows.flush();
    }
}

package lynchet.server.keep;

import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;

/** A row that keeps one core value. */
@MappedSuperclass
public abstract class Row<T> {

    @Id
    private String id;

    protected Row() {}

    protected Row(String id) {
        this.id = id;
    }

    public String getId() {
        return id;
    }

    /** The value as it was kept, whatever its size. */
    public abstract T toCore();

    /** Keeps another value under the same id. */
    public abstract void keep(T value);
}

package lynchet.server.keep;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import lynchet.format.Json;

/** A row whose body is one core value in the open format. */
@MappedSuperclass
public abstract class KeptAsJson<T> extends Row<T> {

    @Column(nullable = false)
    private String body;

    protected KeptAsJson() {}

    protected KeptAsJson(String id, T value) {
        super(id);
        write(value);
    }

    @Override
    public void keep(T value) {
        write(value);
    }

    private void write(T value) {
        body = Body.of(value);
    }

    protected abstract Class<T> type();

    @Override
    public T toCore() {
        return Json.read(body, type());
    }
}

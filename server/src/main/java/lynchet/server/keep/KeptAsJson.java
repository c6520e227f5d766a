package lynchet.server.keep;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import jakarta.persistence.Version;
import lynchet.format.Json;
import org.springframework.data.domain.Persistable;

/** A row whose body is one core value in the open format. */
@MappedSuperclass
public abstract class KeptAsJson<T> implements Persistable<String> {

    @Id
    private String id;

    @Column(nullable = false)
    private String body;

    @Version
    private int version;

    @Transient
    private boolean isNew = true;

    protected KeptAsJson() {}

    protected KeptAsJson(String id, T value) {
        this.id = id;
        this.body = Json.write(value);
    }

    /** Replaces the body. */
    public void keep(T value) {
        body = Json.write(value);
    }

    protected abstract Class<T> type();

    public T toCore() {
        return Json.read(body, type());
    }

    @Override
    public String getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return isNew;
    }

    @PostLoad
    @PostPersist
    void noLongerNew() {
        isNew = false;
    }
}

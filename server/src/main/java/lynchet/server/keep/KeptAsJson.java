package lynchet.server.keep;

import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import lynchet.core.rule.Nonsense;
import lynchet.format.Json;

/** A row whose body is one core value in the open format. */
@MappedSuperclass
public abstract class KeptAsJson<T> extends Row<T> {

    /** Longer than anything that a coach writes as one thing, and short enough to be read in a blink. */
    static final int LONGEST_BODY = 500_000;

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
        body = Json.write(value);
        if (body.length() > LONGEST_BODY) {
            throw new Nonsense(
                    Nonsense.Rule.TEXT_LONG,
                    "/",
                    "all of it together has " + body.length() + " characters and at most " + LONGEST_BODY + " fit");
        }
    }

    protected abstract Class<T> type();

    @Override
    public T toCore() {
        return Json.read(body, type());
    }
}

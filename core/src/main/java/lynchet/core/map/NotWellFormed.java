package lynchet.core.map;

import java.util.List;
import java.util.stream.Collectors;
import lynchet.core.rule.Breach;

/** Thrown when data that does not hold together is offered as a whole; it carries every breach. */
public final class NotWellFormed extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final transient List<Breach> breaches;

    public NotWellFormed(List<Breach> breaches) {
        super(breaches.stream()
                .limit(5)
                .map(breach -> breach.where() + ": " + breach.sentence())
                .collect(Collectors.joining("; ")));
        this.breaches = List.copyOf(breaches);
    }

    public List<Breach> breaches() {
        return breaches;
    }
}

package lynchet.format;

import java.util.List;
import lynchet.core.rule.Breach;

/** Thrown when a file is not taken in; it says where and why, and nothing has changed. */
public final class ArchiveRefused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<Breach> breaches;

    public ArchiveRefused(List<Breach> breaches) {
        super(breaches.get(0).where() + ": " + breaches.get(0).sentence());
        this.breaches = List.copyOf(breaches);
    }

    public ArchiveRefused(String rule, String where, String sentence) {
        this(List.of(new Breach(rule, where, null, sentence)));
    }

    public List<Breach> breaches() {
        return breaches;
    }
}

package lynchet.core.card;

import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * What must hold before a link is on.
 *
 * @param madeBy id of the link that makes it; may be null
 */
public record Need(
        Kind kind, @Most(160) String text, @Nullable String madeBy) {

    /** What sort of thing must hold. */
    public enum Kind {
        GRIP,
        ANGLE,
        WEIGHT,
        DISTANCE,
        TIMING
    }

    public Need {
        Require.present("the kind of a need", kind);
        Require.text("a need", text);
    }
}

package lynchet.core.card;

import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * A mistake seen.
 *
 * @param id unique within its technique
 * @param see what you see
 * @param because why it fails
 * @param fix what to do instead
 * @param opens id of the link it opens for the partner; may be null
 * @param canHurt whether it can hurt someone
 */
public record Fault(
        String id,
        @Most(200) String see,
        @Most(300) String because,
        @Most(300) String fix,
        @Nullable String opens,
        boolean canHurt) {
    public Fault {
        Require.id("a fault", id);
        Require.text("what is seen in this fault", see);
        Require.text("the reason of this fault", because);
        Require.text("the fix of this fault", fix);
    }

    /** The same fault under another id, opening another link. */
    public Fault with(String otherId, String otherOpens) {
        return new Fault(otherId, see, because, fix, otherOpens, canHurt);
    }
}

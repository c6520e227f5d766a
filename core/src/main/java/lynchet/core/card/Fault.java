package lynchet.core.card;

import lynchet.core.rule.Most;
import lynchet.core.rule.Say;
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
        Say.id("a fault", id);
        Say.text("what is seen in this fault", see);
        Say.text("the reason of this fault", because);
        Say.text("the fix of this fault", fix);
    }

    /** The same fault under another id, opening another link. */
    public Fault with(String otherId, String otherOpens) {
        return new Fault(otherId, see, because, fix, otherOpens, canHurt);
    }
}

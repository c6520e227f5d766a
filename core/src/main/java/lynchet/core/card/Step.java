package lynchet.core.card;

import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * One step of a technique in the order of the body's work.
 *
 * @param cue a few words to say out loud; may be null
 * @param footwork which foot goes where; may be null
 */
public record Step(
        @Most(400) String text,
        @Most(120) @Nullable String cue,
        @Most(200) @Nullable String footwork) {
    public Step {
        Require.text("a step", text);
    }
}

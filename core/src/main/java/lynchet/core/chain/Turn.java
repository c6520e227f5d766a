package lynchet.core.chain;

import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * Where a chain goes on.
 *
 * @param reaction id of the reaction at which it turns off; null: the main line, when the link worked
 */
public record Turn(@Nullable String reaction, ChainStep step) {
    public Turn {
        Require.present("the step of a turn", step);
    }
}

package lynchet.core.map;

import java.util.List;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * One moment of the fight, seen from both sides.
 *
 * @param second the counterpart of {@code first}; null when the position is its own counterpart
 */
public record PositionPair(
        String id, Stage stage, Position first, @Nullable Position second) {

    public PositionPair {
        Require.id("a position pair", id);
        Require.present("the stage of this pair", stage);
        Require.present("the first position of this pair", first);
    }

    /** The same pair, retired. */
    public PositionPair asRetired() {
        return new PositionPair(id, stage, first.asRetired(), second == null ? null : second.asRetired());
    }

    /** One position if it is its own counterpart, else both. */
    public List<Position> positions() {
        return second == null ? List.of(first) : List.of(first, second);
    }
}

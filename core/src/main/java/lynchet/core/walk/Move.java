package lynchet.core.walk;

import org.jspecify.annotations.Nullable;

/**
 * One move on the map, from my view.
 *
 * @param kind who does what
 * @param link the link that is tried; null when somebody reacts without one
 * @param reaction the reaction that follows; null when the link works
 * @param to position id where I am then, or {@link Link#TAP}; null when I am the one who taps
 */
public record Move(
        Kind kind,
        @Nullable String link,
        @Nullable String reaction,
        @Nullable String to) {

    /** Who moves. A reaction to a link of mine is theirs, and the other way round; halfway: it is stopped, or half works. */
    public enum Kind {
        MINE,
        THEIRS,
        THEY_REACT,
        I_REACT,
        MINE_HALFWAY,
        THEIRS_HALFWAY
    }
}

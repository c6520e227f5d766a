package lynchet.core.chain;

import org.jspecify.annotations.Nullable;

/**
 * Something to look at in a chain.
 *
 * @param severity 3 blocks, 2 warns, 1 notes
 * @param step label of the step, such as "2" or "2b"
 * @param reaction reaction id of an open end; null otherwise
 * @param share the reaction's share of what they do, 0 to 1; 0 where it does not apply
 */
public record ChainFinding(
        Code code,
        int severity,
        String step,
        @Nullable String link,
        @Nullable String reaction,
        double share,
        String sentence) {

    /** What there is to look at. */
    public enum Code {
        UNKNOWN_LINK,
        BROKEN_JOIN,
        OPEN_END,
        ILLEGAL,
        JACKET_MIX,
        PREREQUISITE,
        CAUTION,
        RETIRED,
        TWICE
    }
}

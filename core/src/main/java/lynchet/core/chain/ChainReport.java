package lynchet.core.chain;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the check of a chain says.
 *
 * @param depth steps on the longest path
 * @param turnOffs turn-offs in all
 * @param answeredShare share of the named reactions that have a turn-off, 0 to 1; 1 when none is named
 * @param chanceToFinish chance that it ends in a tap, 0 to 1
 * @param chanceToSettle chance that it ends in a tap or at control 2 or more, 0 to 1
 * @param weakestLink link id with the least chance; null for an empty chain
 * @param weakestChance its chance, 0 to 1
 */
public record ChainReport(
        int depth,
        int turnOffs,
        double answeredShare,
        double chanceToFinish,
        double chanceToSettle,
        @Nullable String weakestLink,
        double weakestChance,
        List<StepAt> steps,
        List<ChainFinding> findings) {

    /** A step with its label, where it starts and ends, and how likely it is to be reached (0 to 1). */
    public record StepAt(
            String label, String link, @Nullable String reaction, String from, String to, double reached) {}

    /** No link is unknown and every step starts where the one before it ended. */
    public boolean holdsTogether() {
        return findings.stream()
                .noneMatch(
                        f -> f.code() == ChainFinding.Code.BROKEN_JOIN || f.code() == ChainFinding.Code.UNKNOWN_LINK);
    }
}

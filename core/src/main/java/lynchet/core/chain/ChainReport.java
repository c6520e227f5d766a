package lynchet.core.chain;

import java.util.List;
import java.util.Map;
import lynchet.core.numbers.Ages;
import org.jspecify.annotations.Nullable;

/**
 * What the check of a chain says.
 *
 * @param depth steps on the longest path
 * @param turnOffs turn-offs in all
 * @param answeredShare share of the named reactions that have a turn-off, 0 to 1; 1 when none is named
 * @param chanceToFinish chance that it ends the bout, 0 to 1: by a tap, and where the ruleset says so by a clean throw or
 *     a hold-down at its end
 * @param chanceToSettle chance that it ends the bout or ends at control 2 or more, 0 to 1
 * @param weakestLink link id with the least chance; null for an empty chain
 * @param weakestChance its chance, 0 to 1
 * @param netPoints points expected from going through it once, mine less theirs, by id of each ruleset that allows all of
 *     it; a bout that it ends pays nothing here
 * @param overlaps what it has in common with other chains, the most first
 */
public record ChainReport(
        int depth,
        int turnOffs,
        double answeredShare,
        double chanceToFinish,
        double chanceToSettle,
        @Nullable String weakestLink,
        double weakestChance,
        Teaching taught,
        Map<String, Double> netPoints,
        List<Overlap> overlaps,
        List<StepAt> steps,
        List<ChainFinding> findings) {

    /**
     * Who it is taught to, and in how long.
     *
     * @param minutes to introduce it to somebody who knows none of it
     * @param ages from which age all of it is taught
     * @param falls ids of the falls that a receiver has passed before
     */
    public record Teaching(double minutes, Ages ages, List<String> falls) {}

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

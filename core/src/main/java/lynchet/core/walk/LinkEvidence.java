package lynchet.core.walk;

import java.util.Map;
import lynchet.core.map.Technique;

/** How well a link works (design: Beta prior by family and difficulty; here before any rounds are logged). */
public final class LinkEvidence {

    private static final double BEFORE_ANY_ROUND = 0.35;
    private static final Map<Integer, Double> BY_MASTER = Map.of(1, 1.25, 2, 1.1, 3, 1.0, 4, 0.85, 5, 0.7);

    private LinkEvidence() {}

    /**
     * The prior chance, 0.05 to 0.9, that a try of this technique works, from how hard it is to master.
     *
     * <p>With no rounds a family works in (0 + 10·0.35)/(0 + 10) = 0.35 of tries; master 1 gives 0.4375.
     */
    public static double prior(Technique technique) {
        return Math.min(0.9, Math.max(0.05, BEFORE_ANY_ROUND * BY_MASTER.get(technique.master())));
    }

    /**
     * The share of each known reaction, given that the link did not work: even, with one part for "none".
     *
     * @param knownReactions how many reactions to the link are on the map
     */
    public static double evenShare(int knownReactions) {
        return 1.0 / (knownReactions + 1);
    }
}

package lynchet.core.chain;

import java.util.Arrays;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/**
 * How likely a step is reached, 0 to 1.
 *
 * @param here going on also after what would end the bout: the chain is drilled to its end
 * @param under in a bout under each of the map's rulesets
 */
record Reached(double here, double[] under) {

    /** A step that does not join. */
    static final Reached NEVER = new Reached(0, new double[0]);

    static Reached surely(int rulesets) {
        double[] under = new double[rulesets];
        Arrays.fill(under, 1);
        return new Reached(1, under);
    }

    /** What is left of it after a share, which may differ by ruleset. */
    Reached by(double share, IntToDoubleFunction shareUnder) {
        return new Reached(
                here * share,
                IntStream.range(0, under.length)
                        .mapToDouble(n -> under[n] * shareUnder.applyAsDouble(n))
                        .toArray());
    }
}

package lynchet.core.walk;

/**
 * How likely a try of a link works, and how sure that is.
 *
 * @param estimate 0 to 1
 * @param low lower end of the central 80 % interval
 * @param high upper end of it
 * @param tries tries in logged rounds; 0: the estimate is what is usual for the family
 */
public record Chance(double estimate, double low, double high, int tries) {

    /** Below this many tries an estimate says "too few". */
    public static final int ENOUGH = 5;

    /** Whether there are too few tries to say much. */
    public boolean isTooFew() {
        return tries < ENOUGH;
    }
}

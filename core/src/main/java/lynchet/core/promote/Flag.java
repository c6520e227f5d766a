package lynchet.core.promote;

import java.time.LocalDate;
import lynchet.core.people.Readiness;
import lynchet.core.people.Readiness.Verdict;

/**
 * A student on the bank of their rank: how far up they are, and what stands on the flag.
 *
 * @param met conditions of the next rank that are met
 * @param of conditions that there are
 */
public record Flag(String student, String rank, int met, int of, Sign sign) {

    /** Windows that went by before it is said on the flag. */
    private static final int OVERLOOKED = 2;

    /** What is said first of somebody, the most pressing of what is true. */
    public enum Sign {
        /** Kept at the rank on purpose. */
        HELD,
        /** Put forward by a coach. */
        PUT_FORWARD,
        /** On the lip while two windows went by. */
        PASSED_OVER,
        /** On the lip: everything is met. */
        READY,
        /** There by the window. */
        BY_WINDOW,
        ON_THE_WAY
    }

    /** How far up the bank, 0 to 1: conditions met of all; 1 is the lip. */
    public double share() {
        return of == 0 ? 1 : (double) met / of;
    }

    /**
     * @param readiness towards a rank that there is
     * @param isPutForward whether a coach put them forward at the window
     * @param window the first day of the window's month
     */
    public static Flag of(Readiness readiness, boolean isPutForward, LocalDate window) {
        int met = (int) readiness.conditions().stream().filter(c -> c.met()).count();
        return new Flag(
                readiness.student(),
                readiness.rank(),
                met,
                readiness.conditions().size(),
                sign(readiness, isPutForward, window));
    }

    private static Sign sign(Readiness readiness, boolean isPutForward, LocalDate window) {
        if (readiness.verdict() == Verdict.HELD) {
            return Sign.HELD;
        }
        if (isPutForward) {
            return Sign.PUT_FORWARD;
        }
        boolean isReady = readiness.verdict() == Verdict.ELIGIBLE || readiness.verdict() == Verdict.CANDIDATE;
        if (isReady) {
            return readiness.passedOver() >= OVERLOOKED ? Sign.PASSED_OVER : Sign.READY;
        }
        LocalDate there = readiness.window();
        boolean isThere = there != null && there.isBefore(window.plusMonths(1));
        return isThere ? Sign.BY_WINDOW : Sign.ON_THE_WAY;
    }
}

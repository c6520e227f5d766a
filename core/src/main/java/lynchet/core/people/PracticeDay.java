package lynchet.core.people;

import java.time.LocalDate;

/**
 * What one student did of one technique on one side on one day, as performer.
 *
 * @param wholeReps repetitions of the whole
 * @param partReps repetitions of a part
 * @param marks marks given for it that day
 * @param faulty how many of them list a fault
 * @param livePass whether it was passed at {@code LIVE} that day
 * @param success whether it worked in a logged round that day
 */
public record PracticeDay(
        LocalDate day, int wholeReps, int partReps, int marks, int faulty, boolean livePass, boolean success) {

    static final int WHOLE_REPS = 6;
    static final int PART_REPS = 10;

    /** Repetitions drilled. */
    public static PracticeDay drilled(LocalDate day, int wholeReps, int partReps) {
        return new PracticeDay(day, wholeReps, partReps, 0, 0, false, false);
    }

    /** A mark given. */
    public static PracticeDay marked(LocalDate day, boolean hasFault, boolean livePass) {
        return new PracticeDay(day, 0, 0, 1, hasFault ? 1 : 0, livePass, false);
    }

    /** It worked in a round. */
    public static PracticeDay worked(LocalDate day) {
        return new PracticeDay(day, 0, 0, 0, 0, false, true);
    }

    /** Both together; they are of the same day. */
    PracticeDay and(PracticeDay more) {
        return new PracticeDay(
                day,
                wholeReps + more.wholeReps,
                partReps + more.partReps,
                marks + more.marks,
                faulty + more.faulty,
                livePass || more.livePass,
                success || more.success);
    }

    /** Share of the day's marks that list a fault, 0 to 1. */
    public double faultShare() {
        return marks == 0 ? 0 : (double) faulty / marks;
    }

    /** Enough was done for the day to count as a session. */
    public boolean isEffective() {
        return wholeReps >= WHOLE_REPS || partReps >= PART_REPS || livePass || success;
    }
}

package lynchet.core.people;

import java.time.LocalDate;

/**
 * What one student did of one technique on one side on one day, as performer.
 *
 * @param faultShare share of that day's marks for it that list a fault, 0 to 1
 * @param livePass whether it was passed at {@code LIVE} that day
 */
public record PracticeDay(LocalDate day, int wholeReps, int partReps, double faultShare, boolean livePass) {

    static final int WHOLE_REPS = 6;
    static final int PART_REPS = 10;

    /** Enough was done for the day to count as a session. */
    public boolean isEffective() {
        return wholeReps >= WHOLE_REPS || partReps >= PART_REPS || livePass;
    }
}

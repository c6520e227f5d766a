package lynchet.core.people;

import java.time.LocalDate;

/**
 * A rank held, and how many classes count since it was given.
 *
 * @param classes classes counted since {@code held.since()}, without those credited from before
 * @param lastDay the day of the latest of them; null: none
 */
public record LadderCount(HeldRank held, int classes, LocalDate lastDay) {

    /** Whether a class of this day can be counted without looking at the classes before again. */
    boolean takes(LocalDate day, boolean oneADay) {
        return day.isBefore(held.since()) || !oneADay || lastDay == null || !day.isBefore(lastDay);
    }

    LadderCount after(LocalDate day, boolean oneADay) {
        if (day.isBefore(held.since()) || oneADay && day.equals(lastDay)) {
            return this;
        }
        return new LadderCount(held, classes + 1, lastDay == null || day.isAfter(lastDay) ? day : lastDay);
    }
}

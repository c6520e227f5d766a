package lynchet.core.people;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * What counted on a ladder in the last {@link ClubPace#WEEKS} weeks.
 *
 * @param first day of the first of these classes; null: there was none
 */
public record Recent(int classes, @Nullable LocalDate first) {

    public static final Recent NONE = new Recent(0, null);

    /** Weeks from the first class that counted, and classes, before anybody is told a date. */
    private static final int WEEKS_BEFORE_A_DATE = 4;

    private static final int CLASSES_BEFORE_A_DATE = 4;

    /** @param sinceRank classes counted since the rank was given, these among them where it was given before them */
    boolean isTooEarly(int sinceRank, LocalDate today) {
        boolean hasOlder = sinceRank > classes;
        boolean isNew = first != null && first.isAfter(today.minusWeeks(WEEKS_BEFORE_A_DATE));
        return Math.max(sinceRank, classes) < CLASSES_BEFORE_A_DATE || isNew && !hasOlder;
    }
}

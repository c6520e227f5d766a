package lynchet.core.people;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import lynchet.core.rank.Ladder;
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

    /**
     * What of these classes counts on a ladder: of its tracks, where it names any, and one a day where its policy says so.
     *
     * @param tracks the tracks of the classes somebody was in, by day
     */
    public static Recent of(Ladder ladder, Map<LocalDate, List<String>> tracks) {
        int classes = 0;
        LocalDate first = null;
        for (Map.Entry<LocalDate, List<String>> day : tracks.entrySet()) {
            long fitting = day.getValue().stream()
                    .filter(track ->
                            ladder.tracks().isEmpty() || ladder.tracks().contains(track))
                    .count();
            classes += (int) (ladder.policy().oneClassADay() ? Math.min(1, fitting) : fitting);
            if (fitting > 0 && (first == null || day.getKey().isBefore(first))) {
                first = day.getKey();
            }
        }
        return new Recent(classes, first);
    }

    /** @param sinceRank classes counted since the rank was given, these among them where it was given before them */
    boolean isTooEarly(int sinceRank, LocalDate today) {
        boolean hasOlder = sinceRank > classes;
        boolean isNew = first != null && first.isAfter(today.minusWeeks(WEEKS_BEFORE_A_DATE));
        return Math.max(sinceRank, classes) < CLASSES_BEFORE_A_DATE || isNew && !hasOlder;
    }
}

package lynchet.core.people;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Collections;
import java.util.Set;
import java.util.TreeSet;

/**
 * How often people come, for projections.
 *
 * @param openWeeks Mondays of weeks in which the club held a class
 * @param classesAWeek mean classes an open week over enrolled students who came at all in the last eight weeks
 */
public record ClubPace(Set<LocalDate> openWeeks, double classesAWeek) {

    public static final int WEEKS = 8;

    /**
     * The pace of the whole club, a week in which it was open, over the eight weeks before {@code today}; today itself is not over and does not count.
     *
     * @param open days on which a class took place
     * @param classes classes attended in those weeks, one number for each student who came at all
     */
    public static ClubPace of(Collection<LocalDate> open, Collection<Integer> classes) {
        Set<LocalDate> weeks = new TreeSet<>();
        open.forEach(day -> weeks.add(Projection.mondayOf(day)));
        double mean = classes.stream().mapToInt(Integer::intValue).average().orElse(0);
        int openWeeks = Math.max(1, Math.min(WEEKS, weeks.size()));
        return new ClubPace(Collections.unmodifiableSet(weeks), mean / openWeeks);
    }

    /** The first day that counts for a pace as of {@code today}. */
    public static LocalDate from(LocalDate today) {
        return today.minusWeeks(WEEKS);
    }
}

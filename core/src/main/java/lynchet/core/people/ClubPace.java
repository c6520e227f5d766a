package lynchet.core.people;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;

/**
 * How often people come, for projections.
 *
 * @param openWeeks Mondays of weeks in which the club held a class
 * @param classesAWeek mean classes a week over enrolled students who came at all in the last eight weeks
 */
public record ClubPace(Set<LocalDate> openWeeks, double classesAWeek) {

    public static final int WEEKS = 8;

    /** The pace of the whole club over the eight weeks before {@code today}. */
    public static ClubPace of(
            List<StudentRecord> records, List<lynchet.core.mat.TrainingClass> classes, LocalDate today) {
        LocalDate from = today.minusWeeks(WEEKS);
        Set<LocalDate> open = new java.util.TreeSet<>();
        classes.stream()
                .filter(c ->
                        !c.cancelled() && c.date().isAfter(from) && !c.date().isAfter(today))
                .forEach(c -> open.add(Projection.mondayOf(c.date())));
        double mean = records.stream()
                .mapToLong(r -> r.attended().stream()
                        .filter(c -> c.date().isAfter(from) && !c.date().isAfter(today))
                        .count())
                .filter(count -> count > 0)
                .average()
                .orElse(0);
        return new ClubPace(Set.copyOf(open), mean / WEEKS);
    }
}

package lynchet.core.term.cycle;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import lynchet.core.mat.TrainingClass;
import lynchet.core.term.Calendar;

/**
 * Which week has which theme. Only weeks count in which the track has a class of the cycle's: over holidays, and while a
 * term's plan teaches the track, the cycle waits, so that no theme is lost.
 */
public final class ThemeWeeks {

    /** A cycle is worked out for so many years. */
    private static final int YEARS = 20;

    /**
     * A week of a cycle.
     *
     * @param theme place of its theme, from 0
     * @param round how often all have been before, from 0
     * @param classes of the track in it, in order of time, at least one
     */
    public record Week(LocalDate monday, int theme, int round, List<TrainingClass> classes) {}

    private final ThemeCycle cycle;
    private final Calendar calendar;
    private final Predicate<TrainingClass> itsOwn;
    private final List<Week> weeks = new ArrayList<>();
    private final LocalDate end;
    private LocalDate next;

    /**
     * The weeks of a cycle.
     *
     * @param calendar of the weekly times
     * @param itsOwn whether a class is the cycle's to fill, and not a plan's
     */
    public ThemeWeeks(ThemeCycle cycle, Calendar calendar, Predicate<TrainingClass> itsOwn) {
        this.cycle = cycle;
        this.calendar = calendar;
        this.itsOwn = itsOwn;
        next = mondayOf(cycle.from());
        end = next.plusYears(YEARS);
    }

    /** The week in which a day is; empty before the cycle, long after it began, and where the week has no class. */
    public synchronized Optional<Week> of(LocalDate day) {
        LocalDate monday = mondayOf(day);
        reach(monday);
        int at = firstFrom(monday);
        return at < weeks.size() && weeks.get(at).monday().equals(monday)
                ? Optional.of(weeks.get(at))
                : Optional.empty();
    }

    /** The weeks from that of a day on, at most so many. */
    public synchronized List<Week> from(LocalDate day, int many) {
        LocalDate monday = mondayOf(day);
        reach(monday);
        int at = firstFrom(monday);
        while (weeks.size() < at + many && grow()) {
            // until there are as many, or no more
        }
        return List.copyOf(weeks.subList(Math.min(at, weeks.size()), Math.min(at + many, weeks.size())));
    }

    private void reach(LocalDate monday) {
        while (!next.isAfter(monday) && grow()) {
            // until the week is among them
        }
    }

    /** Looks at the next week; false: there are no more. */
    private boolean grow() {
        if (cycle.themes().isEmpty() || next.isAfter(end)) {
            return false;
        }
        List<TrainingClass> classes = calendar.between(next, next.plusDays(6)).stream()
                .filter(one -> one.track().equals(cycle.track()))
                .filter(itsOwn)
                .toList();
        if (!classes.isEmpty()) {
            int many = cycle.themes().size();
            weeks.add(new Week(next, weeks.size() % many, weeks.size() / many, classes));
        }
        next = next.plusWeeks(1);
        return true;
    }

    private int firstFrom(LocalDate monday) {
        int low = 0;
        int high = weeks.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (weeks.get(middle).monday().isBefore(monday)) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    static LocalDate mondayOf(LocalDate day) {
        return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
    }
}

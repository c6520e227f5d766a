package lynchet.core.term.plan;

import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import org.jspecify.annotations.Nullable;

/**
 * What the planner is asked.
 *
 * @param lessons the track's classes of the term, in their order
 * @param items what is to be taught; what is new and something builds on that must be there has to be there itself
 * @param grading the day of the exam; null: there is none
 * @param mostFalls falls that a class bears
 * @param set where items stand for good: taught already, or kept there; by item, places of lessons
 * @param was where they stood in the plan before; empty: it is planned for the first time
 */
public record PlanningTask(
        List<Lesson> lessons,
        List<Item> items,
        @Nullable LocalDate grading,
        double mostFalls,
        Map<String, SortedSet<Integer>> set,
        Map<String, SortedSet<Integer>> was) {

    /** What is examined is shown at least so many days before. */
    public static final int WEEKS_BEFORE = 21;

    /** What is examined is met within so many days before. */
    public static final int LAST = 14;

    /** Distances between meetings that are wanted, in classes: +1, +3, +8, then 2.5 times the last. */
    private static final int[] GAPS = {1, 2, 5, 13, 31};

    public PlanningTask {
        lessons = List.copyOf(lessons);
        items = withNeeded(items);
        set = Map.copyOf(set);
        was = Map.copyOf(was);
    }

    private static List<Item> withNeeded(List<Item> items) {
        Set<String> must = new HashSet<>();
        Deque<Item> open = new ArrayDeque<>(items.stream().filter(Item::must).toList());
        while (!open.isEmpty()) {
            Item item = open.pop();
            if (must.add(item.id())) {
                items.stream()
                        .filter(other -> other.fresh() && item.needs().contains(other.id()))
                        .forEach(open::push);
            }
        }
        return items.stream()
                .map(item -> must.contains(item.id()) ? item.asMust() : item)
                .toList();
    }

    /** The same, as if there had been no plan before. */
    PlanningTask anew() {
        return new PlanningTask(lessons, items, grading, mostFalls, set, Map.of());
    }

    /**
     * How many meetings of what must be there have no place: four for each item, less those it has. Worked: no class and four
     * such items owe sixteen.
     *
     * @param at by item, places of the classes it is met in
     */
    public int owed(Map<String, SortedSet<Integer>> at) {
        return items.stream()
                .filter(Item::must)
                .mapToInt(item -> Math.max(
                        0,
                        Item.MEETINGS
                                - (at.containsKey(item.id()) ? at.get(item.id()).size() : 0)))
                .sum();
    }

    /** The last day on which something examined may be shown for the first time; null: any. */
    @Nullable
    LocalDate lastFirst() {
        return grading == null ? null : grading.minusDays(WEEKS_BEFORE);
    }

    /** How many classes after the n-th meeting the next one is wanted. */
    static int gapAfter(int n) {
        return GAPS[Math.min(n, GAPS.length - 1)];
    }

    /**
     * How many meetings an item has place for: those wanted by distance and one at the end, three for each weekday, and as many as
     * it had.
     */
    int meetings() {
        int wanted = 1;
        for (int at = 0, n = 0; at < lessons.size(); at += gapAfter(n), n++) {
            wanted++;
        }
        long weekdays = lessons.stream().map(Lesson::slot).distinct().count();
        int had = was.values().stream().mapToInt(SortedSet::size).max().orElse(0);
        return (int) Math.min(
                lessons.size(), Math.max(Math.max(wanted, had), Math.max(Item.MEETINGS, Math.min(9, 3 * weekdays))));
    }
}

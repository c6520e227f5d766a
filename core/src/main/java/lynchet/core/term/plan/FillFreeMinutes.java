package lynchet.core.term.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import lynchet.core.people.Fading;

/**
 * What is done with minutes that a plan leaves free: items are met once more where that helps most on the day of the exam, for
 * those who come on every weekday, on some and on one alone, all counted alike. Nothing is shown for the first time there.
 */
final class FillFreeMinutes {

    /** It is not met again in the very next class. */
    private static final int APART = 1;

    /** Nothing is met in more than one of so many classes to fill them. */
    private static final int OFTEN = 4;

    /** More items than this make a class a list. */
    private static final int MOST_ITEMS = 5;

    private static final int MOST_WEEKDAYS = 5;

    /** What must be there counts double. */
    private static final int MUST = 2;

    private final PlanningTask asked;
    private final LocalDate day;
    private final List<Set<String>> comers;
    private final Map<String, SortedSet<Integer>> at = new TreeMap<>();
    private final int[] minutes;
    private final int[] many;
    private final double[] falls;

    private FillFreeMinutes(PlanningTask asked, Planner.Placing placing) {
        this.asked = asked;
        List<Lesson> lessons = asked.lessons();
        this.day = asked.grading() == null ? lessons.get(lessons.size() - 1).date() : asked.grading();
        this.comers = comers(lessons.stream()
                .map(Lesson::slot)
                .distinct()
                .limit(MOST_WEEKDAYS)
                .toList());
        placing.at().forEach((item, on) -> at.put(item, new TreeSet<>(on)));
        minutes = new int[lessons.size()];
        many = new int[lessons.size()];
        falls = new double[lessons.size()];
        for (Item item : asked.items()) {
            int n = 0;
            for (int lesson : placing.of(item.id())) {
                minutes[lesson] += item.minutes(n++);
                many[lesson]++;
                falls[lesson] += item.falls();
            }
        }
    }

    /**
     * The plan with its free minutes used.
     *
     * @param into in which classes something may be added
     */
    static Planner.Placing used(PlanningTask asked, Planner.Placing placing, Predicate<Lesson> into) {
        return asked.lessons().isEmpty() ? placing : new FillFreeMinutes(asked, placing).filled(into);
    }

    private record Place(Item item, int lesson, double gain) {}

    private Planner.Placing filled(Predicate<Lesson> into) {
        List<Lesson> open = asked.lessons().stream()
                .filter(Lesson::open)
                .filter(into)
                .filter(lesson -> !lesson.date().isAfter(day))
                .toList();
        Map<String, List<Place>> gains = new HashMap<>();
        asked.items().forEach(item -> gains.put(item.id(), gains(item, open)));
        while (true) {
            Place best = gains.values().stream()
                    .flatMap(List::stream)
                    .filter(this::bears)
                    .max(Comparator.comparing(
                                    (Place place) -> place.gain() / place.item().again())
                            .thenComparing(place -> place.item().id())
                            .thenComparing(Place::lesson))
                    .orElse(null);
            if (best == null || best.gain() <= 0) {
                return Planner.Placing.of(asked, at);
            }
            at.get(best.item().id()).add(best.lesson());
            minutes[best.lesson()] += best.item().again();
            many[best.lesson()]++;
            falls[best.lesson()] += best.item().falls();
            gains.put(best.item().id(), gains(best.item(), open));
        }
    }

    private boolean bears(Place place) {
        Lesson lesson = asked.lessons().get(place.lesson());
        return minutes[place.lesson()] + place.item().again() <= lesson.minutes()
                && many[place.lesson()] < MOST_ITEMS
                && falls[place.lesson()] + place.item().falls() <= asked.mostFalls();
    }

    /** What meeting it once more would add, in each class in which it may be met again. */
    private List<Place> gains(Item item, List<Lesson> open) {
        SortedSet<Integer> on = at.getOrDefault(item.id(), new TreeSet<>());
        if (on.isEmpty()
                || on.size() >= Math.max(asked.meetings(), asked.lessons().size() / OFTEN)) {
            return List.of();
        }
        double now = likely(on);
        List<Place> places = new ArrayList<>();
        for (Lesson lesson : open) {
            boolean isShown = !item.fresh() || lesson.index() > on.first();
            boolean isApart = on.subSet(lesson.index() - APART, lesson.index() + APART + 1)
                    .isEmpty();
            if (isShown && isApart) {
                SortedSet<Integer> more = new TreeSet<>(on);
                more.add(lesson.index());
                places.add(new Place(item, lesson.index(), (item.must() ? MUST : 1) * (likely(more) - now)));
            }
        }
        return places;
    }

    /** How likely it is there on the day, by those who come. */
    private double likely(SortedSet<Integer> on) {
        double sum = 0;
        for (Set<String> weekdays : comers) {
            Fading has = null;
            for (int n : on) {
                Lesson lesson = asked.lessons().get(n);
                if (weekdays.contains(lesson.slot())) {
                    has = Fading.again(has, lesson.date());
                }
            }
            sum += has == null ? 0 : has.recallOn(day);
        }
        return sum / comers.size();
    }

    /** Those who come on all weekdays, on some, or on one: every choice of them but none. */
    private static List<Set<String>> comers(List<String> slots) {
        List<Set<String>> all = new ArrayList<>();
        for (int bits = 1; bits < 1 << slots.size(); bits++) {
            Set<String> some = new HashSet<>();
            for (int n = 0; n < slots.size(); n++) {
                if ((bits & 1 << n) != 0) {
                    some.add(slots.get(n));
                }
            }
            all.add(some);
        }
        return all;
    }
}

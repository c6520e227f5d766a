package lynchet.core.term.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * How the planner starts: where everything stands before it looks.
 *
 * @param from where it begins from; null: from the plan before, else from nothing
 * @param still ids of items that stay where they stood
 * @param most how many meetings an item may have; where it is no more than those needed, what comes if time allows waits
 */
record Setting(PlanningTask asked, Planner.@Nullable Placing from, Set<String> still, int most) {

    /** @param order the items in the order in which they are placed */
    Timetable timetable(List<Item> order) {
        int now = asked.lessons().stream()
                .filter(Lesson::open)
                .mapToInt(Lesson::index)
                .min()
                .orElse(asked.lessons().size());
        List<Meeting> meetings = new ArrayList<>();
        List<Timetable.Pinned> kept = new ArrayList<>();
        List<Timetable.PlacedBefore> stood = new ArrayList<>();
        for (Item item : order) {
            SortedSet<Integer> set = places(asked.set(), item);
            SortedSet<Integer> was = places(asked.was(), item);
            List<Integer> past = List.copyOf(set.headSet(now));
            set.tailSet(now).forEach(at -> kept.add(new Timetable.Pinned(item, lesson(at))));
            was.tailSet(now).forEach(at -> stood.add(new Timetable.PlacedBefore(item, lesson(at))));
            SortedSet<Integer> start = new TreeSet<>(from == null ? was : from.of(item.id()));
            start.removeIf(at -> at < now || !lesson(at).open());
            start.addAll(set.tailSet(now));
            List<Integer> begin = new ArrayList<>(past);
            begin.addAll(start);
            boolean isStill = still.contains(item.id());
            boolean waits = from == null && !item.must();
            int many = isStill
                    ? begin.size()
                    : Math.max(past.size() + set.tailSet(now).size(), waits ? 0 : most);
            for (int n = 0; n < many; n++) {
                boolean isPinned = isStill || n < past.size();
                meetings.add(new Meeting(item, n, n < begin.size() ? lesson(begin.get(n)) : null, isPinned));
            }
        }
        return new Timetable(reachable(meetings, kept), asked.items(), bounds(), kept, stood, meetings);
    }

    private Lesson lesson(int at) {
        return asked.lessons().get(at);
    }

    /** Classes that are open, and those in which something stands for good: the solver knows no others. */
    private List<Lesson> reachable(List<Meeting> meetings, List<Timetable.Pinned> kept) {
        Set<Lesson> stand = Stream.concat(
                        meetings.stream().map(Meeting::getLesson).filter(Objects::nonNull),
                        kept.stream().map(Timetable.Pinned::lesson))
                .collect(Collectors.toSet());
        return asked.lessons().stream()
                .filter(lesson -> lesson.open() || stand.contains(lesson))
                .toList();
    }

    private static SortedSet<Integer> places(Map<String, SortedSet<Integer>> of, Item item) {
        return of.getOrDefault(item.id(), new TreeSet<>());
    }

    private Timetable.Bounds bounds() {
        LocalDate lastFirst = asked.lastFirst();
        long early = asked.lessons().stream()
                .filter(lesson -> lastFirst == null || !lesson.date().isAfter(lastFirst))
                .count();
        long standing = asked.items().stream().filter(Item::standing).count();
        return new Timetable.Bounds(
                (int) early - 1,
                asked.grading() == null ? -1 : asked.grading().toEpochDay(),
                asked.mostFalls(),
                standing > 0 && standing < asked.items().size(),
                !asked.was().isEmpty());
    }
}

package lynchet.core.term.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/** Terms built backwards from a plan that holds, and a slow look at a plan in plain loops that knows nothing of the planner. */
final class PlannedByHand {

    static final LocalDate MONDAY = LocalDate.of(2026, 2, 16);

    private PlannedByHand() {}

    static List<Lesson> lessons(int weeks, int slots, int minutes, int fresh) {
        List<Lesson> all = new ArrayList<>();
        for (int week = 0; week < weeks; week++) {
            for (int slot = 0; slot < slots; slot++) {
                LocalDate monday = MONDAY.plusWeeks(week);
                all.add(new Lesson(
                        "c" + all.size(),
                        all.size(),
                        monday.plusDays(2L * slot),
                        monday,
                        "slot-" + slot,
                        minutes,
                        fresh,
                        true));
            }
        }
        return all;
    }

    static Item item(String id, boolean must, int first, int again, String... needs) {
        return new Item(id, id, must, true, id.hashCode() % 2 == 0, first, again, 0, Set.of(needs), Set.of(), null);
    }

    static PlanningTask asked(List<Lesson> lessons, List<Item> items, LocalDate grading) {
        return new PlanningTask(lessons, items, grading, 60, Map.of(), Map.of());
    }

    /** A term that a plan is known for, with hardly more room than that plan takes. */
    static PlanningTask backwards(Random random) {
        int weeks = 10 + random.nextInt(6);
        int slots = 1 + random.nextInt(3);
        int many = weeks * slots;
        int[] minutes = new int[many];
        int[] fresh = new int[many];
        double[] falls = new double[many];
        int lastFirst = Math.max(4, many - 3 * slots - 1);
        List<Item> items = new ArrayList<>();
        Map<String, Integer> firsts = new TreeMap<>();
        for (int n = 0; n < 4 + random.nextInt(2 * many); n++) {
            int again = 8 + random.nextInt(5);
            int first = again + 4 + random.nextInt(8);
            int at = random.nextInt(lastFirst);
            double fall = random.nextInt(3) == 0 ? 16 : 0;
            SortedSet<Integer> on = new TreeSet<>(Set.of(at));
            while (on.size() < 4) {
                on.add(at + 1 + random.nextInt(many - at - 1));
            }
            String id = String.format("item-%02d", n);
            boolean bears = fresh[at] < 2
                    && on.stream().allMatch(c -> minutes[c] + again <= 45 && falls[c] + fall <= 48)
                    && minutes[at] + first <= 45;
            if (!bears) {
                continue;
            }
            Set<String> needs = new TreeSet<>();
            firsts.forEach((other, its) -> {
                if (its < at && random.nextInt(4) == 0 && needs.size() < 2) {
                    needs.add(other);
                }
            });
            on.forEach(c -> {
                minutes[c] += c == at ? first : again;
                falls[c] += fall;
            });
            fresh[at]++;
            firsts.put(id, at);
            items.add(new Item(id, id, true, true, random.nextBoolean(), first, again, fall, needs, Set.of(), null));
        }
        List<Lesson> lessons = new ArrayList<>();
        for (Lesson lesson : lessons(weeks, slots, 0, 2)) {
            lessons.add(new Lesson(
                    lesson.id(),
                    lesson.index(),
                    lesson.date(),
                    lesson.week(),
                    lesson.slot(),
                    Math.max(24, minutes[lesson.index()] + random.nextInt(8)),
                    2,
                    true));
        }
        LocalDate last = lessons.get(lastFirst).date();
        return new PlanningTask(lessons, items, last.plusDays(PlanningTask.WEEKS_BEFORE), 48, Map.of(), Map.of());
    }

    /** Every rule that a plan breaks, in plain loops. */
    static List<String> broken(PlanningTask asked, Planner.Placing plan) {
        List<String> broken = new ArrayList<>();
        int[] minutes = new int[asked.lessons().size()];
        int[] fresh = new int[minutes.length];
        double[] falls = new double[minutes.length];
        for (Item item : asked.items()) {
            List<Integer> on = List.copyOf(plan.of(item.id()));
            if (item.must() && on.size() < 4) {
                broken.add(item + " is met " + on.size() + " times");
            }
            for (int n = 0; n < on.size(); n++) {
                int c = on.get(n);
                boolean isSet =
                        asked.set().getOrDefault(item.id(), new TreeSet<>()).contains(c);
                if (!asked.lessons().get(c).open() && !isSet) {
                    broken.add(item + " stands in the past");
                }
                minutes[c] += n == 0 && item.fresh() ? item.first() : item.again();
                fresh[c] += n == 0 && item.fresh() ? 1 : 0;
                falls[c] += item.falls();
            }
            asked.set().getOrDefault(item.id(), new TreeSet<>()).stream()
                    .filter(c -> !on.contains(c))
                    .forEach(c -> broken.add(item + " was kept in " + c));
            if (on.isEmpty()) {
                continue;
            }
            for (String need : item.needs()) {
                Item other = asked.items().stream()
                        .filter(one -> one.id().equals(need))
                        .findFirst()
                        .orElseThrow();
                SortedSet<Integer> its = plan.of(need);
                if (other.fresh() && (its.isEmpty() || its.first() >= on.get(0))) {
                    broken.add(item + " comes before " + need);
                }
            }
            if (item.must()
                    && item.fresh()
                    && asked.grading() != null
                    && asked.lessons()
                            .get(on.get(0))
                            .date()
                            .isAfter(asked.grading().minusDays(21))) {
                broken.add(item + " is shown too late");
            }
        }
        for (Lesson lesson : asked.lessons()) {
            int c = lesson.index();
            if (lesson.open()
                    && (minutes[c] > lesson.minutes() || fresh[c] > lesson.fresh() || falls[c] > asked.mostFalls())) {
                broken.add(lesson + " bears " + minutes[c] + " min, " + fresh[c] + " new, " + falls[c] + " falls");
            }
        }
        return broken;
    }
}

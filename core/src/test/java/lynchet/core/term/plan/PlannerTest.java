package lynchet.core.term.plan;

import static lynchet.core.term.plan.PlannedByHand.MONDAY;
import static lynchet.core.term.plan.PlannedByHand.asked;
import static lynchet.core.term.plan.PlannedByHand.broken;
import static lynchet.core.term.plan.PlannedByHand.item;
import static lynchet.core.term.plan.PlannedByHand.lessons;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Plans looked at by plain loops that know nothing of the planner. */
class PlannerTest {

    private static Planner.Placing plan(PlanningTask asked) {
        return Planner.plan(asked, Planner.Watch.NOBODY, 1);
    }

    private static final long FIRST_TERM = 0xf057291L;
    private static final int TERMS = 200;

    @Test
    void termsThatHaveAPlanGetOne() {
        List<Long> unsolved = new ArrayList<>();
        for (long seed = FIRST_TERM; seed < FIRST_TERM + TERMS; seed++) {
            PlanningTask asked = PlannedByHand.backwards(new Random(seed));
            assertThat(Impossible.of(asked)).as("term %d", seed).isEmpty();
            // What must be there, and now and then the wishes as well: they may break nothing.
            Planner.Placing plan = Planner.plan(asked, Planner.Watch.NOBODY, seed % 20 == 0 ? 1 : 0);
            List<String> broken = broken(asked, plan);
            assertThat(broken).as("term %d: only what is owed", seed).allMatch(one -> one.contains("is met"));
            assertThat(plan.owed()).as("term %d owes it: %s", seed, broken).isEqualTo(missing(asked, plan));
            if (!broken.isEmpty()) {
                unsolved.add(seed);
            }
        }
        assertThat(unsolved).as("of %s", TERMS).hasSizeLessThanOrEqualTo(TERMS / 100);
    }

    private static int missing(PlanningTask asked, Planner.Placing plan) {
        int missing = 0;
        for (Item item : asked.items()) {
            for (int n = plan.of(item.id()).size(); item.must() && n < 4; n++) {
                missing++;
            }
        }
        return missing;
    }

    /** Fewer classes than an item is to be met in: what has no class is owed all the same. */
    @Test
    void whatHasNoClassIsOwed() {
        List<Item> four = fourteen().subList(0, 4);
        for (int classes = 0; classes < 4; classes++) {
            PlanningTask asked = asked(lessons(classes, 1, 200, 9), four, null);
            Planner.Placing plan = plan(asked);
            assertThat(plan.owed()).as("%d classes", classes).isEqualTo(missing(asked, plan));
            assertThat(plan.owed()).as("%d classes", classes).isGreaterThanOrEqualTo(16 - 4 * classes);
        }
        assertThat(plan(asked(List.of(), four, null)).owed()).isEqualTo(16);
    }

    private static List<Item> fourteen() {
        List<Item> items = new ArrayList<>();
        for (int n = 0; n < 14; n++) {
            items.add(item(
                    "i" + (char) ('a' + n), n < 11, 14, 10, n > 1 && n % 3 == 0 ? new String[] {"ia"} : new String[0]));
        }
        return items;
    }

    @Test
    void theSameQuestionHasTheSameAnswer() {
        PlanningTask asked = asked(lessons(14, 2, 45, 2), fourteen(), MONDAY.plusWeeks(14));
        Planner.Placing plan = plan(asked);
        assertThat(broken(asked, plan)).isEmpty();
        assertThat(plan(asked)).isEqualTo(plan);
        assertThat(plan.at().keySet()).as("there is time for all").hasSize(14);
    }

    /** A year of four tracks with three classes a week each: 624 classes. */
    @Test
    void aYearOfFourTracksHolds() {
        for (int track = 0; track < 4; track++) {
            List<Item> items = new ArrayList<>();
            for (int n = 0; n < 70; n++) {
                String id = String.format("i%02d", n);
                String[] needs = n % 5 > track ? new String[] {String.format("i%02d", n - 1)} : new String[0];
                items.add(item(id, n % 4 > 0, 12 + n % 3 * 4, 8 + n % 3, needs));
            }
            PlanningTask asked = asked(lessons(52, 3, 45, 2), items, MONDAY.plusWeeks(52));
            Planner.Placing plan = Planner.plan(asked, Planner.Watch.NOBODY, track == 0 ? 1 : 0);
            assertThat(broken(asked, plan)).as("track %d", track).isEmpty();
            if (track == 3) {
                PlanningTask again = cancelled(asked, plan, 60);
                assertThat(changed(plan, plan(again), 156))
                        .as("one class of a year")
                        .isLessThanOrEqualTo(4);
            }
        }
    }

    /** A class is cancelled: what stood in it finds another place, and hardly anything else moves. */
    @Test
    void aCancelledClassChangesLittle() {
        List<Integer> changed = new ArrayList<>();
        for (int many = 12; many <= 14; many++) {
            List<Lesson> lessons = lessons(14, 2, 45, 2);
            PlanningTask first = asked(lessons, fourteen().subList(0, many), MONDAY.plusWeeks(14));
            Planner.Placing plan = plan(first);
            for (int off = 4; off < 24; off += 2) {
                PlanningTask again = cancelled(first, plan, off);
                Planner.Placing replan = plan(again);
                assertThat(broken(again, replan)).as("without class %d", off).isEmpty();
                changed.add(changed(plan, replan, lessons.size()));
            }
        }
        assertThat(changed).hasSize(30);
        changed.sort(null);
        assertThat(changed.get(changed.size() / 2))
                .as("classes that change: %s", changed)
                .isLessThanOrEqualTo(4);
    }

    /** Everything before it has happened; the class itself bears nothing any more. */
    private static PlanningTask cancelled(PlanningTask first, Planner.Placing plan, int off) {
        List<Lesson> left = first.lessons().stream()
                .map(l -> new Lesson(
                        l.id(),
                        l.index(),
                        l.date(),
                        l.week(),
                        l.slot(),
                        l.index() == off ? 0 : l.minutes(),
                        l.fresh(),
                        l.index() > off))
                .toList();
        Map<String, SortedSet<Integer>> done = new TreeMap<>();
        plan.at().forEach((item, on) -> done.put(item, new TreeSet<>(on.headSet(off))));
        return new PlanningTask(left, first.items(), first.grading(), first.mostFalls(), done, plan.at());
    }

    private static int changed(Planner.Placing before, Planner.Placing after, int many) {
        return (int) IntStream.range(0, many)
                .filter(c -> !in(before, c).equals(in(after, c)))
                .count();
    }

    private static Set<String> in(Planner.Placing plan, int c) {
        Set<String> items = new TreeSet<>();
        plan.at().forEach((item, on) -> {
            if (on.contains(c)) {
                items.add(item);
            }
        });
        return items;
    }

    @Test
    void whatIsKeptStaysAndAThemeHasItsWeek() {
        List<Item> items = fourteen();
        Item themed = new Item("theme", "theme", false, true, true, 14, 10, 0, Set.of(), Set.of(), MONDAY.plusWeeks(6));
        items.add(themed);
        PlanningTask asked = new PlanningTask(
                lessons(14, 2, 45, 2), items, null, 60, Map.of("ib", new TreeSet<>(Set.of(9, 20))), Map.of());
        Planner.Placing plan = plan(asked);
        assertThat(broken(asked, plan)).isEmpty();
        assertThat(plan.of("ib")).contains(9, 20);
        assertThat(plan.of("ib").first())
                .as("it is shown where it is kept first")
                .isEqualTo(9);
        assertThat(plan.of("theme")).containsAnyOf(12, 13);
    }

    /** Minutes that are free are used for what has been shown; never in the very next class, and no class stands empty. */
    @Test
    void freeMinutesAreUsed() {
        List<Item> items = fourteen().subList(0, 7);
        PlanningTask asked = asked(lessons(14, 2, 45, 2), items, MONDAY.plusWeeks(14));
        Planner.Placing bare = Planner.plan(asked, Planner.Watch.NOBODY, 0);
        assertThat(broken(asked, bare)).isEmpty();
        int meetings = bare.at().values().stream().mapToInt(Set::size).sum();
        assertThat(meetings).as("28 for what must be, and more").isGreaterThan(7 * 6);
        bare.at().values().forEach(on -> assertThat(on).hasSizeLessThanOrEqualTo(28 / 4));
        Planner.Placing plan = plan(asked);
        assertThat(broken(asked, plan)).isEmpty();
        assertThat(IntStream.range(0, 28).filter(n -> in(plan, n).isEmpty())).isEmpty();
        items.forEach(item -> assertThat(bare.of(item.id()).last())
                .as("in the last weeks as well")
                .isGreaterThanOrEqualTo(24));
    }

    @Test
    void nothingIsMetAgainInTheVeryNextClassToFillIt() {
        PlanningTask asked = asked(lessons(12, 1, 45, 2), List.of(item("one", true, 16, 10)), MONDAY.plusWeeks(12));
        Planner.Placing bare = new Planner.Placing(Map.of("one", new TreeSet<>(Set.of(2, 7))), 2);
        SortedSet<Integer> on =
                FillFreeMinutes.used(asked, bare, lesson -> true).of("one");
        assertThat(on).hasSizeGreaterThan(3).contains(2, 7);
        assertThat(on.first()).isEqualTo(2);
        assertThat(on).noneMatch(n -> on.contains(n + 1));
    }

    @Test
    void whoeverLooksOnMayEndIt() {
        PlanningTask asked = asked(lessons(14, 2, 45, 2), fourteen(), MONDAY.plusWeeks(14));
        assertThatThrownBy(() -> Planner.plan(asked, (best, slice, of) -> {
                    assertThat(best.owed()).isLessThanOrEqualTo(44);
                    throw new IllegalStateException("enough");
                }))
                .hasMessage("enough");
    }
}

package lynchet.core.term.plan;

import static lynchet.core.term.plan.PlannedByHand.MONDAY;
import static lynchet.core.term.plan.PlannedByHand.asked;
import static lynchet.core.term.plan.PlannedByHand.item;
import static lynchet.core.term.plan.PlannedByHand.lessons;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.term.plan.Impossible.Rule;
import org.junit.jupiter.api.Test;

/** Rules planted one by one: each is named, with the smallest relief. */
class ImpossibleTest {

    private static Impossible only(PlanningTask asked) {
        List<Impossible> found = Impossible.of(asked);
        assertThat(found).hasSize(1);
        return found.get(0);
    }

    private static List<Item> many(int n) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            items.add(item("i" + (char) ('a' + i), true, 16, 10));
        }
        return items;
    }

    @Test
    void aCycle() {
        Impossible cycle = only(asked(
                lessons(14, 1, 45, 2),
                List.of(item("a", true, 16, 10, "c"), item("b", true, 16, 10), item("c", true, 16, 10, "a")),
                null));
        assertThat(cycle.rule()).isEqualTo(Rule.CYCLE);
        assertThat(cycle.items()).containsExactlyInAnyOrder("a", "c");
        assertThat(cycle.sentence()).isEqualTo("a and c need each other first.");
    }

    @Test
    void anItemThatNoClassIsLongEnoughFor() {
        Impossible found = only(asked(lessons(14, 1, 20, 2), List.of(item("a", true, 31, 10)), null));
        assertThat(found.rule()).isEqualTo(Rule.TOO_LONG);
        assertThat(found.relief()).isEqualTo("Give a class 11 minutes more, or drop a.");
    }

    @Test
    void tooFewClasses() {
        Impossible found = only(asked(lessons(3, 1, 90, 2), List.of(item("a", true, 16, 10)), null));
        assertThat(found.rule()).isEqualTo(Rule.FEW_CLASSES);
        assertThat(found.relief()).startsWith("One class more");
    }

    private static List<Lesson> byHand(int open, int byHand) {
        List<Lesson> all = new ArrayList<>();
        for (Lesson one : lessons(open + byHand, 1, 90, 2)) {
            boolean isOpen = all.size() < open;
            all.add(new Lesson(
                    one.id(), one.index(), one.date(), one.week(), one.slot(), one.minutes(), 2, isOpen, !isOpen));
        }
        return all;
    }

    /** Three Wednesdays stand there, and "there are no classes left" would be a lie. */
    @Test
    void whereACoachHasMadeEveryClassThatIsWhatIsSaid() {
        Impossible found = only(asked(byHand(0, 3), List.of(item("a", true, 16, 10)), null));
        assertThat(found.rule()).isEqualTo(Rule.BY_HAND);
        assertThat(found.sentence())
                .startsWith("All 3 classes to come were made by hand (")
                .doesNotContain(" 0 ");
        assertThat(only(asked(byHand(0, 1), List.of(item("a", true, 16, 10)), null))
                        .sentence())
                .startsWith("The one class to come was made by hand (");
        assertThat(only(asked(byHand(2, 3), List.of(item("a", true, 16, 10)), null))
                        .sentence())
                .isEqualTo(
                        "There are 2 classes left for the plan, beside 3 made by hand, and a is to be met four times.");
    }

    @Test
    void anExamTooEarly() {
        Impossible found = only(asked(
                lessons(14, 1, 45, 2),
                List.of(item("a", true, 16, 10), item("b", true, 16, 10, "a"), item("c", true, 16, 10, "b")),
                MONDAY.plusWeeks(4)));
        assertThat(found.rule()).isEqualTo(Rule.EXAM_EARLY);
        assertThat(found.items()).containsExactly("c");
        assertThat(found.relief())
                .as("a third class fits before a week later")
                .isEqualTo("Examine on or after " + MONDAY.plusWeeks(5) + ", or let it come if time allows.");
    }

    @Test
    void moreNewItemsThanTheClassesBear() {
        Impossible found = only(asked(lessons(8, 1, 200, 1), many(7), MONDAY.plusWeeks(8)));
        assertThat(found.rule()).isEqualTo(Rule.MANY_NEW);
        assertThat(found.sentence())
                .isEqualTo("7 items are new, and the 6 classes until three weeks before the grading bear 6.");
        assertThat(found.relief()).isEqualTo("One class more, one more new item a class, or drop 1 of them.");
    }

    @Test
    void moreThanThereIsTimeFor() {
        Impossible found = only(asked(lessons(10, 1, 22, 2), many(5), null));
        assertThat(found.rule()).isEqualTo(Rule.TIME);
        assertThat(found.sentence()).isEqualTo("What must be there takes 230 minutes, and the classes left have 220.");
        assertThat(found.relief()).isEqualTo("One class more, or drop one of ia, ib, ic and 2 more.");
        Impossible two = only(asked(lessons(10, 1, 17, 2), many(5), null));
        assertThat(two.relief()).isEqualTo("4 classes more, or drop ia and ib.");
    }

    @Test
    void moreFallsThanAClassBears() {
        Item thrown = new Item("t", "the throw", true, true, true, 16, 10, 16, Set.of(), Set.of(), null);
        Impossible found = only(new PlanningTask(lessons(6, 1, 45, 2), List.of(thrown), null, 10, Map.of(), Map.of()));
        assertThat(found.rule()).isEqualTo(Rule.FALLS);
        assertThat(found.sentence()).isEqualTo("the throw throw everybody more often than a class bears, 10 times.");
    }

    /** Nothing alone is in the way, but two that each need every class cannot both have it. */
    @Test
    void whatOnlyTogetherHasNoPlace() {
        PlanningTask asked =
                asked(lessons(4, 1, 29, 2), List.of(item("a", true, 16, 10), item("b", true, 16, 10)), null);
        assertThat(Impossible.of(asked)).isEmpty();
        Planner.Placing plan = Planner.plan(asked, Planner.Watch.NOBODY, 1);
        assertThat(plan.owed()).isPositive();
        assertThat(Impossible.together(asked, plan).rule()).isEqualTo(Rule.TOGETHER);
        assertThat(Impossible.together(asked, plan).relief()).contains("if time allows");
    }
}

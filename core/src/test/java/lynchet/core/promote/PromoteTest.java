package lynchet.core.promote;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Standard;
import lynchet.core.people.Condition;
import lynchet.core.people.Promotion;
import lynchet.core.people.Readiness;
import lynchet.core.people.Readiness.Verdict;
import lynchet.core.people.Student;
import lynchet.core.people.StudentBuilder;
import lynchet.core.people.Training;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusGroup;
import org.junit.jupiter.api.Test;

/** Flags on the bank, belts to order, and where a junior goes on. */
class PromoteTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
    private static final Policy POLICY =
            new Policy(null, null, 0, false, List.of(3, 7, 11), 0, 0, 0, null, false, false, false);

    private static Readiness readiness(Verdict verdict, int met, int of, int passedOver) {
        List<Condition> conditions = java.util.stream.IntStream.range(0, of)
                .mapToObj(i -> new Condition(Condition.Code.SYLLABUS, "x", i < met, "", "", "", null))
                .toList();
        return new Readiness(
                "ana", "adult", "white", "yellow", verdict, conditions, null, null, null, null, passedOver);
    }

    private static Flag flag(Verdict verdict, int passedOver, boolean isPutForward) {
        return Flag.of(readiness(verdict, 3, 4, passedOver), isPutForward, DAY.withDayOfMonth(1));
    }

    /** At the window of March: the person who is there on a day. */
    private static Flag.Sign there(LocalDate day) {
        Readiness on = readiness(Verdict.NOT_YET, 3, 4, 0);
        Readiness known = new Readiness(
                "ana", "adult", "white", "yellow", on.verdict(), on.conditions(), null, null, day, null, 0);
        return Flag.of(known, false, DAY.withDayOfMonth(1)).sign();
    }

    @Test
    void aFlagStandsAsFarUpAsConditionsAreMetAndSaysWhatPressesMost() {
        assertThat(flag(Verdict.NOT_YET, 0, false).share()).isEqualTo(0.75);
        assertThat(Flag.of(readiness(Verdict.ELIGIBLE, 0, 0, 0), false, DAY).share())
                .isEqualTo(1);
        assertThat(flag(Verdict.NOT_YET, 0, false).sign()).isEqualTo(Flag.Sign.ON_THE_WAY);
        assertThat(there(LocalDate.of(2026, 3, 31))).isEqualTo(Flag.Sign.BY_WINDOW);
        assertThat(there(LocalDate.of(2026, 4, 1))).as("a day late").isEqualTo(Flag.Sign.ON_THE_WAY);
        assertThat(flag(Verdict.ELIGIBLE, 1, false).sign()).isEqualTo(Flag.Sign.READY);
        assertThat(flag(Verdict.ELIGIBLE, 2, false).sign()).isEqualTo(Flag.Sign.PASSED_OVER);
        assertThat(flag(Verdict.CANDIDATE, 2, true).sign()).isEqualTo(Flag.Sign.PUT_FORWARD);
        assertThat(flag(Verdict.NOT_YET, 0, true).sign())
                .as("before everything is met")
                .isEqualTo(Flag.Sign.PUT_FORWARD);
        assertThat(flag(Verdict.HELD, 3, true).sign()).isEqualTo(Flag.Sign.HELD);
    }

    @Test
    void aWindowIsThatOfTheMonthOrTheNextOne() {
        assertThat(POLICY.window(DAY)).isEqualTo(LocalDate.of(2026, 3, 1));
        assertThat(POLICY.window(LocalDate.of(2026, 3, 31))).isEqualTo(LocalDate.of(2026, 3, 1));
        assertThat(POLICY.window(LocalDate.of(2026, 4, 1))).isEqualTo(LocalDate.of(2026, 7, 1));
        assertThat(POLICY.window(LocalDate.of(2026, 12, 1))).isEqualTo(LocalDate.of(2027, 3, 1));
        Policy any = new Policy(null, null, 0, false, null, 0, 0, 0, null, false, false, false);
        assertThat(any.window(LocalDate.of(2026, 5, 9))).isEqualTo(LocalDate.of(2026, 5, 1));
        assertThatThrownBy(() -> new Nomination("n", "ana", "adult", "white", DAY, null, null, null, null))
                .hasMessageContaining("first of a month");
    }

    @Test
    void whatIsWantedLessWhatIsThereIsOrdered() {
        List<String> yellow = List.of("yellow");
        List<String> orange = List.of("orange");
        BeltOrder order = BeltOrder.of(
                List.of(
                        new BeltOrder.NeededBelt("a", yellow, "260"),
                        new BeltOrder.NeededBelt("b", yellow, " 260"),
                        new BeltOrder.NeededBelt("c", yellow, "240"),
                        new BeltOrder.NeededBelt("d", orange, null),
                        new BeltOrder.NeededBelt("e", List.of("white", "yellow"), "240")),
                List.of(
                        new Belt("1", yellow, "260", 1),
                        new Belt("2", yellow, "240", 3),
                        new Belt("3", orange, "260", 3)));
        assertThat(order.lines())
                .containsExactly(
                        new BeltOrder.BeltLine(List.of("white", "yellow"), "240", 1, 0, 1),
                        new BeltOrder.BeltLine(yellow, "240", 1, 3, 0),
                        new BeltOrder.BeltLine(yellow, "260", 2, 1, 1));
        assertThat(order.unsized()).containsExactly("d");
    }

    private static Item item(String id, String technique) {
        return new Item(id, Item.Kind.TECHNIQUE, technique, null, null, Standard.SHOWN, Sides.EITHER, null, 0, 0);
    }

    private static Rank rank(String id, SyllabusGroup... groups) {
        return new Rank(id, id, List.of("white"), 0, 0, 0, List.of(groups));
    }

    private static Student born(LocalDate born) {
        return StudentBuilder.builder()
                .id("ana")
                .name("Ana")
                .born(born)
                .joined(DAY.minusYears(3))
                .build();
    }

    private static Optional<HandOver> over(
            Student who, Training training, Ladder junior, Ladder adult, LocalDate until) {
        return HandOver.of(who, training.state(junior, adult), junior, Optional.of(adult), new TinyMap().map(), until);
    }

    /** Fifteen on 1 March: told on that day; lands at yellow, and of white's choice of two of three, one is short. */
    @Test
    void whoGrowsOutOfALadderLandsWhereTheTableSays() {
        Ladder adult = new Ladder(
                "adult",
                "Adult",
                0,
                0,
                null,
                false,
                List.of(
                        rank(
                                "white",
                                new SyllabusGroup("One", 0, List.of(item("i1", "hip-bump"))),
                                new SyllabusGroup(
                                        "Two",
                                        2,
                                        List.of(item("i2", "foot-sweep"), item("i3", "choke"), item("i4", "lock")))),
                        rank("yellow", new SyllabusGroup("Three", 0, List.of(item("i5", "lock"))))),
                POLICY,
                null,
                null,
                null,
                null);
        Ladder junior = new Ladder(
                "junior",
                "Junior",
                5,
                15,
                null,
                false,
                List.of(rank("j1"), rank("j2")),
                POLICY,
                "adult",
                Map.of("j1", "yellow"),
                null,
                null);
        Training training = new Training();
        training.pass("choke");
        training.promotions.add(Promotion.fromBefore("p", "ana", "junior", "j1", 0, DAY));
        Student fifteen = born(LocalDate.of(2011, 3, 1));
        LocalDate birthday = LocalDate.of(2026, 3, 1);
        Optional<HandOver> there = over(fifteen, training, junior, adult, birthday);
        assertThat(there).hasValueSatisfying(over -> {
            assertThat(over.on()).isEqualTo(birthday);
            assertThat(over.toRank()).isEqualTo("yellow");
            assertThat(over.never()).extracting(Item::id).containsExactly("i1", "i2");
        });
        assertThat(over(fifteen, training, junior, adult, birthday.minusDays(1)))
                .isEmpty();
        assertThat(over(born(null), training, junior, adult, birthday))
                .as("nobody knows how old")
                .isEmpty();
        training.promotions.set(0, Promotion.fromBefore("p", "ana", "junior", "j2", 0, DAY));
        assertThat(over(fifteen, training, junior, adult, birthday))
                .as("the table says nothing for that rank")
                .hasValueSatisfying(over -> assertThat(over.toRank()).isNull());
        training.promotions.add(Promotion.fromBefore("q", "ana", "adult", "white", 0, DAY));
        assertThat(over(fifteen, training, junior, adult, birthday))
                .as("goes on there already")
                .isEmpty();
    }
}

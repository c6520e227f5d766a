package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusGroup;
import org.junit.jupiter.api.Test;

class PassedOverTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);
    private static final LocalDate SINCE = LocalDate.of(2025, 1, 10);

    private final GrapplingMap map = new TinyMap()
            .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
            .add(TinyMap.card("foot-sweep", Family.THROW, 2, List.of(), List.of("side-fall")))
            .cost("bridge", 1)
            .map();
    private final List<Mark> marks = new ArrayList<>();
    private final List<Hold> holds = new ArrayList<>();
    private List<Integer> months = List.of(3, 7, 11);
    private final List<Restriction> limits = new ArrayList<>();
    private Readiness.Besides besides = Readiness.Besides.NOTHING;
    private boolean countsBesides;
    private int choose;
    private int minAge;
    private int minWeeks;
    private Sides sides = Sides.EITHER;

    private void pass(String subject, Side side, LocalDate day) {
        marks.add(MarkBuilder.builder()
                .id("m" + marks.size())
                .student("ana")
                .subject(subject)
                .side(side)
                .standard(Standard.SHOWN)
                .passed(true)
                .at(day.atTime(19, 0).toInstant(ZoneOffset.UTC))
                .by("coach")
                .build());
    }

    private static Item item(String technique, Sides sides) {
        return new Item(
                technique + "-item", Item.Kind.TECHNIQUE, technique, null, null, Standard.SHOWN, sides, null, 0, 0);
    }

    private int windows(LocalDate classesMet) {
        List<Item> items = List.of(item("foot-sweep", sides), item("bridge", Sides.EITHER));
        Rank white = new Rank(
                "white", "White", List.of("white"), 0, 0, minWeeks, List.of(new SyllabusGroup("All", choose, items)));
        Rank yellow = new Rank("yellow", "Yellow", List.of("yellow"), 0, minAge, 0, List.of());
        Policy policy =
                new Policy(null, null, 0, true, months, 40, 2, 0.6, null, countsBesides, countsBesides, countsBesides);
        Ladder ladder =
                new Ladder("adult", "Adult", 0, 0, null, false, List.of(white, yellow), policy, null, null, null, null);
        Student ana = StudentBuilder.builder()
                .id("ana")
                .name("Ana Test")
                .born(LocalDate.of(2010, 8, 2))
                .joined(SINCE)
                .holds(holds)
                .restrictions(limits)
                .build();
        HeldRank held = new HeldRank("adult", "white", 0, SINCE, false);
        StudentState state = new StudentState(
                null,
                new HashMap<>(Map.of("adult", new LadderCount(held, 0, null))),
                Map.of(),
                MarkBook.of(marks),
                List.of());
        Readiness.Question asked = new Readiness.Question(
                ana,
                state,
                Recent.NONE,
                ladder,
                map,
                Map.of(),
                ClubPace.of(List.of(), List.of()),
                TODAY,
                Readiness.Eyes.COACH,
                besides);
        return PassedOver.windows(asked, classesMet);
    }

    private void allPassedBy(LocalDate day) {
        pass("foot-sweep", Side.BOTH, day);
        pass("bridge", Side.BOTH, day);
        pass("side-fall", Side.BOTH, SINCE);
    }

    /** Each is a condition of the belt: no window before the last of them counts against the coach. */
    @Test
    void windowsBeforeAnyConditionWasThereAreNotPassedOver() {
        allPassedBy(LocalDate.of(2026, 2, 2));
        LocalDate summer = LocalDate.of(2026, 8, 1);
        countsBesides = true;
        assertThat(windows(SINCE)).isEqualTo(3);
        besides = new Readiness.Besides(false, 0, null, summer, SINCE);
        assertThat(windows(SINCE)).as("the chart was seen in August").isEqualTo(1);
        besides = new Readiness.Besides(false, 0, null, SINCE, summer);
        assertThat(windows(SINCE)).as("conduct").isEqualTo(1);
        besides = new Readiness.Besides(false, 3, summer, null, null);
        assertThat(windows(SINCE)).as("the seminar that made up the classes").isEqualTo(1);
        countsBesides = false;
        assertThat(windows(SINCE)).as("none of them is asked for").isEqualTo(3);
    }

    @Test
    void aWindowInWhichALimitHeldIsNotPassedOver() {
        allPassedBy(LocalDate.of(2026, 2, 2));
        limits.add(
                new Restriction(Restriction.Kind.NO_LIVE, LocalDate.of(2026, 6, 20), LocalDate.of(2026, 7, 1), "knee"));
        assertThat(windows(SINCE)).isEqualTo(2);
        limits.set(0, new Restriction(Restriction.Kind.NO_LIVE, LocalDate.of(2026, 8, 1), null, "knee"));
        assertThat(windows(SINCE)).isEqualTo(2);
        limits.set(
                0,
                new Restriction(
                        Restriction.Kind.NO_LIVE, LocalDate.of(2026, 6, 20), LocalDate.of(2026, 6, 30), "knee"));
        assertThat(windows(SINCE)).isEqualTo(3);
    }

    /** The worked case: met on 2 February, windows in March, July and November, 1 December today. */
    @Test
    void windowsThatAreOverAreCounted() {
        allPassedBy(LocalDate.of(2026, 1, 5));
        assertThat(windows(LocalDate.of(2026, 2, 2))).isEqualTo(3);
        assertThat(windows(LocalDate.of(2026, 3, 31)))
                .as("the window of that month was there to be used")
                .isEqualTo(3);
        assertThat(windows(LocalDate.of(2026, 4, 1))).isEqualTo(2);
        assertThat(windows(TODAY)).isZero();
        months = List.of(12);
        assertThat(windows(LocalDate.of(2026, 2, 2)))
                .as("this month is not over")
                .isZero();
        months = List.of();
        assertThat(windows(LocalDate.of(2026, 9, 2))).as("every month is one").isEqualTo(3);
    }

    @Test
    void whatWasMetLastBeginsIt() {
        allPassedBy(LocalDate.of(2026, 5, 5));
        assertThat(windows(SINCE)).isEqualTo(2);
        pass("side-fall", Side.BOTH, LocalDate.of(2026, 8, 8));
        assertThat(windows(SINCE)).as("a fall that the throw needs").isEqualTo(1);
        minWeeks = 101;
        assertThat(windows(SINCE)).as("in the rank until the end of the year").isZero();
    }

    @Test
    void anAgeBeginsItAndAHoldTakesAWindowOut() {
        allPassedBy(LocalDate.of(2026, 1, 5));
        minAge = 16;
        assertThat(windows(SINCE)).as("sixteen in August").isEqualTo(1);
        minAge = 0;
        holds.add(new Hold(LocalDate.of(2026, 6, 1), null, "calm first", "head", LocalDate.of(2026, 7, 20), null));
        assertThat(windows(SINCE)).as("held in July").isEqualTo(2);
        holds.add(new Hold(LocalDate.of(2026, 11, 30), null, "again", "head", null, null));
        assertThat(windows(SINCE)).isEqualTo(1);
    }

    /** One of two was enough: the earlier of both. On both sides the later side. */
    @Test
    void aChoiceIsMetByTheFirstAndBothSidesByTheLater() {
        pass("side-fall", Side.BOTH, SINCE);
        pass("foot-sweep", Side.RIGHT, LocalDate.of(2026, 2, 2));
        pass("foot-sweep", Side.LEFT, LocalDate.of(2026, 8, 2));
        pass("bridge", Side.BOTH, LocalDate.of(2026, 12, 1));
        choose = 1;
        assertThat(windows(SINCE)).isEqualTo(3);
        sides = Sides.BOTH;
        assertThat(windows(SINCE)).isEqualTo(1);
    }
}

package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.people.Condition.Code;
import lynchet.core.people.Readiness.Verdict;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusGroup;
import org.junit.jupiter.api.Test;

/** Every condition as it is told, word for word, on both sides of its boundary. */
class ReadinessInFullTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);

    private final GrapplingMap map = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .add(TinyMap.card("back-fall", Family.BREAKFALL, 1, List.of(), List.of()))
            .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
            .add(TinyMap.card("hip-throw", Family.THROW, 2, List.of(), List.of("side-fall", "back-fall")))
            .link("sweep", "guard", "hip-bump", "s")
            .reaction("post", "sweep", "guard")
            .answer("counter", "post", "guard", "arm-drag", "s")
            .map();
    private final List<Mark> marks = new ArrayList<>();
    private final List<Hold> holds = new ArrayList<>();
    private final List<Restriction> restrictions = new ArrayList<>();
    private final Map<StudentState.SkillKey, Skill> skills = new HashMap<>();
    private List<SyllabusGroup> syllabus = List.of();
    private Policy.Stripes stripes = Policy.Stripes.BY_CLASSES;
    private List<Integer> months = List.of(3, 7, 11);
    private LocalDate since = TODAY.minusWeeks(20);
    private LocalDate born;
    private int minWeeks;
    private int minAge;
    private int classes = 30;
    private int held;
    private int recent = 8;
    private String rank = "white";
    private Readiness.Eyes eyes = Readiness.Eyes.COACH;

    private Readiness readiness() {
        Rank white = new Rank("white", "White", List.of("white"), 2, 0, minWeeks, syllabus);
        Rank yellow = new Rank("yellow", "Yellow", List.of("yellow"), 0, minAge, 0, List.of());
        Policy policy = new Policy(stripes, null, 10, true, months, 40, 2, 0.6, null, false, false, false);
        Ladder ladder =
                new Ladder("adult", "Adult", 0, 0, null, false, List.of(white, yellow), policy, null, null, null, null);
        Student ana = StudentBuilder.builder()
                .id("ana")
                .name("Ana Test")
                .born(born)
                .joined(since)
                .holds(holds)
                .restrictions(restrictions)
                .build();
        LadderCount count = new LadderCount(new HeldRank("adult", rank, held, since, false), classes, TODAY);
        StudentState state = new StudentState(null, Map.of("adult", count), skills, MarkBook.of(marks), List.of());
        return Readiness.of(new Readiness.Question(
                        ana,
                        state,
                        new Recent(recent, TODAY.minusWeeks(8)),
                        ladder,
                        map,
                        Map.of("line", "The line"),
                        new ClubPace(Set.of(TODAY.minusDays(1)), 1),
                        TODAY,
                        eyes,
                        Readiness.Besides.NOTHING))
                .orElseThrow();
    }

    private String told(Code code) {
        return readiness().conditions().stream()
                .filter(c -> c.code() == code)
                .map(c -> (c.met() ? "met" : "open") + "; " + c.label() + "; " + c.have() + " of " + c.need() + "; "
                        + c.missing() + "; " + c.by())
                .reduce((a, b) -> a + " | " + b)
                .orElse("not asked");
    }

    private void pass(String subject, Side side, Standard standard) {
        marks.add(MarkBuilder.builder()
                .id("m" + marks.size())
                .student("ana")
                .subject(subject)
                .side(side)
                .standard(standard)
                .passed(true)
                .at(Instant.EPOCH.plusSeconds(marks.size()))
                .by("coach")
                .build());
    }

    private static Item item(Item.Kind kind, String ref, Standard standard, Sides sides) {
        return new Item("i-" + ref, kind, ref, "say " + ref, null, standard, sides, null, 0, 0);
    }

    private static SyllabusGroup group(String name, int choose, Item... items) {
        return new SyllabusGroup(name, choose, List.of(items));
    }

    @Test
    void classesAreToldToTheLastOne() {
        assertThat(told(Code.CLASSES)).isEqualTo("met; Classes since White; 30 of 30; ; null");
        classes = 29;
        assertThat(told(Code.CLASSES)).startsWith("open; Classes since White; 29 of 30; 1 class to go; 2026-");
        classes = 28;
        assertThat(told(Code.CLASSES)).contains("2 classes to go");
        stripes = Policy.Stripes.BY_COACH;
        assertThat(told(Code.CLASSES)).isEqualTo("not asked");
    }

    @Test
    void aStripeIsDueAfterItsShareOfTheClasses() {
        classes = 9;
        assertThat(readiness().stripe()).satisfies(next -> {
            assertThat(next.number()).isEqualTo(1);
            assertThat(next.met()).isFalse();
            assertThat(next.have()).isEqualTo(9);
            assertThat(next.need()).isEqualTo(10);
            assertThat(next.projection().median()).isAfter(TODAY);
        });
        held = 1;
        classes = 20;
        assertThat(readiness().stripe()).satisfies(next -> {
            assertThat(next.number()).isEqualTo(2);
            assertThat(next.need()).isEqualTo(20);
            assertThat(next.met()).isTrue();
        });
        held = 2;
        assertThat(readiness().stripe()).isNull();
        held = 0;
        stripes = Policy.Stripes.BY_COACH;
        assertThat(readiness().stripe()).isNull();
    }

    @Test
    void timeInRankIsToldInWeeks() {
        assertThat(told(Code.TIME_IN_RANK)).isEqualTo("not asked");
        minWeeks = 12;
        since = TODAY.minusWeeks(12);
        assertThat(told(Code.TIME_IN_RANK)).isEqualTo("met; Time in rank; 12 weeks of 12 weeks; ; null");
        since = since.plusDays(1);
        assertThat(told(Code.TIME_IN_RANK))
                .isEqualTo("open; Time in rank; 11 weeks of 12 weeks; 1 week to go; " + TODAY.plusDays(1));
        since = TODAY.minusWeeks(10).plusDays(1);
        assertThat(told(Code.TIME_IN_RANK)).contains("9 weeks of 12 weeks; 3 weeks to go");
    }

    @Test
    void anAgeIsToldWithTheBirthday() {
        assertThat(told(Code.AGE)).isEqualTo("not asked");
        minAge = 16;
        assertThat(told(Code.AGE)).isEqualTo("open; Age for Yellow; unknown of 16; the birth date is not known; null");
        born = TODAY.minusYears(16);
        assertThat(told(Code.AGE)).isEqualTo("met; Age for Yellow; 16 of 16; ; null");
        born = born.plusDays(1);
        assertThat(told(Code.AGE))
                .isEqualTo("open; Age for Yellow; 15 of 16; too young until the birthday; " + TODAY.plusDays(1));
    }

    /** Anybody who is thrown in turn has passed the falls that the throws need; the fall itself asks for none. */
    @Test
    void fallsAreNamed() {
        assertThat(told(Code.FALLS)).isEqualTo("not asked");
        syllabus = List.of(group(
                "Throws",
                0,
                item(Item.Kind.TECHNIQUE, "hip-throw", Standard.SHOWN, Sides.EITHER),
                item(Item.Kind.TECHNIQUE, "side-fall", Standard.SHOWN, Sides.EITHER)));
        pass("side-fall", Side.BOTH, Standard.SHOWN);
        assertThat(told(Code.FALLS)).isEqualTo("open; Receiver's falls; 1 of 2; to be passed: back-fall; null");
        pass("back-fall", Side.BOTH, Standard.SHOWN);
        assertThat(told(Code.FALLS)).isEqualTo("met; Receiver's falls; 2 of 2; ; null");
    }

    /** Ages are not told to a viewer, who sees no birth date either: they are not judged by one. */
    @Test
    void aViewerIsNotToldOfAnAgeNorJudgedByIt() {
        minAge = 16;
        assertThat(readiness().verdict())
                .as("a coach sees that the age is not known")
                .isEqualTo(Readiness.Verdict.NOT_YET);
        eyes = Readiness.Eyes.VIEWER;
        assertThat(told(Code.AGE)).isEqualTo("not asked");
        assertThat(readiness().verdict()).isEqualTo(Readiness.Verdict.ELIGIBLE);
    }

    /** A group of which one is chosen is not open any more once one is met. */
    @Test
    void aChoiceThatIsMetIsNotOpen() {
        Item hipThrow = item(Item.Kind.TECHNIQUE, "hip-throw", Standard.SHOWN, Sides.EITHER);
        Item hipBump = item(Item.Kind.TECHNIQUE, "hip-bump", Standard.SHOWN, Sides.EITHER);
        Rank one = new Rank("r", "R", List.of("white"), 0, 0, 0, List.of(group("One of two", 1, hipThrow, hipBump)));
        Rank both = new Rank("r", "R", List.of("white"), 0, 0, 0, List.of(group("Both", 0, hipThrow, hipBump)));
        assertThat(open(one)).isEqualTo(1);
        pass("hip-bump", Side.BOTH, Standard.SHOWN);
        assertThat(open(one)).isZero();
        assertThat(open(both)).as("the group, and the falls of the throw").isEqualTo(2);
    }

    private int open(Rank asked) {
        return new Progress(new StudentState(null, Map.of(), skills, MarkBook.of(marks), List.of()), map).open(asked);
    }

    /** Of what may be chosen only that counts which was passed: the throw's falls are nobody's business before. */
    @Test
    void ofAChoiceTheFallsOfWhatWasPassedAreAsked() {
        Item hipThrow = item(Item.Kind.TECHNIQUE, "hip-throw", Standard.SHOWN, Sides.EITHER);
        Item hipBump = item(Item.Kind.TECHNIQUE, "hip-bump", Standard.SHOWN, Sides.EITHER);
        syllabus = List.of(group("One of two", 1, hipThrow, hipBump));
        assertThat(told(Code.SYLLABUS)).startsWith("open; One of two; 0 of 1; 1 more: ");
        pass("hip-bump", Side.BOTH, Standard.SHOWN);
        assertThat(told(Code.SYLLABUS)).isEqualTo("met; One of two; 1 of 1; ; null");
        assertThat(told(Code.FALLS)).isEqualTo("not asked");
        pass("hip-throw", Side.BOTH, Standard.SHOWN);
        assertThat(told(Code.FALLS)).startsWith("open; Receiver's falls; 0 of 2");
        syllabus = List.of(group("Both of two", 2, hipThrow, hipBump));
        assertThat(told(Code.FALLS)).startsWith("open; Receiver's falls; 0 of 2");
    }

    @Test
    void theSyllabusNamesFourAndCountsTheRest() {
        syllabus = List.of(
                group(
                        "Everything",
                        0,
                        item(Item.Kind.TECHNIQUE, "hip-throw", Standard.SHOWN, Sides.BOTH),
                        item(Item.Kind.COUNTER, "counter", Standard.DRILLED, Sides.EITHER),
                        item(Item.Kind.CHAIN, "line", Standard.INTRODUCED, Sides.EITHER),
                        new Item("w", Item.Kind.WORDS, null, "name the falls", null, null, null, null, 0, 0),
                        item(Item.Kind.TECHNIQUE, "hip-bump", Standard.SHOWN, Sides.EITHER),
                        item(Item.Kind.TECHNIQUE, "back-fall", Standard.SHOWN, Sides.EITHER)),
                group("One of two", 1, item(Item.Kind.POSITION_GOAL, "guard", Standard.SHOWN, Sides.EITHER)));
        pass("hip-throw", Side.RIGHT, Standard.SHOWN);
        assertThat(told(Code.SYLLABUS))
                .isEqualTo(
                        "open; Everything; 0 of 6; 6 more: hip-throw (to be passed on the left), arm-drag (3 sessions to"
                                + " go), The line (not met yet in class), name the falls (to be passed) and 2 more; null | "
                                + "open; One of two; 0 of 1; 1 more: say guard (to be passed); null");
        pass("hip-throw", Side.LEFT, Standard.LIVE);
        pass("hip-bump", Side.BOTH, Standard.MOVING);
        pass("guard", Side.BOTH, Standard.SHOWN);
        assertThat(told(Code.SYLLABUS))
                .isEqualTo(
                        "open; Everything; 2 of 6; 4 more: arm-drag (3 sessions to go), The line (not met yet in class),"
                                + " name the falls (to be passed), back-fall (to be passed); null | met; One of two; 1 of 1; ; null");
    }

    /** On both sides it is the worse one that is had; drilled is three days on each. */
    @Test
    void whatIsHadOnBothSidesIsTheWorse() {
        Item both = item(Item.Kind.TECHNIQUE, "hip-throw", Standard.SHOWN, Sides.BOTH);
        drill("hip-throw", Side.RIGHT, 4);
        drill("hip-throw", Side.LEFT, 2);
        assertThat(progress(both)).returns(Standard.INTRODUCED, Progress.ItemProgress::have);
        assertThat(progress(both)).returns(2, Progress.ItemProgress::sessions);
        drill("hip-throw", Side.LEFT, 3);
        assertThat(progress(both)).returns(Standard.DRILLED, Progress.ItemProgress::have);
        assertThat(progress(both)).returns(Fading.State.FADING, Progress.ItemProgress::fading);
        assertThat(progress(both)).returns(TODAY.minusDays(5), Progress.ItemProgress::lastPractised);
        pass("hip-throw", Side.LEFT, Standard.LIVE);
        assertThat(progress(both)).returns(Standard.DRILLED, Progress.ItemProgress::have);
        pass("hip-throw", Side.RIGHT, Standard.MOVING);
        assertThat(progress(both)).returns(Standard.MOVING, Progress.ItemProgress::have);
        assertThat(progress(both).met()).isTrue();
        assertThat(progress(item(Item.Kind.TECHNIQUE, "hip-bump", Standard.SHOWN, Sides.BOTH)))
                .returns(null, Progress.ItemProgress::have)
                .returns(null, Progress.ItemProgress::fading);
        assertThat(Progress.subjects(both, map)).containsExactlyInAnyOrder("hip-throw", "side-fall", "back-fall");
        assertThat(Progress.subjects(item(Item.Kind.COUNTER, "counter", null, null), map))
                .containsExactly("arm-drag");
        assertThat(new Item("r", Item.Kind.TECHNIQUE, "x", null, null, null, null, Role.RECEIVER, 0, 0).subject())
                .isEqualTo("x");
    }

    private void drill(String technique, Side side, int days) {
        Fading before = new Fading(days - 1, TODAY.minusDays(8), 7);
        skills.put(
                new StudentState.SkillKey(technique, side),
                new Skill(before, false, PracticeDay.drilled(TODAY.minusDays(5), 8, 0)));
    }

    private Progress.ItemProgress progress(Item item) {
        StudentState state = new StudentState(null, Map.of(), skills, MarkBook.of(marks), List.of());
        return new Progress(state, map).of(item, TODAY);
    }

    @Test
    void whatEndedStopsNobody() {
        holds.add(new Hold(TODAY.minusDays(9), null, "calm first", "head", TODAY, null));
        restrictions.add(new Restriction(Restriction.Kind.NO_LIVE, TODAY.minusDays(9), TODAY.minusDays(1), "knee"));
        restrictions.add(new Restriction(Restriction.Kind.NO_NECK, TODAY.plusDays(1), null, "later"));
        assertThat(told(Code.NO_HOLD)).isEqualTo("not asked");
        assertThat(told(Code.NO_RESTRICTION)).isEqualTo("not asked");
        assertThat(readiness().verdict()).isEqualTo(Verdict.ELIGIBLE);
        holds.add(new Hold(TODAY, null, "calm again", "head", null, null));
        restrictions.add(new Restriction(Restriction.Kind.HEAD_KNOCK, TODAY, null, null));
        assertThat(told(Code.NO_HOLD)).isEqualTo("open; No hold; held of none; calm again; null");
        assertThat(told(Code.NO_RESTRICTION)).contains("suspected concussion").endsWith("; null");
        assertThat(readiness().verdict()).isEqualTo(Verdict.HELD);
        assertThat(readiness().figures()).extracting(Promotion.Figure::code).doesNotContain(Code.NO_RESTRICTION);
    }

    /** The next window is this November's or, where that month is no window, next March's; one of another year is not near. */
    @Test
    void onTrackIsInTimeForTheNextWindow() {
        minAge = 16;
        born = TODAY.minusYears(16).plusDays(3);
        assertThat(readiness().verdict()).as("sixteen before November is over").isEqualTo(Verdict.ON_TRACK);
        assertThat(readiness().window()).isEqualTo(TODAY.plusDays(3));
        born = TODAY.minusYears(16).plusDays(20);
        assertThat(readiness().window()).isEqualTo(LocalDate.of(2027, 3, 1));
        assertThat(readiness().verdict()).isEqualTo(Verdict.NOT_YET);
        months = List.of(3, 7);
        assertThat(readiness().verdict()).isEqualTo(Verdict.ON_TRACK);
        born = TODAY.minusYears(15).plusDays(20);
        assertThat(readiness().window()).isEqualTo(LocalDate.of(2028, 3, 1));
        assertThat(readiness().verdict()).as("March, but of the year after").isEqualTo(Verdict.NOT_YET);
        born = null;
        assertThat(readiness().window()).as("nobody knows when").isNull();
        assertThat(readiness().verdict()).isEqualTo(Verdict.NOT_YET);
        assertThat(readiness().wantsReason()).isTrue();
    }

    @Test
    void atTheTopThereIsNothingToWaitFor() {
        rank = "yellow";
        minAge = 16;
        assertThat(readiness().nextRank()).isNull();
        assertThat(readiness().verdict()).isEqualTo(Verdict.NOT_YET);
        assertThat(told(Code.AGE)).isEqualTo("not asked");
        rank = "white";
        born = TODAY.minusYears(30);
        assertThat(readiness().nextRank()).isEqualTo("yellow");
        assertThat(readiness().verdict()).isEqualTo(Verdict.ELIGIBLE);
        assertThat(readiness().wantsReason()).isFalse();
        assertThat(readiness().passedOver(2).passedOver()).isEqualTo(2);
    }
}

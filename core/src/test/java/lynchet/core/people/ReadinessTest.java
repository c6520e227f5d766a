package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import lynchet.core.card.Family;
import lynchet.core.club.TinyClub;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Mark;
import lynchet.core.mat.MarkBuilder;
import lynchet.core.mat.PracticeEntry;
import lynchet.core.mat.PracticeEntryBuilder;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusGroup;
import org.junit.jupiter.api.Test;

class ReadinessTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);
    private static final LocalDate SINCE = TODAY.minusWeeks(20);

    private final GrapplingMap map = new TinyMap()
            .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
            .add(TinyMap.card("foot-sweep", Family.THROW, 2, List.of(), List.of("side-fall")))
            .map();
    private final List<TrainingClass> attended = new ArrayList<>();
    private final List<PracticeEntry> practice = new ArrayList<>();
    private final List<Mark> marks = new ArrayList<>();
    private final List<Hold> holds = new ArrayList<>();
    private final List<Restriction> restrictions = new ArrayList<>();
    private final List<Promotion> promotions =
            new ArrayList<>(List.of(Promotion.fromBefore("p0", "ana", "adult", "white", 0, SINCE)));
    private LocalDate born;
    private LocalDate memberUntil;
    private int prior;
    private Readiness.Besides besides = Readiness.Besides.NOTHING;
    private boolean countsSeminars;
    private boolean asksChart;
    private boolean asksConduct;

    private Ladder ladder(Sides sides, Standard standard) {
        Item item = new Item("i1", Item.Kind.TECHNIQUE, "foot-sweep", null, null, standard, sides, null, 0, 0);
        Rank white = new Rank(
                "white", "White", List.of("white"), 1, 0, 12, List.of(new SyllabusGroup("Throws", 0, List.of(item))));
        Rank yellow = new Rank("yellow", "Yellow", List.of("yellow"), 1, 0, 12, List.of());
        Policy policy = new Policy(
                Policy.Stripes.BY_CLASSES,
                Policy.Belt.BY_EXAM,
                10,
                true,
                List.of(3, 7, 11),
                40,
                2,
                0.6,
                null,
                countsSeminars,
                asksChart,
                asksConduct);
        return new Ladder("adult", "Adult", 0, 0, null, false, List.of(white, yellow), policy, null, null, null, null);
    }

    private void attend(int classes, int everyDays) {
        IntStream.range(0, classes)
                .forEach(i -> attended.add(TinyClub.trained(
                        "c" + attended.size(), TODAY.minusDays(1 + (long) i * everyDays), "all", null, false)));
    }

    private void drill(int inClass, Side side, int reps) {
        practice.add(PracticeEntryBuilder.builder()
                .id("p" + practice.size())
                .classId(attended.get(inClass).id())
                .technique("foot-sweep")
                .side(side)
                .reps(reps)
                .build());
    }

    private void mark(String subject, Side side, Standard standard, boolean passed) {
        marks.add(MarkBuilder.builder()
                .id("m" + marks.size())
                .student("ana")
                .subject(subject)
                .side(side)
                .standard(standard)
                .passed(passed)
                .at(Instant.EPOCH.plusSeconds(marks.size()))
                .by("coach")
                .build());
    }

    private Readiness readiness(Ladder ladder) {
        return readiness(ladder, Readiness.Eyes.COACH);
    }

    private Readiness readiness(Ladder ladder, Readiness.Eyes eyes) {
        Student ana = StudentBuilder.builder()
                .id("ana")
                .name("Ana Test")
                .born(born)
                .joined(SINCE)
                .priorClasses(prior)
                .memberUntil(memberUntil)
                .holds(holds)
                .restrictions(restrictions)
                .build();
        StudentRecord record = new StudentRecord(
                "ana", promotions, attended, practice, marks, Map.of(), null, Map.of(), null, List.of());
        StudentState state = record.state(List.of(ladder), map);
        LocalDate from = ClubPace.from(TODAY);
        int recent = (int) attended.stream()
                .filter(c -> !c.cancelled() && c.date().isAfter(from))
                .map(TrainingClass::date)
                .distinct()
                .count();
        LocalDate first = attended.stream()
                .map(TrainingClass::date)
                .filter(day -> day.isAfter(from))
                .min(LocalDate::compareTo)
                .orElse(null);
        ClubPace pace = ClubPace.of(
                attended.stream()
                        .map(TrainingClass::date)
                        .filter(day -> day.isAfter(from))
                        .toList(),
                recent == 0 ? List.of() : List.of(recent));
        Readiness readiness = Readiness.of(new Readiness.Question(
                        ana,
                        state,
                        new Recent(recent, first),
                        ladder,
                        map,
                        Map.of("first-walk", "The first walk"),
                        pace,
                        TODAY,
                        eyes,
                        besides))
                .orElseThrow();
        LadderCount count = state.ladders().get(ladder.id());
        int open =
                new Progress(state, map).open(ladder.rank(count.held().rank()).orElseThrow());
        assertThat(Readiness.isReady(ana, count, open, ladder, TODAY, eyes, besides))
                .as("counted as ready, as in %s", readiness)
                .isEqualTo(readiness.verdict() == Readiness.Verdict.ELIGIBLE
                        || readiness.verdict() == Readiness.Verdict.CANDIDATE);
        return readiness;
    }

    private static Condition condition(Readiness readiness, Condition.Code code) {
        return readiness.conditions().stream()
                .filter(c -> c.code() == code)
                .findFirst()
                .orElseThrow();
    }

    /** Nine classes and a seminar of eleven are twenty; a policy that does not count seminars leaves nine. */
    @Test
    void seminarsCountWhereThePolicySaysSo() {
        attend(9, 3);
        besides = new Readiness.Besides(false, 11, null, null, null);
        assertThat(condition(readiness(ladder(Sides.EITHER, Standard.SHOWN)), Condition.Code.CLASSES)
                        .have())
                .isEqualTo("9");
        countsSeminars = true;
        assertThat(condition(readiness(ladder(Sides.EITHER, Standard.SHOWN)), Condition.Code.CLASSES))
                .returns("20", Condition::have)
                .returns(true, Condition::met);
    }

    @Test
    void chartAndConductAreAskedWhereThePolicySaysSoAndSeenSinceTheRank() {
        assertThat(readiness(ladder(Sides.EITHER, Standard.SHOWN)).conditions())
                .noneMatch(c -> c.code() == Condition.Code.CHART || c.code() == Condition.Code.CONDUCT);
        asksChart = true;
        asksConduct = true;
        besides = new Readiness.Besides(false, 0, null, SINCE.minusDays(1), SINCE);
        Readiness readiness = readiness(ladder(Sides.EITHER, Standard.SHOWN));
        assertThat(condition(readiness, Condition.Code.CHART).met())
                .as("of the rank before")
                .isFalse();
        assertThat(condition(readiness, Condition.Code.CONDUCT).met()).isTrue();
    }

    /** Put forward counts for the person who has everything; others stay where they stand, and a viewer is not told. */
    @Test
    void whoeverHasEverythingAndIsPutForwardIsACandidate() {
        Ladder ladder = ladder(Sides.EITHER, Standard.SHOWN);
        besides = new Readiness.Besides(true, 0, null, null, null);
        assertThat(readiness(ladder).verdict()).isNotEqualTo(Readiness.Verdict.CANDIDATE);
        attend(20, 2);
        mark("foot-sweep", Side.RIGHT, Standard.SHOWN, true);
        mark("side-fall", Side.BOTH, Standard.SHOWN, true);
        Readiness whole = readiness(ladder);
        assertThat(whole.verdict()).as("%s", whole.conditions()).isEqualTo(Readiness.Verdict.CANDIDATE);
        assertThat(whole.wantsReason()).isFalse();
    }

    @Test
    void theWorkedProjection() {
        double perWeek = Projection.perWeek(14, 8, 1.5);
        assertThat(perWeek).isCloseTo(1.7, within(1e-12));
        assertThat(Projection.weeks(9, perWeek, 0.5)).isCloseTo(5.10, within(0.005));
    }

    @Test
    void everythingMetIsEligibleToday() {
        attend(20, 3);
        mark("foot-sweep", Side.BOTH, Standard.MOVING, true);
        mark("side-fall", Side.BOTH, Standard.SHOWN, true);
        Readiness readiness = readiness(ladder(Sides.BOTH, Standard.SHOWN));
        assertThat(readiness.verdict()).isEqualTo(Readiness.Verdict.ELIGIBLE);
        assertThat(readiness.window()).isEqualTo(TODAY);
        assertThat(readiness.stripe()).returns(true, Readiness.Stripe::met);
    }

    @Test
    void aChainIsCalledByItsName() {
        Item walk = new Item("i1", Item.Kind.CHAIN, "first-walk", null, null, Standard.SHOWN, Sides.EITHER, null, 0, 0);
        Ladder plain = ladder(Sides.EITHER, Standard.SHOWN);
        Rank white = plain.ranks().get(0);
        Rank walking = new Rank(
                white.id(),
                white.name(),
                white.colours(),
                1,
                0,
                12,
                List.of(new SyllabusGroup("Chains", 0, List.of(walk))));
        Ladder ladder = new Ladder(
                "adult", "Adult", 0, 0, null, false, List.of(walking), plain.policy(), null, null, null, null);
        assertThat(condition(readiness(ladder), Condition.Code.SYLLABUS).missing())
                .isEqualTo("1 more: The first walk (to be passed)");
    }

    @Test
    void aMissingSideIsNamed() {
        attend(20, 3);
        mark("foot-sweep", Side.RIGHT, Standard.SHOWN, true);
        Condition open = condition(readiness(ladder(Sides.BOTH, Standard.SHOWN)), Condition.Code.SYLLABUS);
        assertThat(open.met()).isFalse();
        assertThat(open.missing()).contains("foot-sweep").contains("on the left");
        assertThat(condition(readiness(ladder(Sides.RIGHT, Standard.SHOWN)), Condition.Code.SYLLABUS)
                        .met())
                .isTrue();
    }

    @Test
    void aLaterNotYetSupersedesAPassOfTheSameKey() {
        mark("foot-sweep", Side.BOTH, Standard.SHOWN, true);
        mark("foot-sweep", Side.BOTH, Standard.SHOWN, false);
        assertThat(condition(readiness(ladder(Sides.EITHER, Standard.SHOWN)), Condition.Code.SYLLABUS)
                        .met())
                .isFalse();
        marks.add(MarkBuilder.builder()
                .id("w")
                .student("ana")
                .subject("foot-sweep")
                .side(Side.BOTH)
                .standard(Standard.SHOWN)
                .at(Instant.EPOCH.plusSeconds(9))
                .by("coach")
                .withdraws("m1")
                .build());
        assertThat(condition(readiness(ladder(Sides.EITHER, Standard.SHOWN)), Condition.Code.SYLLABUS)
                        .met())
                .isTrue();
    }

    @Test
    void drilledIsCountedFromPracticeOnEachSide() {
        attend(4, 3);
        drill(0, Side.BOTH, 6);
        drill(1, Side.BOTH, 6);
        drill(2, Side.RIGHT, 6);
        drill(3, Side.LEFT, 5);
        Condition open = condition(readiness(ladder(Sides.BOTH, Standard.DRILLED)), Condition.Code.SYLLABUS);
        assertThat(open.missing()).contains("1 session to go on the left");
        assertThat(condition(readiness(ladder(Sides.RIGHT, Standard.DRILLED)), Condition.Code.SYLLABUS)
                        .met())
                .isTrue();
    }

    @Test
    void classesToGoGetADateAndTheWindowAfterIt() {
        attend(14, 4);
        mark("foot-sweep", Side.BOTH, Standard.SHOWN, true);
        mark("side-fall", Side.BOTH, Standard.SHOWN, true);
        Readiness readiness = readiness(ladder(Sides.BOTH, Standard.SHOWN));
        assertThat(condition(readiness, Condition.Code.CLASSES).missing()).isEqualTo("6 classes to go");
        assertThat(readiness.projection().early())
                .isBefore(readiness.projection().median());
        assertThat(readiness.projection().median())
                .isBefore(readiness.projection().late());
        assertThat(readiness.window()).isEqualTo(LocalDate.of(2027, 3, 1));
        assertThat(readiness.verdict()).isEqualTo(Readiness.Verdict.NOT_YET);
    }

    @Test
    void whoeverStaysAwayGetsNoDate() {
        attend(5, 1);
        attended.replaceAll(c -> TinyClub.trained(c.id(), c.date().minusWeeks(9), "all", null, false));
        Readiness readiness = readiness(ladder(Sides.EITHER, Standard.SHOWN));
        assertThat(readiness.projection()).isNull();
        assertThat(readiness.window()).isNull();
    }

    @Test
    void aHoldHoldsWhateverElseIsMet() {
        attend(20, 3);
        mark("foot-sweep", Side.BOTH, Standard.SHOWN, true);
        mark("side-fall", Side.BOTH, Standard.SHOWN, true);
        holds.add(new Hold(TODAY.minusDays(3), null, "calm the entries first", "coach", null, null));
        Readiness readiness = readiness(ladder(Sides.BOTH, Standard.SHOWN));
        assertThat(readiness.verdict()).isEqualTo(Readiness.Verdict.HELD);
        assertThat(condition(readiness, Condition.Code.NO_HOLD).missing()).isEqualTo("calm the entries first");
    }

    @Test
    void practiceForEveryoneSparesWhoSatOut() {
        PracticeEntry all = PracticeEntryBuilder.builder()
                .id("p")
                .classId("c")
                .technique("t")
                .reps(10)
                .except(List.of("ben"))
                .build();
        assertThat(Set.of("ana", "ben").stream().filter(all::countsFor)).containsExactly("ana");
    }

    private int classes() {
        Condition counted = condition(readiness(ladder(Sides.EITHER, Standard.SHOWN)), Condition.Code.CLASSES);
        return Integer.parseInt(counted.have());
    }

    @Test
    void oneClassADayCountsAndACancelledOneDoesNot() {
        attend(2, 3);
        attended.add(TinyClub.trained("again", attended.get(0).date(), "all", null, false));
        attended.add(TinyClub.trained("off", TODAY.minusDays(2), "all", null, true));
        attended.add(TinyClub.trained("before", SINCE.minusDays(1), "all", null, false));
        attended.add(TinyClub.trained("first", SINCE, "all", null, false));
        assertThat(classes()).as("two days, and the day of the belt itself").isEqualTo(3);
    }

    @Test
    void classesFromBeforeCountForTheRankTheyCameWithOnly() {
        prior = 7;
        attend(2, 3);
        assertThat(classes()).isEqualTo(9);
        promotions.add(given("p1", "white", 1, TODAY.minusDays(30)));
        assertThat(classes()).as("a stripe is on the same rank").isEqualTo(9);
        promotions.set(0, given("p0", "white", 0, SINCE));
        promotions.remove(1);
        assertThat(classes()).isEqualTo(2);
    }

    private static Promotion given(String id, String to, int stripes, LocalDate day) {
        return PromotionBuilder.builder()
                .id(id)
                .student("ana")
                .ladder("adult")
                .from("white")
                .to(to)
                .stripes(stripes)
                .date(day)
                .at(Instant.EPOCH)
                .by("head")
                .build();
    }

    @Test
    void aPromotionBeginsAnew() {
        attend(5, 3);
        promotions.add(given("p1", "yellow", 0, TODAY.minusDays(5)));
        Readiness readiness = readiness(ladder(Sides.EITHER, Standard.SHOWN));
        assertThat(readiness.rank()).isEqualTo("yellow");
        assertThat(condition(readiness, Condition.Code.CLASSES).have()).isEqualTo("2");
    }

    @Test
    void whatALimitOrARunOutMembershipStopsIsNamed() {
        restrictions.add(new Restriction(Restriction.Kind.NO_NECK, TODAY.minusDays(1), TODAY, "stiff"));
        memberUntil = TODAY.minusDays(1);
        Readiness readiness = readiness(ladder(Sides.EITHER, Standard.SHOWN));
        assertThat(condition(readiness, Condition.Code.NO_RESTRICTION))
                .returns("nothing on the neck", Condition::missing)
                .returns(TODAY.plusDays(1), Condition::by);
        assertThat(condition(readiness, Condition.Code.MEMBERSHIP).met()).isFalse();
        memberUntil = TODAY;
        assertThat(condition(readiness(ladder(Sides.EITHER, Standard.SHOWN)), Condition.Code.MEMBERSHIP)
                        .met())
                .isTrue();
    }

    /** Whatever is hidden from a viewer may change without changing what they are told. */
    @Test
    void aViewerIsToldTheSameWhateverIsHidden() {
        attend(20, 3);
        Readiness plain = readiness(ladder(Sides.EITHER, Standard.SHOWN), Readiness.Eyes.VIEWER);
        holds.add(new Hold(TODAY.minusDays(3), null, "calm the entries first", "coach", null, null));
        restrictions.add(new Restriction(Restriction.Kind.NO_LIVE, TODAY, null, "knee"));
        born = TODAY.minusYears(9);
        assertThat(readiness(ladder(Sides.EITHER, Standard.SHOWN), Readiness.Eyes.VIEWER))
                .isEqualTo(plain);
        assertThat(readiness(ladder(Sides.EITHER, Standard.SHOWN))).isNotEqualTo(plain);
    }
}

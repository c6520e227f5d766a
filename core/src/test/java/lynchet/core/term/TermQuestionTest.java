package lynchet.core.term;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.card.Family;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Block;
import lynchet.core.mat.BlockBuilder;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import lynchet.core.term.plan.Planner;
import lynchet.core.term.plan.PlanningTask;
import org.junit.jupiter.api.Test;

/** A term as the planner is asked about it, and the classes that its answer fills. */
class TermQuestionTest {

    private static final LocalDate TUESDAY = LocalDate.of(2026, 2, 17);

    private final Teaching teaching = new Teaching(
            new TinyMap()
                    .pair("grips", Stage.GRIPPED, 0)
                    .pair("guard", Stage.LEGS_BETWEEN, 0.5)
                    .pair("mount", Stage.LEGS_CLEARED, 2.5)
                    .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
                    .add(TinyMap.card("hip-throw", Family.THROW, 3, List.of(), List.of("side-fall")))
                    .add(TinyMap.card("sweep", Family.SWEEP, 2, List.of(), List.of()))
                    .link("throw", "grips", "hip-throw", "mount")
                    .link("sweep", "guard", "sweep", "mount")
                    .map(),
            List.of());

    private static TermPlan.Goal goal(String technique, boolean known) {
        return new TermPlan.Goal(technique, null, true, null, known);
    }

    private static TermPlan plan(TermPlan.Placed... placed) {
        return new TermPlan(
                "p", "t", "all", 2, 0, List.of(goal("hip-throw", false), goal("sweep", false)), List.of(placed));
    }

    private static TermPlan.Placed placed(String goal, int week, boolean kept) {
        return new TermPlan.Placed(goal, "tue", TUESDAY.plusWeeks(week), kept);
    }

    private static TrainingClass training(int week) {
        Track.Slot slot = new Track.Slot("tue", null, null, DayOfWeek.TUESDAY, LocalTime.of(18, 30), 90, null, null, 0);
        return new Track("all", "All", null, List.of(slot), List.of()).planned(slot, TUESDAY.plusWeeks(week), "t");
    }

    private static Block drill(String technique) {
        return BlockBuilder.builder()
                .id("d")
                .kind(Block.Kind.WHOLE_DRILL)
                .title("d")
                .minutes(20)
                .technique(technique)
                .build();
    }

    private TermQuestion asked(TermPlan plan, TermQuestion.TermClass... held) {
        return TermQuestion.of(plan, null, List.of(held), teaching, subject -> false, 60);
    }

    private static TermQuestion.TermClass toCome(int week) {
        return new TermQuestion.TermClass(training(week), false, false, Set.of());
    }

    /** What was planned and skipped stands nowhere; what was taught unplanned does; what a coach made or keeps stays. */
    @Test
    void whatHappenedAndWhatIsKeptStandsForGood() {
        TermPlan plan = plan(placed("hip-throw", 0, false), placed("sweep", 2, true), placed("hip-throw", 3, false));
        TermQuestion question = asked(
                plan,
                new TermQuestion.TermClass(training(0), true, false, Set.of("sweep", "something-else")),
                new TermQuestion.TermClass(training(1).withBlocks(List.of(drill("hip-throw"))), false, true, Set.of()),
                toCome(2),
                toCome(3),
                new TermQuestion.TermClass(training(4).calledOff(true), false, false, Set.of()));
        PlanningTask asked = question.asked();
        assertThat(asked.set())
                .isEqualTo(Map.of("hip-throw", new TreeSet<>(Set.of(1)), "sweep", new TreeSet<>(Set.of(0, 2))));
        assertThat(asked.was().get("hip-throw")).as("not what was skipped").containsExactly(3);
        assertThat(asked.lessons())
                .extracting(lesson -> lesson.open())
                .containsExactly(false, false, true, true, false);
        assertThat(asked.lessons()).extracting(lesson -> lesson.minutes()).containsExactly(45, 45, 45, 45, 0);
        assertThat(question.standing().of("hip-throw")).containsExactly(1, 3);
        assertThat(question.standing().owed())
                .as("two of four, and two of four")
                .isEqualTo(4);
    }

    @Test
    void theAnswerIsThePlanAgain() {
        TermPlan plan = plan(placed("hip-throw", 0, false), placed("sweep", 1, true));
        TermQuestion question = asked(
                plan,
                new TermQuestion.TermClass(training(0), true, false, Set.of("hip-throw")),
                toCome(1),
                toCome(2),
                toCome(3),
                toCome(4));
        Planner.Placing placing = Planner.quickly(question.asked());
        assertThat(placing.owed()).isZero();
        TermPlan answer = question.answered(placing);
        assertThat(answer.placed())
                .contains(placed("hip-throw", 0, false), placed("sweep", 1, true))
                .hasSize(8);
        assertThat(answer.goals()).containsExactly(goal("hip-throw", true), goal("sweep", false));
        assertThat(asked(answer, question.classes().toArray(TermQuestion.TermClass[]::new))
                        .standing())
                .isEqualTo(placing);
    }

    /** Shown, a throw of the third kind takes 20 minutes, met again 10; a throw brings its fall, and rounds take what is left. */
    @Test
    void aPlanFillsAClassThatNobodyHasMade() {
        PlannedClasses planned = new PlannedClasses(
                List.of(plan(placed("hip-throw", 1, false), placed("sweep", 1, false), placed("hip-throw", 2, false))),
                teaching);
        TrainingClass filled = planned.filled(training(1));
        assertThat(filled.theme()).isEqualTo("hip-throw · sweep");
        assertThat(filled.blocks())
                .extracting(Block::kind)
                .containsExactly(
                        Block.Kind.WARM_UP,
                        Block.Kind.BREAKFALLS,
                        Block.Kind.WHOLE_DRILL,
                        Block.Kind.WHOLE_DRILL,
                        Block.Kind.POSITIONAL_ROUNDS);
        assertThat(filled.blocks()).extracting(Block::minutes).containsExactly(10, 8, 20, 16, 30);
        assertThat(filled.blocks().get(2).dose().reps())
                .as("fewer where somebody is thrown")
                .isEqualTo(5);
        assertThat(filled.blocks().get(4).position()).isEqualTo("guard");
        assertThat(planned.filled(training(2)).blocks().get(2).minutes())
                .as("met again")
                .isEqualTo(10);
        assertThat(planned.filled(training(3)).blocks()).isEmpty();
        TrainingClass own = training(1).withBlocks(List.of(drill("sweep")));
        assertThat(planned.filled(own)).isSameAs(own);
        List<TermPlan.Goal> known = List.of(goal("hip-throw", true));
        TermPlan later =
                new TermPlan("p", "t", "all", 2, 0, known, new ArrayList<>(List.of(placed("hip-throw", 1, false))));
        assertThat(new PlannedClasses(List.of(later), teaching)
                        .filled(training(1))
                        .blocks()
                        .get(2)
                        .minutes())
                .as("known already")
                .isEqualTo(10);
    }

    /** A fall is drilled as one, and only once; where something begins in a choke the rounds do not. */
    @Test
    void fallsAndFinishesAreTakenCareOf() {
        Teaching chokes = new Teaching(
                new TinyMap()
                        .pair("guard", Stage.LEGS_BETWEEN, 0.5)
                        .pair("choke", Stage.FINISH, 2.9)
                        .pair("grips", Stage.GRIPPED, 0)
                        .link("trip", "grips", "trip", "guard")
                        .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, List.of(), List.of()))
                        .add(TinyMap.card("trip", Family.THROW, 1, List.of(), List.of("side-fall")))
                        .add(TinyMap.card("peel", Family.ESCAPE, 1, List.of(), List.of()))
                        .link("peel", "choke", "peel", "guard")
                        .map(),
                List.of());
        TrainingClass made = PlannedClasses.made(
                training(1),
                List.of(
                        new PlannedClasses.Stands(goal("side-fall", false), true, 12),
                        new PlannedClasses.Stands(goal("trip", false), true, 12),
                        new PlannedClasses.Stands(goal("peel", false), false, 10)),
                chokes);
        assertThat(made.blocks())
                .extracting(Block::kind, Block::technique)
                .containsExactly(
                        tuple(Block.Kind.WARM_UP, null),
                        tuple(Block.Kind.BREAKFALLS, "side-fall"),
                        tuple(Block.Kind.WHOLE_DRILL, "trip"),
                        tuple(Block.Kind.WHOLE_DRILL, "peel"),
                        tuple(Block.Kind.FREE_ROUNDS, null));
    }

    /** Two come: one to all, one to half of what is to come and to nothing that was. */
    @Test
    void whoHasMetWhatIsCountedClassByClass() {
        TermPlan plan = plan(
                placed("hip-throw", 0, false),
                placed("sweep", 1, false),
                placed("hip-throw", 3, false),
                placed("sweep", 2, false),
                placed("sweep", 3, false));
        TermQuestion question = asked(
                plan,
                new TermQuestion.TermClass(training(0), true, false, Set.of("hip-throw")),
                new TermQuestion.TermClass(training(1), true, false, Set.of("hip-throw")),
                toCome(2),
                toCome(3));
        Exposure exposure = Exposure.of(
                plan,
                question.classes(),
                question.standing(),
                teaching,
                Map.of(
                        training(0).id(),
                        Set.of("all"),
                        training(1).id(),
                        Set.of("all", "somebody-else"),
                        training(3).id(),
                        Set.of("all")),
                Map.of("all", Map.of("tue", 1.0), "late", Map.of("tue", 0.5)));
        assertThat(exposure.items())
                .containsExactly(
                        new Exposure.OfItem("hip-throw", "hip-throw", true, 1, 2, 0, 1),
                        new Exposure.OfItem("sweep", "sweep", true, 1, 0, 1, 2));
        assertThat(exposure.people())
                .as("who has met least comes first")
                .containsExactly(
                        new Exposure.OfPerson("late", List.of(List.of(), List.of()), List.of(0.5, 1.0), 2),
                        new Exposure.OfPerson("all", List.of(List.of(0, 1), List.of()), List.of(1.0, 2.0), 1));
    }

    @Test
    void aTrackKnowsWhatHalfOfItHasHadAndWasTaught() {
        assertThat(TermQuestion.isKnownBefore(true, 5, 10)).isTrue();
        assertThat(TermQuestion.isKnownBefore(true, 4, 10)).isFalse();
        assertThat(TermQuestion.isKnownBefore(true, 4, 9)).as("not quite half").isFalse();
        assertThat(TermQuestion.isKnownBefore(false, 10, 10)).isFalse();
    }
}

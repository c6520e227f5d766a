package lynchet.core.term.plan;

import ai.timefold.solver.core.api.domain.solution.PlanningEntityCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.PlanningScore;
import ai.timefold.solver.core.api.domain.solution.PlanningSolution;
import ai.timefold.solver.core.api.domain.solution.ProblemFactCollectionProperty;
import ai.timefold.solver.core.api.domain.solution.ProblemFactProperty;
import ai.timefold.solver.core.api.domain.valuerange.ValueRangeProvider;
import ai.timefold.solver.core.api.score.buildin.hardmediumsoft.HardMediumSoftScore;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;

/** A term while it is being planned. Mutable, as solving wants it. */
@PlanningSolution
public class Timetable {

    @ValueRangeProvider
    @ProblemFactCollectionProperty
    private List<Lesson> lessons;

    @ProblemFactCollectionProperty
    private List<Item> items;

    @ProblemFactCollectionProperty
    private List<Before> needs;

    @ProblemFactCollectionProperty
    private List<Beside> beside;

    @ProblemFactCollectionProperty
    private List<Pinned> kept;

    @ProblemFactCollectionProperty
    private List<PlacedBefore> stood;

    @ProblemFactProperty
    private Bounds bounds;

    @PlanningEntityCollectionProperty
    private List<Meeting> meetings;

    @PlanningScore
    private HardMediumSoftScore score;

    /**
     * What holds for the whole term.
     *
     * @param lastFirst place of the last lesson in which something examined may be new
     * @param grading day of the exam as days since 1970; below 0: there is none
     * @param mostFalls falls that a class bears
     * @param bothHeights whether something starts on the feet and something does not
     * @param replans whether there was a plan before
     */
    record Bounds(int lastFirst, long grading, double mostFalls, boolean bothHeights, boolean replans) {

        /** Whether a class is on the day of the exam or before it; no where there is none. */
        boolean isBeforeGrading(Lesson lesson) {
            return lesson.date().toEpochDay() <= grading;
        }
    }

    /** One item that is new comes after another that is new. */
    record Before(Item needed, Item item) {}

    /** Two items that stand next to each other in a chain. */
    record Beside(Item item, Item other) {}

    /** An item is kept in a class that is to come. */
    record Pinned(Item item, Lesson lesson) {}

    /** An item stood in a class of the plan before. */
    record PlacedBefore(Item item, Lesson lesson) {}

    /** For the solver. */
    protected Timetable() {}

    Timetable(
            List<Lesson> lessons,
            List<Item> items,
            Bounds bounds,
            List<Pinned> kept,
            List<PlacedBefore> stood,
            List<Meeting> meetings) {
        this.lessons = lessons;
        this.items = items;
        this.needs = items.stream()
                .flatMap(item -> among(items, item.needs()).map(needed -> new Before(needed, item)))
                .filter(pair -> pair.needed().fresh() && pair.item().fresh())
                .toList();
        this.beside = items.stream()
                .flatMap(item -> among(items, item.beside()).map(other -> new Beside(item, other)))
                .filter(pair -> pair.item().id().compareTo(pair.other().id()) < 0)
                .toList();
        this.bounds = bounds;
        this.kept = kept;
        this.stood = stood;
        this.meetings = meetings;
    }

    private static Stream<Item> among(List<Item> items, Set<String> ids) {
        return items.stream().filter(item -> ids.contains(item.id()));
    }

    List<Meeting> meetings() {
        return meetings;
    }

    HardMediumSoftScore score() {
        return Objects.requireNonNull(score);
    }
}

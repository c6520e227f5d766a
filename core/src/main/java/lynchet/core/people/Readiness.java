package lynchet.core.people;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lynchet.core.map.GrapplingMap;
import lynchet.core.rank.Ladder;
import org.jspecify.annotations.Nullable;

/**
 * What a student still needs for the next stripe and the next rank, and about when. The coach decides.
 *
 * @param verdict where they stand towards the rank
 * @param projection when the classes will be there; null: no date is told
 * @param silence why no date is told; null: it is
 * @param window the first promotion window after everything is projected to be met; null: it cannot be told, or is more
 *     than two years ahead
 * @param stripe the next stripe; null when the rank carries none or all are there
 * @param passedOver promotion windows that went by while everything was met and nobody held them ({@link PassedOver})
 */
public record Readiness(
        String student,
        String ladder,
        String rank,
        @Nullable String nextRank,
        Verdict verdict,
        List<Condition> conditions,
        @Nullable Projection projection,
        Projection.@Nullable Silence silence,
        @Nullable LocalDate window,
        @Nullable Stripe stripe,
        int passedOver) {

    /** The same, knowing how many windows went by. */
    public Readiness passedOver(int windows) {
        return new Readiness(
                student, ladder, rank, nextRank, verdict, conditions, projection, silence, window, stripe, windows);
    }

    /** Whether a rank given now is given against the verdict, so that it wants a reason. */
    public boolean wantsReason() {
        return verdict != Verdict.ELIGIBLE && verdict != Verdict.CANDIDATE;
    }

    /** What the verdict rests on, as it is kept with a promotion: nothing about health. */
    public List<Promotion.Figure> figures() {
        return conditions.stream()
                .filter(c -> c.code() != Condition.Code.NO_RESTRICTION)
                .map(c -> new Promotion.Figure(c.code(), c.label(), c.have(), c.need(), c.met()))
                .toList();
    }

    /** Where a student stands towards the next rank. */
    public enum Verdict {
        NOT_YET,
        ON_TRACK,
        ELIGIBLE,
        CANDIDATE,
        HELD
    }

    /** The next stripe: which, the classes there and needed, and when, or why no date is told. */
    public record Stripe(
            int number,
            boolean met,
            int have,
            int need,
            @Nullable Projection projection,
            Projection.@Nullable Silence silence) {}

    /** Whose eyes it is for; a viewer is not told of ages, holds and restrictions, not even that there are any. */
    public enum Eyes {
        COACH,
        VIEWER
    }

    /**
     * What is asked of one student on one ladder.
     *
     * @param recent what counted on the ladder lately
     * @param chains names of chains by id
     * @param besides what counts outside of classes and marks
     */
    public record Question(
            Student student,
            StudentState state,
            Recent recent,
            Ladder ladder,
            GrapplingMap map,
            Map<String, String> chains,
            ClubPace pace,
            LocalDate today,
            Eyes eyes,
            Besides besides) {}

    /**
     * What counts outside of classes and marks.
     *
     * @param nominated whether a coach put them forward at the present window
     * @param seminars classes that seminars since the rank count as
     * @param seminar the last day of those seminars; null: there is none
     * @param chart the last day on which their home chart was seen; null: never
     * @param conduct the last day on which their conduct was noted; null: never
     */
    public record Besides(
            boolean nominated,
            int seminars,
            @Nullable LocalDate seminar,
            @Nullable LocalDate chart,
            @Nullable LocalDate conduct) {

        public static final Besides NOTHING = new Besides(false, 0, null, null, null);
    }

    /** @return empty when the student holds no rank on the ladder */
    public static Optional<Readiness> of(Question asked) {
        return Optional.ofNullable(asked.state().ladders().get(asked.ladder().id()))
                .filter(count -> asked.ladder().indexOf(count.held().rank()) >= 0)
                .map(count -> new ReadinessJudge(asked, count).judge());
    }

    /**
     * Whether the verdict is {@link Verdict#ELIGIBLE}, without the words and dates of the whole answer.
     *
     * @param open how much of the held rank's syllabus is {@link Progress#open open}
     */
    public static boolean isReady(
            Student student, LadderCount count, int open, Ladder ladder, LocalDate today, Eyes eyes, Besides besides) {
        Question asked = new Question(student, null, Recent.NONE, ladder, null, Map.of(), null, today, eyes, besides);
        return open == 0 && new ReadinessJudge(asked, count).isReadyWithSyllabus();
    }
}

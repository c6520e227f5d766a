package lynchet.core.people;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;

/**
 * How a practised technique fades: a planning heuristic for what to review, never a verdict on a pass.
 *
 * <p>The first effective session gives a half-life of 7 days; each later one stretches it. Worked, without faults:
 * day 0: 7; day 7: recall 0.5, half-life 12.6; day 21: recall 0.4629, half-life 23.43; asked on day 40: 0.570, fading.
 *
 * @param sessions effective sessions on different days; 0: it was only brought from elsewhere
 * @param last the day of the latest, or that on which it was written down that it was brought
 * @param halfLife days in which recall halves, 7 to 365
 */
public record Fading(int sessions, LocalDate last, double halfLife) {

    /** The half-life after the first session, in days; there is no shorter one. */
    public static final double FIRST = 7;

    /** The longest half-life, in days. */
    public static final double LONGEST = 365;

    private static final double RELEARN_BELOW = 0.25;
    /** Effective sessions on different days after which something is drilled. */
    public static final int DRILLED_AFTER = 3;

    /** How well it is likely to be remembered. */
    public enum State {
        FRESH,
        FADING,
        RUSTY
    }

    /**
     * What is known after a day; a day that was no session changes nothing. A live pass stretches the half-life once.
     *
     * @param was null: no session before
     */
    static Fading after(Fading was, boolean liveCounted, PracticeDay day) {
        if (!day.isEffective()) {
            return was;
        }
        double h = was == null ? FIRST : was.stretched(day);
        if (day.livePass() && !liveCounted) {
            h = Math.min(LONGEST, h * 1.5);
        }
        return new Fading(was == null ? 1 : was.sessions + 1, day.day(), h);
    }

    /**
     * What is known on a day from which something brought from elsewhere counts: as if it had just been done, and kept at
     * least as long as what is brought. It is no session.
     *
     * @param was null: nothing of it was trained here before
     */
    static Fading brought(@Nullable Fading was, LocalDate day) {
        return was == null
                ? new Fading(0, day, Brought.HALF_LIFE)
                : new Fading(was.sessions, day, Math.max(was.halfLife, Brought.HALF_LIFE));
    }

    /** What is known after a session without faults on a day. */
    public static Fading again(@Nullable Fading was, LocalDate day) {
        return after(was, false, PracticeDay.drilled(day, PracticeDay.WHOLE_REPS, 0));
    }

    private double stretched(PracticeDay day) {
        return halfLifeAfter(halfLife, recallOn(day.day()), 1 - 0.25 * day.faultShare());
    }

    /**
     * The half-life after one more session, in days.
     *
     * @param halfLife before it, in days
     * @param recall on the day of the session, 0 to 1
     * @param quality of the session, 0.75 to 1
     */
    public static double halfLifeAfter(double halfLife, double recall, double quality) {
        return recall < RELEARN_BELOW
                ? Math.max(FIRST, halfLife / 2)
                : Math.min(LONGEST, halfLife * (1 + 1.6 * (1 - recall) * quality));
    }

    /** The first day on which it is rusty, unless it is practised again before. */
    public LocalDate rustyFrom() {
        return last.plusDays((long) Math.floor(halfLife) + 1);
    }

    /** Whether it was trained here at all, rather than brought from elsewhere. */
    public boolean isPractised() {
        return sessions > 0;
    }

    public boolean isDrilled() {
        return sessions >= DRILLED_AFTER;
    }

    /** Recall on a day, 0 to 1: 2^(−Δ/h). */
    public double recallOn(LocalDate day) {
        return recall(ChronoUnit.DAYS.between(last, day), halfLife);
    }

    /** Recall after some days, 0 to 1: 2^(−Δ/h); on the day itself and before it 1. */
    public static double recall(long days, double halfLife) {
        return days <= 0 ? 1 : Math.pow(2, -days / halfLife);
    }

    public State stateOn(LocalDate day) {
        double recall = recallOn(day);
        return recall >= 0.8 ? State.FRESH : recall >= 0.5 ? State.FADING : State.RUSTY;
    }
}

package lynchet.core.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * The way back into training after an injury: up to {@value #MOST} dated steps, each with what must not be done yet. It is
 * kept as the limits of its steps, so whatever obeys a limit obeys a step. A head knock has no dates and no steps.
 *
 * @param steps in the order of their days
 * @param full the first day without any of these limits; null: the last step holds until lifted
 */
public record WayBack(List<BackStep> steps, @Nullable LocalDate full) {

    /** A way back has at most so many steps. */
    public static final int MOST = 4;

    /**
     * One step.
     *
     * @param from its first day
     * @param limits what must not be done yet; at least one
     * @param note what is done instead, for the coach on the mat
     */
    public record BackStep(
            LocalDate from,
            Set<Restriction.Kind> limits,
            @Most(200) @Nullable String note) {

        public BackStep {
            Require.present("the first day of a step", from);
            limits = limits == null ? Set.of() : Set.copyOf(limits);
        }
    }

    public WayBack {
        steps = Require.list("the steps of a way back", steps);
    }

    /**
     * Checks what somebody sets by hand.
     *
     * @throws Nonsense naming the step if there are too few or too many, one limits nothing, or their days do not follow
     */
    public void mustBeSound() {
        if (steps.isEmpty() || steps.size() > MOST) {
            throw new Nonsense(Nonsense.Rule.TOO_MANY, "/steps", "A way back has one to four steps.");
        }
        for (int n = 0; n < steps.size(); n++) {
            BackStep stage = steps.get(n);
            if (stage.limits().isEmpty()) {
                throw new Nonsense(
                        Nonsense.Rule.MISSING,
                        "/steps/" + n + "/limits",
                        "Say what must not be done yet in step " + (n + 1)
                                + "; the day of full training ends the last one.");
            }
            if (stage.limits().contains(Restriction.Kind.HEAD_KNOCK)) {
                throw new Nonsense(
                        Nonsense.Rule.HEAD_KNOCK_OPEN,
                        "/steps/" + n + "/limits",
                        "a head knock names no day by itself: it holds until the head coach lifts it");
            }
            if (n > 0 && !stage.from().isAfter(steps.get(n - 1).from())) {
                throw new Nonsense(
                        Nonsense.Rule.LIMIT_DAYS,
                        "/steps/" + n + "/from",
                        "Step " + (n + 1) + " begins after the one before it.");
            }
        }
        if (full != null && !full.isAfter(steps.get(steps.size() - 1).from())) {
            throw new Nonsense(Nonsense.Rule.LIMIT_DAYS, "/full", "Full training begins after the last step.");
        }
    }

    /** The limits that this way back is kept as. */
    public List<Restriction> limits() {
        List<Restriction> limits = new ArrayList<>();
        for (int n = 0; n < steps.size(); n++) {
            BackStep stage = steps.get(n);
            LocalDate next = n + 1 < steps.size() ? steps.get(n + 1).from() : full;
            for (Restriction.Kind kind : Restriction.Kind.values()) {
                if (stage.limits().contains(kind)) {
                    limits.add(new Restriction(
                            kind,
                            stage.from(),
                            next == null ? null : next.minusDays(1),
                            stage.note(),
                            new Restriction.StepNumber(n + 1, steps.size())));
                }
            }
        }
        return List.copyOf(limits);
    }
}

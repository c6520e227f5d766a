package lynchet.core.term.tonight;

import java.util.List;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rule.Require;
import lynchet.core.term.TermPlan;
import org.jspecify.annotations.Nullable;

/**
 * One way to spend tonight.
 *
 * @param lines what is taught, what counts for most first
 * @param minutes of technique
 * @param falls that everybody takes
 * @param weight what it counts for: the sum of its lines
 * @param training the class made of it
 */
public record Way(List<Suggested> lines, int minutes, int falls, double weight, TrainingClass training) {

    /**
     * Something to be taught tonight, and its sum.
     *
     * @param need how many of those here lack it for their next rank
     * @param rusty in how many of those here it is rusty
     * @param here how many are here
     * @param minutes it takes, waves among them
     * @param falls that everybody takes
     * @param isNew whether most of those here were never shown it
     * @param weight what it counts for, see {@link lynchet.core.term.Demand#weight}
     * @param notes what is to be minded
     * @param left why it is not proposed; null: it is
     * @param sentence its sum in words
     */
    public record Suggested(
            TermPlan.Goal goal,
            String name,
            int need,
            int rusty,
            int here,
            int minutes,
            int falls,
            boolean isNew,
            double weight,
            List<String> notes,
            @Nullable String left,
            String sentence) {}

    public Way {
        lines = Require.list(lines);
    }
}

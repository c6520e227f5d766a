package lynchet.core.term;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import lynchet.core.people.Fading;
import org.jspecify.annotations.Nullable;

/**
 * How much of something a track is likely to remember: the mean over its people, each by their own chance of coming (design:
 * drilled, and fading). Every way in which somebody may come or stay away is counted by its chance; ways less likely than one
 * in ten thousand are left out.
 */
public final class Grown {

    private static final double UNLIKELY = 1e-4;

    private Grown() {}

    /**
     * Somebody of a track.
     *
     * @param now what they have of it already; null: nothing
     * @param comes chance of coming, 0 to 1, by weekly time
     */
    public record Learner(@Nullable Fading now, Map<String, Double> comes) {}

    /** A day on which it is met, in a weekly time. */
    public record Met(LocalDate on, String slot) {}

    /**
     * What is likely there on some days.
     *
     * @param met days on which it is met, in their order
     * @param asked days asked for, in their order; on a day on which it is met: after it
     * @return for each day asked for, 0 to 1; 0 where nobody is in the track
     */
    public static double[] expected(List<Learner> people, List<Met> met, List<LocalDate> asked) {
        double[] sum = new double[asked.size()];
        for (Learner learner : people) {
            walk(learner.now(), 0, 0, 1, learner, met, asked, sum);
        }
        for (int n = 0; n < sum.length; n++) {
            sum[n] = people.isEmpty() ? 0 : sum[n] / people.size();
        }
        return sum;
    }

    private static void walk(
            @Nullable Fading has,
            int next,
            int day,
            double chance,
            Learner learner,
            List<Met> met,
            List<LocalDate> asked,
            double[] sum) {
        int at = day;
        while (at < asked.size()
                && (next == met.size() || asked.get(at).isBefore(met.get(next).on()))) {
            sum[at] += has == null ? 0 : chance * has.recallOn(asked.get(at));
            at++;
        }
        if (next == met.size() || at == asked.size()) {
            return;
        }
        Met one = met.get(next);
        double comes = learner.comes().getOrDefault(one.slot(), 0.0);
        if (chance * comes >= UNLIKELY) {
            walk(Fading.again(has, one.on()), next + 1, at, chance * comes, learner, met, asked, sum);
        }
        if (chance * (1 - comes) >= UNLIKELY) {
            walk(has, next + 1, at, chance * (1 - comes), learner, met, asked, sum);
        }
    }
}

package lynchet.core.term;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import lynchet.core.people.Fading;
import org.jspecify.annotations.Nullable;

/**
 * How much of something a track is likely to remember: the mean over its people, each by their own chance of coming (design:
 * drilled, and fading).
 *
 * <p>There are 2ⁿ ways of coming to n classes, so a distribution is kept instead: how likely it is that somebody met it last
 * on a day, with a half-life. Half-lives of one eighth of an octave that were met last on one day become one, with their
 * weighted mean; what is hardly possible is cut and its chance shared out. The weights of all states sum to 1 at every step.
 *
 * <p>Worked: met weekly, coming with a chance of 0.5, a week after the 14th meeting 0.814; with 0.9, after the 39th 0.981.
 */
public final class ExpectedRecall {

    /**
     * A state less likely than this is cut. Cutting costs more than merging: at 1e-5 it shows in the third digit after 60
     * meetings, while eighths of an octave show in the fourth.
     */
    private static final double UNLIKELY = 1e-6;

    /** Half-lives that share these leading bits are merged: eight to an octave, 6 to 12 % wide. */
    private static final int BITS = 52 - 3;

    private static final int LOWEST = (int) (Double.doubleToRawLongBits(Fading.FIRST) >>> BITS);
    private static final int BUCKETS = 1 + (int) (Double.doubleToRawLongBits(Fading.LONGEST) >>> BITS) - LOWEST;

    /** 2^(−x) for every 1/256 up to {@value #FORGOTTEN} half-lives; what lies between is interpolated, within 1e-6. */
    private static final int PARTS = 256;

    private static final int FORGOTTEN = 24;
    private static final double[] HALVED = IntStream.rangeClosed(0, FORGOTTEN * PARTS + 1)
            .mapToDouble(n -> Math.pow(2, -n / (double) PARTS))
            .toArray();

    private ExpectedRecall() {}

    /**
     * Somebody of a track.
     *
     * @param now what they have of it already; null: nothing
     * @param comes chance of coming, 0 to 1, by weekly time
     */
    public record Learner(@Nullable Fading now, Map<String, Double> comes) {}

    /** A day on which it is met, in a weekly time. */
    public record Meeting(LocalDate on, String slot) {}

    /**
     * What is likely there on some days.
     *
     * @param met days on which it is met, in their order
     * @param asked days asked for, in their order; on a day on which it is met: after it
     * @return for each day asked for, 0 to 1; 0 where nobody is in the track
     */
    public static double[] expected(List<Learner> people, List<Meeting> met, List<LocalDate> asked) {
        double[] sum = new double[asked.size()];
        long[] days = asked.stream().mapToLong(LocalDate::toEpochDay).toArray();
        long[] meetings = met.stream().mapToLong(one -> one.on().toEpochDay()).toArray();
        for (Learner learner : people) {
            States states = new States(learner.now());
            int next = 0;
            for (int n = 0; n < days.length; n++) {
                while (next < meetings.length && meetings[next] <= days[n]) {
                    states.meet(
                            meetings[next],
                            learner.comes().getOrDefault(met.get(next).slot(), 0.0));
                    next++;
                }
                sum[n] += states.recallOn(days[n]);
            }
        }
        for (int n = 0; n < sum.length; n++) {
            sum[n] = people.isEmpty() ? 0 : sum[n] / people.size();
        }
        return sum;
    }

    /** What one learner may have by now, each possibility with its chance. */
    static final class States {

        /** The chance that they have not met it yet. */
        private double never;

        private long[] last = new long[4 * BUCKETS];
        private double[] halfLife = new double[4 * BUCKETS];
        private double[] chance = new double[4 * BUCKETS];
        private int size;

        private final boolean[] isOne = new boolean[BUCKETS];
        private final double[] newHalfLife = new double[BUCKETS];
        private final double[] newChance = new double[BUCKETS];
        private final double[] newSum = new double[BUCKETS];

        States(@Nullable Fading now) {
            never = now == null ? 1 : 0;
            if (now != null) {
                add(now.last().toEpochDay(), now.halfLife(), 1);
            }
        }

        private void add(long day, double h, double weight) {
            if (size == last.length) {
                last = Arrays.copyOf(last, 2 * size);
                halfLife = Arrays.copyOf(halfLife, 2 * size);
                chance = Arrays.copyOf(chance, 2 * size);
            }
            last[size] = day;
            halfLife[size] = h;
            chance[size] = weight;
            size++;
        }

        /** They meet it on a day with a chance; those who do not come stay as they are. */
        void meet(long day, double comes) {
            if (comes <= 0) {
                return;
            }
            Arrays.fill(newChance, 0);
            Arrays.fill(newSum, 0);
            came(Fading.FIRST, never * comes);
            never *= 1 - comes;
            int left = 0;
            for (int n = 0; n < size; n++) {
                double stays = chance[n] * (1 - comes);
                came(Fading.halfLifeAfter(halfLife[n], recall(n, day), 1), chance[n] * comes);
                if (stays > UNLIKELY) {
                    last[left] = last[n];
                    halfLife[left] = halfLife[n];
                    chance[left] = stays;
                    left++;
                }
            }
            size = left;
            for (int bucket = 0; bucket < BUCKETS; bucket++) {
                if (newChance[bucket] > UNLIKELY) {
                    add(day, mean(bucket), newChance[bucket]);
                }
            }
            shareOut();
        }

        private void came(double h, double weight) {
            int bits = (int) (Double.doubleToRawLongBits(h) >>> BITS);
            int bucket = Math.min(BUCKETS - 1, Math.max(0, bits - LOWEST));
            isOne[bucket] = newChance[bucket] == 0 || isOne[bucket] && newHalfLife[bucket] == h;
            newHalfLife[bucket] = h;
            newChance[bucket] += weight;
            newSum[bucket] += weight * h;
        }

        /** Half-lives that are the same stay so to the last bit, since two of them after 14 days are just not forgotten. */
        private double mean(int bucket) {
            return isOne[bucket] ? newHalfLife[bucket] : newSum[bucket] / newChance[bucket];
        }

        /** What was cut is shared out over what stays, in proportion. */
        private void shareOut() {
            double sum = weights();
            never /= sum;
            for (int n = 0; n < size; n++) {
                chance[n] /= sum;
            }
        }

        private double recall(int n, long day) {
            double parts = PARTS * Math.max(0, day - last[n]) / halfLife[n];
            if (parts >= FORGOTTEN * PARTS) {
                return 0;
            }
            int at = (int) parts;
            return HALVED[at] + (parts - at) * (HALVED[at + 1] - HALVED[at]);
        }

        double recallOn(long day) {
            double sum = 0;
            for (int n = 0; n < size; n++) {
                sum += chance[n] * recall(n, day);
            }
            return sum;
        }

        /** The sum of all chances; 1 but for rounding. */
        double weights() {
            double sum = never;
            for (int n = 0; n < size; n++) {
                sum += chance[n];
            }
            return sum;
        }
    }
}

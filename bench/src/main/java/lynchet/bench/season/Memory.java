package lynchet.bench.season;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * How somebody in a played season learns and forgets. It is not the way Lynchet reckons: Lynchet halves by half-lives; here
 * each meeting leaves a trace that fades by a power of its age, and a trace laid while much was still there fades faster.
 *
 * <p>What is there is {@code A / (A + rate)}, A the sum of the traces, {@code strength · (1 + days)^(−exponent · (1 + was))}.
 * Worked, exponent 0.5 and rate 0.3: met once, after 7 days 0.541, after 28 days 0.382; met again after 7, on day 28 0.481;
 * met again after 1, on day 28 0.449.
 */
final class Memory {

    /** Own exponents: a third of the people each. */
    private static final double[] EXPONENTS = {0.3, 0.5, 0.7};

    private static final double SLOWEST = 0.45;
    private static final double QUICKEST = 0.2;

    /** Anybody who was not there when something was shown for the first time has less of it when it is only met again. */
    private static final double WITHOUT_SHOWING = 0.6;

    private record Trace(int day, double strength, double exponent) {}

    private final double exponent;
    private final double rate;
    private final Map<String, List<Trace>> traces = new HashMap<>();

    Memory(double exponent, double rate) {
        this.exponent = exponent;
        this.rate = rate;
    }

    static Memory drawn(Random random) {
        return new Memory(
                EXPONENTS[random.nextInt(EXPONENTS.length)], QUICKEST + (SLOWEST - QUICKEST) * random.nextDouble());
    }

    /**
     * Meets something.
     *
     * @param shown whether it was shown from the beginning
     */
    void meet(String item, int day, boolean shown) {
        List<Trace> its = traces.computeIfAbsent(item, id -> new ArrayList<>());
        double strength = shown || !its.isEmpty() ? 1 : WITHOUT_SHOWING;
        its.add(new Trace(day, strength, exponent * (1 + recall(item, day))));
    }

    /** What is there of something on a day, 0 to 1. */
    double recall(String item, int day) {
        double sum = traces.getOrDefault(item, List.of()).stream()
                .filter(trace -> trace.day() <= day)
                .mapToDouble(trace -> trace.strength() * Math.pow(1.0 + day - trace.day(), -trace.exponent()))
                .sum();
        return sum / (sum + rate);
    }

    /** How much more of something would be there on a later day if it were met now. */
    double gain(String item, int now, int later, boolean shown) {
        double before = recall(item, later);
        List<Trace> its = traces.computeIfAbsent(item, id -> new ArrayList<>());
        meet(item, now, shown);
        double after = recall(item, later);
        its.remove(its.size() - 1);
        return after - before;
    }

    /** How often something was met. */
    int met(String item) {
        return traces.getOrDefault(item, List.of()).size();
    }
}

package lynchet.core.term;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import lynchet.core.people.Fading;
import org.junit.jupiter.api.Test;

/** The height of the field against every way of coming and staying away, one by one. */
class GrownTest {

    private static final LocalDate DAY = LocalDate.of(2026, 2, 16);

    /** The slow second way: all 2^n lists of who came, each with its own half-lives from the formula, written out. */
    private static double slowly(Grown.Learner learner, List<Grown.Met> met, LocalDate on) {
        List<Grown.Met> until =
                met.stream().filter(one -> !one.on().isAfter(on)).toList();
        double sum = 0;
        for (int came = 0; came < 1 << until.size(); came++) {
            double chance = 1;
            Fading now = learner.now();
            double halfLife = now == null ? 0 : now.halfLife();
            LocalDate last = now == null ? null : now.last();
            for (int n = 0; n < until.size(); n++) {
                double comes = learner.comes().getOrDefault(until.get(n).slot(), 0.0);
                boolean isThere = (came >> n & 1) == 1;
                chance *= isThere ? comes : 1 - comes;
                if (isThere) {
                    double recall = last == null
                            ? 0
                            : Math.pow(2, -days(last, until.get(n).on()) / halfLife);
                    halfLife = last == null
                            ? 7
                            : recall < 0.25
                                    ? Math.max(7, halfLife / 2)
                                    : Math.min(365, halfLife * (1 + 1.6 * (1 - recall)));
                    last = until.get(n).on();
                }
            }
            sum += last == null ? 0 : chance * Math.pow(2, -days(last, on) / halfLife);
        }
        return sum;
    }

    private static double days(LocalDate from, LocalDate to) {
        return to.toEpochDay() - from.toEpochDay();
    }

    @Test
    void theHeightIsTheMeanOverEverybodyAndEveryWayOfComing() {
        Random random = new Random(7);
        for (int round = 0; round < 40; round++) {
            List<Grown.Learner> people = new ArrayList<>();
            for (int n = 0; n < 5; n++) {
                people.add(new Grown.Learner(
                        random.nextBoolean()
                                ? null
                                : new Fading(2, DAY.minusDays(random.nextInt(60)), 7 + random.nextInt(40)),
                        Map.of("tue", random.nextDouble(), "sat", random.nextInt(3) / 2.0)));
            }
            List<Grown.Met> met = new ArrayList<>();
            LocalDate on = DAY;
            for (int n = 0; n < 1 + random.nextInt(7); n++) {
                on = on.plusDays(1 + random.nextInt(20));
                met.add(new Grown.Met(on, random.nextBoolean() ? "tue" : "sat"));
            }
            List<LocalDate> asked = DAY.datesUntil(DAY.plusDays(150), java.time.Period.ofDays(6))
                    .toList();
            double[] heights = Grown.expected(people, met, asked);
            for (int n = 0; n < asked.size(); n++) {
                LocalDate day = asked.get(n);
                double mean = people.stream()
                        .mapToDouble(one -> slowly(one, met, day))
                        .average()
                        .orElseThrow();
                assertThat(heights[n]).as("round %d on %s", round, day).isCloseTo(mean, within(2e-3));
            }
        }
    }

    @Test
    void aDayOnWhichItIsMetIsAfterIt() {
        Grown.Learner always = new Grown.Learner(null, Map.of("tue", 1.0));
        List<LocalDate> asked = List.of(DAY.minusDays(1), DAY, DAY.plusDays(7));
        assertThat(Grown.expected(List.of(always), List.of(new Grown.Met(DAY, "tue")), asked))
                .containsExactly(0, 1, 0.5);
        assertThat(Grown.expected(List.of(), List.of(new Grown.Met(DAY, "tue")), asked))
                .containsExactly(0, 0, 0);
    }
}

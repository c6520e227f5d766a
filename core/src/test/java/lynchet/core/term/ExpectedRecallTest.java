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
class ExpectedRecallTest {

    private static final int EVENINGS = 200_000;
    private static final LocalDate DAY = LocalDate.of(2026, 2, 16);

    /** The slow second way: all 2^n lists of who came, each with its own half-lives from the formula, written out. */
    private static double slowly(ExpectedRecall.Learner learner, List<ExpectedRecall.Meeting> met, LocalDate on) {
        List<ExpectedRecall.Meeting> until =
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
            List<ExpectedRecall.Learner> people = new ArrayList<>();
            for (int n = 0; n < 5; n++) {
                people.add(new ExpectedRecall.Learner(
                        random.nextBoolean()
                                ? null
                                : new Fading(2, DAY.minusDays(random.nextInt(60)), 7 + random.nextInt(40)),
                        Map.of("tue", random.nextDouble(), "sat", random.nextInt(3) / 2.0)));
            }
            List<ExpectedRecall.Meeting> met = new ArrayList<>();
            LocalDate on = DAY;
            for (int n = 0; n < 1 + random.nextInt(7); n++) {
                on = on.plusDays(1 + random.nextInt(20));
                met.add(new ExpectedRecall.Meeting(on, random.nextBoolean() ? "tue" : "sat"));
            }
            List<LocalDate> asked = DAY.datesUntil(DAY.plusDays(150), java.time.Period.ofDays(6))
                    .toList();
            double[] heights = ExpectedRecall.expected(people, met, asked);
            for (int n = 0; n < asked.size(); n++) {
                LocalDate day = asked.get(n);
                double mean = people.stream()
                        .mapToDouble(one -> slowly(one, met, day))
                        .average()
                        .orElseThrow();
                assertThat(heights[n]).as("round %d on %s", round, day).isCloseTo(mean, within(1e-3));
            }
        }
    }

    @Test
    void aDayOnWhichItIsMetIsAfterIt() {
        ExpectedRecall.Learner always = new ExpectedRecall.Learner(null, Map.of("tue", 1.0));
        List<LocalDate> asked = List.of(DAY.minusDays(1), DAY, DAY.plusDays(7));
        assertThat(ExpectedRecall.expected(List.of(always), List.of(new ExpectedRecall.Meeting(DAY, "tue")), asked))
                .containsExactly(0, 1, 0.5);
        assertThat(ExpectedRecall.expected(List.of(), List.of(new ExpectedRecall.Meeting(DAY, "tue")), asked))
                .containsExactly(0, 0, 0);
    }

    /** Evenings played out with the formula written out, and nothing of it merged or cut. */
    private static double played(int meetings, double comes, int evenings, LocalDate on, Random random) {
        double sum = 0;
        for (int evening = 0; evening < evenings; evening++) {
            double halfLife = 0;
            long last = 0;
            for (int n = 0; n < meetings; n++) {
                if (random.nextDouble() < comes) {
                    double recall = halfLife == 0 ? 0 : Math.pow(2, -(7.0 * n - last) / halfLife);
                    halfLife = halfLife == 0
                            ? 7
                            : recall < 0.25
                                    ? Math.max(7, halfLife / 2)
                                    : Math.min(365, halfLife * (1 + 1.6 * (1 - recall)));
                    last = 7L * n;
                }
            }
            sum += halfLife == 0 ? 0 : Math.pow(2, -(days(DAY, on) - last) / halfLife);
        }
        return sum / evenings;
    }

    private static double weekly(int meetings, double comes, int daysAfter) {
        List<ExpectedRecall.Meeting> met = new ArrayList<>();
        for (int n = 0; n < meetings; n++) {
            met.add(new ExpectedRecall.Meeting(DAY.plusDays(7L * n), "tue"));
        }
        return ExpectedRecall.expected(
                List.of(new ExpectedRecall.Learner(null, Map.of("tue", comes))),
                met,
                List.of(met.get(meetings - 1).on().plusDays(daysAfter)))[0];
    }

    @Test
    void aWeekAfterManyMeetingsAsWorked() {
        assertThat(weekly(13, 0.5, 7)).isCloseTo(0.796, within(1e-3));
        assertThat(weekly(14, 0.5, 7)).isCloseTo(0.814, within(1e-3));
        assertThat(weekly(39, 0.9, 7)).isCloseTo(0.981, within(1e-3));
    }

    @Test
    void manyMeetingsEqualEveningsPlayedOut() {
        Random random = new Random(41);
        for (int meetings : new int[] {1, 5, 13, 14, 20, 40, 60}) {
            for (double comes : new double[] {0.3, 0.5, 0.7, 0.9, 1}) {
                for (int after : new int[] {0, 14}) {
                    LocalDate on = DAY.plusDays(7L * (meetings - 1) + after);
                    assertThat(weekly(meetings, comes, after))
                            .as("%d meetings, coming %s, after %d days", meetings, comes, after)
                            .isCloseTo(played(meetings, comes, EVENINGS, on, random), within(0.005));
                }
            }
        }
    }

    @Test
    void whoNeverComesToAWeeklyTimeHasNothingOfIt() {
        ExpectedRecall.Learner onTuesdays = new ExpectedRecall.Learner(null, Map.of("tue", 1.0));
        assertThat(ExpectedRecall.expected(
                        List.of(onTuesdays), List.of(new ExpectedRecall.Meeting(DAY, "sat")), List.of(DAY)))
                .containsExactly(0);
    }

    @Test
    void theWeightsOfAllStatesSumToOneAtEveryStep() {
        Random random = new Random(5);
        for (int run = 0; run < 30; run++) {
            ExpectedRecall.States states = new ExpectedRecall.States(
                    random.nextBoolean() ? null : new Fading(1, DAY, 7 + random.nextInt(358)));
            long day = DAY.toEpochDay();
            for (int n = 0; n < 80; n++) {
                day += 1 + random.nextInt(6);
                states.meet(day, run % 3 == 0 ? 0.5 : random.nextDouble());
                assertThat(states.weights()).as("run %d, meeting %d", run, n).isCloseTo(1, within(1e-12));
            }
        }
    }
}

package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import lynchet.core.people.Restriction.Kind;
import lynchet.core.rule.Nonsense;
import org.junit.jupiter.api.Test;

/** Limits add up, against a loop over days; a way back is the limits of its steps. */
class AddedUpLimitsTest {

    private static final LocalDate START = LocalDate.of(2026, 11, 1);
    private static final int DAYS = 80;

    private static Student anybody() {
        return StudentBuilder.builder().id("ana").name("Ana Test").joined(START).build();
    }

    private static LocalDate day(int n) {
        return START.plusDays(n);
    }

    private static Set<Kind> kinds(boolean[][][] held, int size, int day) {
        Set<Kind> kinds = EnumSet.noneOf(Kind.class);
        for (int n = 0; n < size; n++) {
            for (Kind kind : Kind.values()) {
                if (held[n][kind.ordinal()][day]) {
                    kinds.add(kind);
                }
            }
        }
        return kinds;
    }

    @Test
    void aLimitThatBeginsNextWeekLeavesTodaysAsItIs() {
        Restriction since = new Restriction(Kind.NO_NECK, day(0), null, "stiff");
        Restriction later = new Restriction(Kind.NO_NECK, day(20), day(27), "physio");
        Student both = anybody().limitedBy(since).limitedBy(later);
        assertThat(both.limitsOn(day(10))).containsExactly(Kind.NO_NECK);
        assertThat(both.limitsOn(day(40))).containsExactly(Kind.NO_NECK);
        assertThat(both.restrictions()).containsExactly(since, later);
        assertThat(both.lifting(one -> one.from().equals(day(20)), day(10), null)
                        .restrictions())
                .as("one that has not begun is gone")
                .containsExactly(since);
    }

    @Test
    void oneThatGoesOnIsNamedOnceADay() {
        Student longer = anybody()
                .limitedBy(new Restriction(Kind.NO_LIVE, day(0), day(9), "knee"))
                .limitedBy(new Restriction(Kind.NO_LIVE, day(5), day(20), "still the knee"));
        assertThat(longer.restrictions())
                .containsExactly(
                        new Restriction(Kind.NO_LIVE, day(0), day(4), "knee"),
                        new Restriction(Kind.NO_LIVE, day(5), day(20), "still the knee"));
    }

    /** Each limit is a row of days; adding one adds its row, lifting ends the rows that hold that day. */
    @Test
    void fiveHundredSequencesEqualALoopOverTheirDays() {
        Random random = new Random(31);
        for (int run = 0; run < 500; run++) {
            Student student = anybody();
            boolean[][][] held = new boolean[60][Kind.values().length][DAYS];
            int size = 0;
            int today = random.nextInt(30);
            for (int step = 0; step < 12; step++) {
                if (random.nextInt(4) == 0) {
                    Kind kind = Kind.values()[random.nextInt(Kind.values().length)];
                    student = student.lifting(
                            one -> one.kind() == kind && one.holdsOn(day(today)), day(today), "the doctor");
                    for (int n = 0; n < size; n++) {
                        for (int d = today; held[n][kind.ordinal()][today] && d < DAYS; d++) {
                            held[n][kind.ordinal()][d] = d == today;
                        }
                        held[n][kind.ordinal()][today] = false;
                    }
                } else {
                    List<Restriction> added = random.nextInt(5) == 0 ? steps(random) : List.of(one(random, today));
                    for (Restriction limit : added) {
                        student = student.limitedBy(limit);
                        for (int d = 0; d < DAYS; d++) {
                            held[size][limit.kind().ordinal()][d] = limit.holdsOn(day(d));
                        }
                        size++;
                    }
                }
                for (int d = 0; d < DAYS; d++) {
                    assertThat(student.limitsOn(day(d)))
                            .as("run %s, day %s", run, d)
                            .isEqualTo(kinds(held, size, d));
                }
            }
        }
    }

    /** As a form, or an incident, makes one: a head knock has no last day. */
    private static Restriction one(Random random, int today) {
        Kind kind = Kind.values()[random.nextInt(Kind.values().length)];
        boolean isKnock = kind == Kind.HEAD_KNOCK;
        int from = isKnock ? random.nextInt(today + 1) : random.nextInt(60);
        LocalDate until = isKnock || random.nextInt(3) == 0 ? null : day(from + random.nextInt(20));
        return new Restriction(kind, day(from), until, random.nextBoolean() ? null : "shoulder");
    }

    private static List<Restriction> steps(Random random) {
        List<WayBack.BackStep> stages = new ArrayList<>();
        int from = random.nextInt(20);
        for (int n = 0; n < 1 + random.nextInt(4); n++) {
            Set<Kind> limits = EnumSet.of(Kind.values()[random.nextInt(8)], Kind.values()[random.nextInt(8)]);
            stages.add(new WayBack.BackStep(day(from), limits, null));
            from += 1 + random.nextInt(10);
        }
        WayBack back = new WayBack(stages, random.nextBoolean() ? null : day(from));
        back.mustBeSound();
        return back.limits();
    }

    private static final WayBack BACK = new WayBack(
            List.of(
                    new WayBack.BackStep(day(0), Set.of(Kind.NO_THROWS, Kind.LIGHT_ONLY), "groundwork, light"),
                    new WayBack.BackStep(day(7), Set.of(Kind.NO_THROWS_TAKEN, Kind.NO_LIVE), "throws, lands nothing"),
                    new WayBack.BackStep(day(14), Set.of(Kind.NO_LIVE), "everything but live")),
            day(21));

    @Test
    void aWayBackIsTheLimitsOfItsSteps() {
        Student student = anybody();
        for (Restriction limit : BACK.limits()) {
            student = student.limitedBy(limit);
        }
        assertThat(student.limitsOn(day(6))).containsExactly(Kind.NO_THROWS, Kind.LIGHT_ONLY);
        assertThat(student.limitsOn(day(7))).containsExactly(Kind.NO_THROWS_TAKEN, Kind.NO_LIVE);
        assertThat(student.limitsOn(day(20))).containsExactly(Kind.NO_LIVE);
        assertThat(student.limitsOn(day(21))).isEmpty();
        assertThat(student.isOnWayBack(day(20))).isTrue();
        assertThat(student.isOnWayBack(day(21))).isFalse();
        Student later = student.wayBackLater(day(8), 7);
        assertThat(later.limitsOn(day(6))).as("what is over stays").isEqualTo(student.limitsOn(day(6)));
        assertThat(later.limitsOn(day(20))).containsExactly(Kind.NO_THROWS_TAKEN, Kind.NO_LIVE);
        assertThat(later.limitsOn(day(27))).containsExactly(Kind.NO_LIVE);
        assertThat(later.limitsOn(day(28))).isEmpty();
        Student lifted = student.lifting(one -> one.step() != null, day(8), "the doctor");
        assertThat(lifted.stepOn(day(7)).orElseThrow())
                .startsWith("Step 2 of 3")
                .endsWith("cleared by the doctor");
        assertThat(lifted.limitsOn(day(7))).isNotEmpty();
        assertThat(lifted.limitsOn(day(8))).isEmpty();
        assertThat(lifted.limitsOn(day(15))).isEmpty();
    }

    @Test
    void aWayBackThatIsNoneIsRefusedByItsField() {
        assertThat(refused(new WayBack(List.of(), null))).isEqualTo("/steps");
        WayBack.BackStep one = BACK.steps().get(0);
        assertThat(refused(new WayBack(List.of(one, one), null))).isEqualTo("/steps/1/from");
        assertThat(refused(new WayBack(List.of(one), one.from()))).isEqualTo("/full");
        assertThat(refused(new WayBack(List.of(new WayBack.BackStep(day(0), Set.of(), "x")), null)))
                .isEqualTo("/steps/0/limits");
        assertThat(refused(new WayBack(List.of(new WayBack.BackStep(day(0), Set.of(Kind.HEAD_KNOCK), "x")), null)))
                .isEqualTo("/steps/0/limits");
        List<WayBack.BackStep> five = new ArrayList<>();
        for (int n = 0; n < 5; n++) {
            five.add(new WayBack.BackStep(day(n), Set.of(Kind.NO_LIVE), null));
        }
        assertThat(refused(new WayBack(five, null))).isEqualTo("/steps");
        assertThatThrownBy(() -> new Restriction.StepNumber(5, 4)).isInstanceOf(Nonsense.class);
    }

    private static String refused(WayBack back) {
        try {
            back.mustBeSound();
            return "taken";
        } catch (Nonsense nonsense) {
            return nonsense.where();
        }
    }
}

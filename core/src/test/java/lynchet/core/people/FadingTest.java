package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import org.junit.jupiter.api.Test;

class FadingTest {

    private static final LocalDate START = LocalDate.of(2026, 1, 5);

    private static Fading of(PracticeDay... days) {
        Skill skill = Skill.begun(days[0]);
        for (int i = 1; i < days.length; i++) {
            skill = skill.after(days[i]);
        }
        return skill.fading().orElse(null);
    }

    private static Fading after(int... days) {
        return of(IntStream.of(days)
                .mapToObj(d -> PracticeDay.drilled(START.plusDays(d), 10, 0))
                .toArray(PracticeDay[]::new));
    }

    @Test
    void theWorkedFigures() {
        assertThat(after(0).halfLife()).isEqualTo(7);
        assertThat(after(0).recallOn(START.plusDays(7))).isEqualTo(0.5);
        assertThat(after(0, 7).halfLife()).isCloseTo(12.6, within(1e-9));
        assertThat(after(0, 7).recallOn(START.plusDays(21))).isCloseTo(0.4629, within(5e-5));
        Fading third = after(0, 7, 21);
        assertThat(third.halfLife()).isCloseTo(23.43, within(0.005));
        assertThat(third.recallOn(START.plusDays(40))).isCloseTo(0.570, within(0.0005));
        assertThat(third.stateOn(START.plusDays(40))).isEqualTo(Fading.State.FADING);
        assertThat(third.stateOn(START.plusDays(22))).isEqualTo(Fading.State.FRESH);
        assertThat(third.stateOn(START.plusDays(90))).isEqualTo(Fading.State.RUSTY);
        assertThat(third.isDrilled()).isTrue();
        assertThat(after(0, 7, 21, 21 + 730).halfLife()).isCloseTo(11.7, within(0.02));
    }

    /** What is shown behind the word is the same sum, day by day; a day of too little is told and counts for nothing. */
    @Test
    void theMemoryTellsEachDay() {
        Training training = new Training();
        training.drill("throw", START, Side.BOTH, 6);
        training.drill("throw", START.plusDays(3), Side.RIGHT, 5);
        training.drill("throw", START.plusDays(7), Side.RIGHT, 6);
        training.mark("throw", START.plusDays(7), Standard.SHOWN, false, List.of("f"));
        training.mark("throw", START.plusDays(21), Standard.LIVE, true, List.of());
        training.mark("sweep", START.plusDays(21), Standard.LIVE, true, List.of());
        List<Memory> memory = training.record().memory("throw", new TinyMap().map());
        assertThat(memory).extracting(Memory::side).containsExactly(Side.RIGHT, Side.LEFT);
        assertThat(memory.get(1).days()).hasSize(1);
        List<Memory.Day> right = memory.get(0).days();
        assertThat(right).extracting(Memory.Day::counts).containsExactly(true, false, true, true);
        assertThat(right.get(1).halfLife()).isEqualTo(7);
        assertThat(right.get(2).recall()).isEqualTo(0.5);
        assertThat(right.get(2).halfLife()).isCloseTo(7 * (1 + 1.6 * 0.5 * 0.75), within(1e-9));
        Fading folded = training.state().on("throw", Side.RIGHT).orElseThrow();
        assertThat(right.get(3).halfLife()).isEqualTo(folded.halfLife());
        assertThat(right.get(3).done().day()).isEqualTo(folded.last());
    }

    /** At a recall of exactly one quarter it is stretched, not relearned: 7 · (1 + 1.6 · 0.75) = 15.4. */
    @Test
    void aQuarterIsStillRemembered() {
        assertThat(after(0, 14).halfLife()).isCloseTo(15.4, within(1e-9));
        assertThat(after(0, 15).halfLife()).isEqualTo(7);
    }

    @Test
    void itIsRustyFromTheDayAfterHalfIsForgotten() {
        Fading once = after(0);
        assertThat(once.rustyFrom()).isEqualTo(START.plusDays(8));
        assertThat(once.stateOn(once.rustyFrom().minusDays(1))).isEqualTo(Fading.State.FADING);
        assertThat(once.stateOn(once.rustyFrom())).isEqualTo(Fading.State.RUSTY);
    }

    @Test
    void tooFewRepsAreNoSessionAndASuccessInARoundIsOne() {
        assertThat(of(PracticeDay.drilled(START, 5, 9))).isNull();
        assertThat(of(PracticeDay.drilled(START, 0, 10))).isNotNull();
        assertThat(of(PracticeDay.drilled(START, 6, 0))).isNotNull();
        assertThat(of(PracticeDay.marked(START, false, false))).isNull();
        assertThat(of(PracticeDay.worked(START)).sessions()).isEqualTo(1);
    }

    @Test
    void faultsStretchLessAndALivePassOnceMore() {
        PracticeDay first = PracticeDay.drilled(START, 10, 0);
        PracticeDay week = PracticeDay.drilled(START.plusDays(7), 10, 0);
        LocalDate seventh = week.day();
        assertThat(of(first, week, PracticeDay.marked(seventh, true, false)).halfLife())
                .isCloseTo(7 * (1 + 0.8 * 0.75), within(1e-9));
        PracticeDay live = PracticeDay.marked(seventh, false, true);
        assertThat(of(first, week, live).halfLife()).isCloseTo(18.9, within(1e-9));
        assertThat(of(first, week, live, live).halfLife()).isCloseTo(18.9, within(1e-9));
        Fading again = of(first, live, PracticeDay.marked(seventh.plusDays(7), false, true));
        assertThat(again.halfLife())
                .as("only the first live pass stretches more")
                .isLessThan(18.9 * 1.5);
    }
}

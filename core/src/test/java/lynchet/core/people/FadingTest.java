package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class FadingTest {

    private static final LocalDate START = LocalDate.of(2026, 1, 5);

    private static Fading after(int... days) {
        return Fading.of(IntStream.of(days)
                        .mapToObj(d -> new PracticeDay(START.plusDays(d), 10, 0, 0, false))
                        .toList())
                .orElseThrow();
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

    @Test
    void tooFewRepsAreNoSession() {
        assertThat(Fading.of(List.of(new PracticeDay(START, 5, 9, 0, false)))).isEmpty();
        assertThat(Fading.of(List.of(new PracticeDay(START, 0, 10, 0, false)))).isPresent();
        assertThat(Fading.of(List.of(new PracticeDay(START, 6, 0, 0, false)))).isPresent();
    }

    @Test
    void faultsStretchLessAndALivePassOnceMore() {
        PracticeDay first = new PracticeDay(START, 10, 0, 0, false);
        PracticeDay faulty = new PracticeDay(START.plusDays(7), 10, 0, 1, false);
        assertThat(Fading.of(List.of(first, faulty)).orElseThrow().halfLife())
                .isCloseTo(7 * (1 + 0.8 * 0.75), within(1e-9));
        PracticeDay live = new PracticeDay(START.plusDays(7), 10, 0, 0, true);
        PracticeDay liveAgain = new PracticeDay(START.plusDays(7), 10, 0, 0, true);
        assertThat(Fading.of(List.of(first, live)).orElseThrow().halfLife()).isCloseTo(18.9, within(1e-9));
        assertThat(Fading.of(List.of(first, live, liveAgain)).orElseThrow().halfLife())
                .isCloseTo(18.9, within(1e-9));
    }
}

package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.mat.Role;
import lynchet.core.mat.Side;
import lynchet.core.mat.Standard;
import org.junit.jupiter.api.Test;

class PracticeLogTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private final Training training = new Training();

    private int sessions(Side side) {
        return training.log().on("throw", side).map(Fading::sessions).orElse(0);
    }

    @Test
    void aSessionIsSixWholeOrTenPartRepetitionsOnADay() {
        training.drill("throw", DAY, Side.RIGHT, 4);
        assertThat(training.log().introduced("throw")).isTrue();
        assertThat(sessions(Side.RIGHT)).isZero();
        training.drill("throw", DAY, Side.RIGHT, 2);
        assertThat(sessions(Side.RIGHT)).as("two drills of one day add up").isEqualTo(1);
        training.drill("throw", DAY.plusDays(1), Side.RIGHT, 9, true, null);
        assertThat(sessions(Side.RIGHT)).isEqualTo(1);
        training.drill("throw", DAY.plusDays(2), Side.RIGHT, 10, true, null);
        assertThat(sessions(Side.RIGHT)).isEqualTo(2);
        assertThat(sessions(Side.LEFT)).isZero();
    }

    @Test
    void bothSidesCountOnEachAndWithoutASideTheBetterOne() {
        training.drill("throw", DAY, Side.BOTH, 6);
        training.drill("throw", DAY.plusDays(1), Side.LEFT, 6);
        assertThat(sessions(Side.RIGHT)).isEqualTo(1);
        assertThat(sessions(Side.LEFT)).isEqualTo(2);
        assertThat(sessions(null)).isEqualTo(2);
    }

    @Test
    void beingThrownIsNotThrowing() {
        training.drill("throw", DAY, Side.RIGHT, 20, false, Role.RECEIVER);
        assertThat(training.log().introduced("throw")).isFalse();
    }

    @Test
    void whatWasDrilledInAClassOneWasNotInDoesNotCount() {
        training.drill("throw", DAY, Side.RIGHT, 20);
        training.classes.clear();
        assertThat(sessions(Side.RIGHT)).isZero();
    }

    @Test
    void aLivePassIsASessionByItselfAndStretchesWhatIsRemembered() {
        training.mark("throw", DAY, Standard.LIVE, true, List.of());
        assertThat(sessions(Side.RIGHT)).isEqualTo(1);
        assertThat(training.log().on("throw", Side.RIGHT).orElseThrow().halfLife())
                .isEqualTo(7 * 1.5);
    }

    /** Half of that day's marks list a fault: 7 · (1 + 1.6 · 0.5 · (1 − 0.25 · 0.5)) = 11.9 days, not 12.6. */
    @Test
    void faultsOfTheDayMakeItFadeSooner() {
        training.drill("throw", DAY, Side.RIGHT, 6);
        training.drill("throw", DAY.plusDays(7), Side.RIGHT, 6);
        training.mark("throw", DAY.plusDays(7), Standard.SHOWN, false, List.of("f1"));
        training.mark("throw", DAY.plusDays(7), Standard.SHOWN, true, List.of());
        assertThat(training.log().on("throw", Side.RIGHT).orElseThrow().halfLife())
                .isCloseTo(11.9, org.assertj.core.api.Assertions.within(1e-9));
    }
}

package lynchet.core.chain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import lynchet.core.card.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Standard;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TeachingMinutesTest {

    private final TinyMap tiny = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .pair("mount", Stage.LEGS_CLEARED, 2.5)
            .add(TinyMap.card("hip-bump", Family.SWEEP, 2, 1, List.of(), List.of(), null, null))
            .add(TinyMap.card("arm-lock", Family.SUBMISSION, 3, 5, List.of(), List.of(), null, null))
            .link("sweep", "guard", "hip-bump", "mount")
            .link("end", "mount", "arm-lock", Link.TAP)
            .reaction("post", "sweep", "guard")
            .answer("from-guard", "post", "guard", "arm-lock", Link.TAP);

    private static ChainStep step(String link, Turn... next) {
        return new ChainStep(link, List.of(next));
    }

    private static Chain chain(String id, ChainStep first) {
        return new Chain(id, id, null, null, "guard", first, false);
    }

    /** Introduced in 8, 12, 16, 20 or 25 minutes; practised in 0, 15, 30, 45, 60 · (0.7 + 0.1 · master). */
    @ParameterizedTest
    @CsvSource({
        "1, 1, INTRODUCED, 8",
        "2, 3, DRILLED, 27",
        "3, 3, SHOWN, 46",
        "4, 5, MOVING, 74",
        "5, 1, LIVE, 73",
    })
    void aTechniqueTakesWhatItsGradesSay(int learn, int master, Standard standard, double minutes) {
        GrapplingMap map = new TinyMap()
                .add(TinyMap.card("one", Family.SWEEP, learn, master, null, null, null, null))
                .map();
        assertThat(new TeachingMinutes(map).of(map.technique("one").orElseThrow(), standard, false))
                .isCloseTo(minutes, within(1e-9));
    }

    /** 12 and 16 to introduce, 6 for the turn-off, 6 for both sides, 30 · 1.2 by the harder of the two. */
    @Test
    void aChainTakesWhatIsNewInIt() {
        GrapplingMap map = tiny.map();
        Chain two = chain("two", step("sweep", new Turn(null, step("end")), new Turn("post", step("from-guard"))));
        assertThat(TeachingMinutes.toIntroduce(two, map)).isEqualTo(12 + 16 + 6);
        TeachingMinutes minutes = new TeachingMinutes(map);
        assertThat(minutes.of(two, Standard.SHOWN, true)).isCloseTo(12 + 16 + 6 + 6 + 36, within(1e-9));
        assertThat(minutes.of(two, Standard.SHOWN, true)).as("again").isZero();
        assertThat(minutes.of(two, Standard.DRILLED, false))
                .as("less than before")
                .isZero();
        assertThat(minutes.of(two, Standard.MOVING, true)).as("more of it").isCloseTo(18, within(1e-9));
        Chain part = chain("part", step("sweep", new Turn("post", step("from-guard"))));
        assertThat(minutes.of(part, Standard.SHOWN, false))
                .as("practice of its own only")
                .isCloseTo(36, within(1e-9));
        assertThat(minutes.of(map.technique("hip-bump").orElseThrow(), Standard.INTRODUCED, false))
                .isZero();
        assertThat(TeachingMinutes.toIntroduce(chain("empty", null), map)).isZero();
    }
}

package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Stage;
import lynchet.core.map.TinyMap;
import lynchet.core.mat.Side;
import org.junit.jupiter.api.Test;

class SoilTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private final GrapplingMap map = new TinyMap()
            .pair("guard", Stage.LEGS_BETWEEN, 0.5)
            .link("sweep", "guard", "hip-bump", "s")
            .link("lock", "guard", "arm-lock", Link.TAP)
            .link("pass", "guard-x", "knee-slide", "s")
            .map();
    private final Training training = new Training();

    private Map<String, Soil> soilOn(LocalDate today) {
        return Soil.of(map, training.state(), today);
    }

    @Test
    void nothingMetIsBareAndWhatWasDrilledIsPloughed() {
        assertThat(soilOn(DAY)).containsOnlyKeys("s", "guard", "guard-x").containsValue(Soil.BARE);
        training.drill("hip-bump", DAY, Side.RIGHT, 10);
        assertThat(soilOn(DAY)).containsEntry("guard", Soil.PLOUGHED).containsEntry("guard-x", Soil.BARE);
    }

    @Test
    void aPassIsGreenUntilItsPracticeHasGoneRustyAndOneThatIsFreshHolds() {
        training.drill("hip-bump", DAY, Side.RIGHT, 10);
        training.pass("hip-bump");
        assertThat(soilOn(DAY.plusDays(7))).as("half is remembered").containsEntry("guard", Soil.GREEN);
        assertThat(soilOn(DAY.plusDays(8))).containsEntry("guard", Soil.WEED);
        training.pass("arm-lock");
        assertThat(soilOn(DAY.plusDays(8)))
                .as("a pass without logged practice does not rust")
                .containsEntry("guard", Soil.GREEN);
    }

    @Test
    void rustyIsWhatWasPassedAndHasFaded() {
        training.drill("hip-bump", DAY, Side.RIGHT, 10);
        training.drill("knee-slide", DAY, Side.RIGHT, 10);
        training.pass("hip-bump");
        training.pass("arm-lock");
        training.pass("of-no-map");
        training.drill("of-no-map", DAY, Side.RIGHT, 10);
        assertThat(Soil.rusty(training.state(), map, DAY.plusDays(7))).isZero();
        assertThat(Soil.rusty(training.state(), map, DAY.plusDays(8))).isEqualTo(1);
    }
}

package lynchet.core.map;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import lynchet.core.map.Ruleset.HazardLimit;
import lynchet.core.map.Ruleset.HeldPin;
import lynchet.core.map.Ruleset.Points;
import org.junit.jupiter.api.Test;

class RulesetTest {

    private static Ruleset rules(boolean throwEnds, int throwPoints) {
        return new Ruleset(
                "rules",
                "Rules",
                Jacket.NO_JACKET,
                List.of("scissor"),
                List.of(new HazardLimit(Hazard.NECK_CRANK, 0), new HazardLimit(Hazard.CHOKE, 13)),
                null,
                List.of(
                        new Points(Family.PASS, Stage.LEGS_CLEARED, 3),
                        new Points(Family.SWEEP, null, 2),
                        new Points(Family.TURNOVER, null, 0)),
                throwEnds,
                throwPoints,
                List.of(new HeldPin("side-top", 20, 0)),
                null,
                5,
                null);
    }

    @Test
    void allowsByNameHazardAndJacket() {
        Ruleset rules = rules(false, 0);
        assertThat(rules.allows(TinyMap.technique("knee-slide", 1))).isTrue();
        assertThat(rules.allows(TinyMap.technique("scissor", 1))).isFalse();
        assertThat(rules.allows(hazardous(Hazard.NECK_CRANK))).isFalse();
        assertThat(rules.allows(hazardous(Hazard.CHOKE)))
                .as("a limit of age is not one for grown-ups")
                .isTrue();
        assertThat(Jacket.JACKET.fits(Jacket.NO_JACKET)).isFalse();
        assertThat(Jacket.JACKET.fits(Jacket.EITHER)).isTrue();
        assertThat(Jacket.EITHER.fits(Jacket.NO_JACKET)).isTrue();
    }

    private static Technique hazardous(Hazard hazard) {
        return TinyMap.card("x", Family.SUBMISSION, 1, 3, null, null, null, Set.of(hazard));
    }

    @Test
    void scoresByFamilyAndWhereItLands() {
        Ruleset rules = rules(false, 0);
        assertThat(rules.scores(Family.PASS, Stage.LEGS_CLEARED)).isTrue();
        assertThat(rules.scores(Family.PASS, Stage.LEGS_BETWEEN)).isFalse();
        assertThat(rules.scores(Family.SWEEP, Stage.LEGS_BETWEEN)).isTrue();
        assertThat(rules.scores(Family.TURNOVER, Stage.LEGS_CLEARED)).isFalse();
        assertThat(rules.scores(Family.THROW, Stage.LEGS_CLEARED)).isFalse();
        assertThat(rules(true, 0).scores(Family.THROW, Stage.HALF_DOWN)).isTrue();
        assertThat(rules(false, 4).scores(Family.THROW, Stage.HALF_DOWN)).isTrue();
        assertThat(rules(true, 4).scores(Family.TAKEDOWN, Stage.HALF_DOWN)).isFalse();
        assertThat(rules.countsHeld("side-top")).isTrue();
        assertThat(rules.countsHeld("side-bottom")).isFalse();
    }
}

package lynchet.core.safety;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.TinyMap;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CautionsTest {

    private static final GrapplingMap MAP = new TinyMap()
            .add(TinyMap.card("side-fall", Family.BREAKFALL, 1, null, null))
            .add(TinyMap.card("back-fall", Family.BREAKFALL, 1, null, null))
            .map();

    private static Technique card(Family family, List<String> falls, Hazard... hazards) {
        return TinyMap.card("x", family, 1, 3, null, falls, null, Set.of(hazards));
    }

    private static List<String> codes(Technique technique) {
        return Cautions.of(technique, MAP).stream().map(Caution::code).toList();
    }

    /** A straight arm lock is live from 16 here. Only where rules say another age is there anything to say. */
    @Test
    void whereRulesDifferInAgeTheStricterIsSaid() {
        TinyMap tiny = new TinyMap();
        Map<String, Integer> below = Map.of("juniors", 13, "alike", 16, "masters", 18, "throws", 0);
        new TreeMap<>(below)
                .forEach((rules, age) -> tiny.rulesets.add(TinyMap.forbidding(rules, Hazard.ARM_LOCK, age)));
        GrapplingMap map = tiny.map();
        assertThat(Cautions.of(card(Family.SUBMISSION, null, Hazard.ARM_LOCK), map))
                .filteredOn(caution -> caution.code().equals("AGES"))
                .extracting(Caution::level, Caution::text)
                .containsExactly(
                        Tuple.tuple(
                                Caution.Level.FORBID,
                                "juniors: legal from 13 on; live only from 16 on here, which is stricter and holds."),
                        Tuple.tuple(
                                Caution.Level.FORBID,
                                "masters: not legal under 18, which is stricter than 16 here and holds."));
        assertThat(Cautions.of(card(Family.SUBMISSION, null, Hazard.LEG_LOCK), map))
                .extracting(Caution::code)
                .doesNotContain("AGES");
    }

    @ParameterizedTest
    @EnumSource
    void everyHazardIsSaidUnderItsOwnCode(Hazard hazard) {
        assertThat(Cautions.of(card(Family.THROW, null, hazard), MAP))
                .singleElement()
                .satisfies(caution -> {
                    assertThat(caution.code()).isEqualTo(hazard.name());
                    assertThat(caution.text()).endsWith(".").hasSizeBetween(20, 120);
                });
    }

    @ParameterizedTest
    @CsvSource({
        "REAR_SIT, FORBID, behind",
        "KNEE_SIDE_FALL, FORBID, outside of a standing knee",
        "ARM_STANDING_FALL, FORBID, straight arm",
        "NECK_CRANK, FORBID, at any age",
        "TWISTING_LEG_LOCK, FORBID, under 18",
        "PRESSURE_POINT, FORBID, jaw",
        "FRONT_CHOKE, CAUTION, not under 16",
        "CHOKE, CAUTION, not under 13",
        "ARM_LOCK, CAUTION, not under 13",
        "SHOULDER_LOCK, CAUTION, not under 13",
        "LEG_LOCK, CAUTION, not under 16",
        "BELT_THUMB, CAUTION, thumb out",
        "HEAD_DIVE, CAUTION, Never dive",
        "ARMS_HELD, CAUTION, no free arm",
        "NECK_LOAD, CAUTION, never on the neck",
    })
    void theDangerousOnesAreForbiddenAndTheAgesAreSaid(Hazard hazard, Caution.Level level, String said) {
        assertThat(Cautions.of(hazard).level()).isEqualTo(level);
        assertThat(Cautions.of(hazard).text()).contains(said);
    }

    @Test
    void theWorstComesFirstThenWhatIsAskedThenWhatIsShown() {
        Technique reap = card(Family.SUBMISSION, List.of("side-fall"), Hazard.ARM_LOCK, Hazard.ARM_STANDING_FALL);
        assertThat(codes(reap)).containsExactly("ARM_STANDING_FALL", "FALL_FIRST", "ARM_LOCK", "TAP");
    }

    @Test
    void aThrowAsksForTheReceiversFallsByName() {
        assertThat(Cautions.of(card(Family.THROW, List.of("side-fall", "back-fall", "unknown-fall")), MAP))
                .singleElement()
                .returns("The receiver has passed: side-fall, back-fall and unknown-fall.", Caution::text)
                .returns(Caution.Level.CONDITION, Caution::level);
    }

    @Test
    void everySubmissionIsTappedAndWhatIsDoneAloneNeedsRoom() {
        assertThat(codes(card(Family.SUBMISSION, null))).containsExactly("TAP");
        assertThat(codes(card(Family.BREAKFALL, null))).containsExactly("SOLO");
        assertThat(codes(card(Family.MOVEMENT, null))).containsExactly("SOLO");
        assertThat(codes(card(Family.SWEEP, null))).isEmpty();
    }
}

package lynchet.starter;

import static org.assertj.core.api.Assertions.assertThat;

import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Ruleset;
import lynchet.format.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.node.ObjectNode;

/** Who scores what under the four shipped rulesets, as a coach at the edge of the mat expects it. */
class WhoScoresTest {

    private static final GrapplingMap MAP =
            GrapplingMap.of(StarterLibrary.club("Test").map());

    private static Ruleset.Landing landing(String position) {
        return new Ruleset.Landing(position, MAP.stageOf(position));
    }

    private static String scored(String ruleset, String linkId, boolean isWhole) {
        return scored(MAP.ruleset(ruleset).orElseThrow(), linkId, isWhole);
    }

    private static String scored(Ruleset rules, String linkId, boolean isWhole) {
        Link link = MAP.link(linkId).orElseThrow();
        Technique card = MAP.technique(link.technique()).orElseThrow();
        if (!rules.allows(card)) {
            return "ILLEGAL";
        }
        String to = isWhole ? link.to() : link.partial();
        Ruleset.Score score = rules.score(card.family(), landing(link.from()), landing(to), isWhole);
        return score.ends() ? "ENDS" : String.valueOf(score.points());
    }

    @ParameterizedTest(name = "{0}: {1}, {2} → {3}")
    @CsvSource({
        "jacket-throwing, major-hip-throw-from-even-grips, whole, ENDS",
        "jacket-throwing, major-outer-reap-from-even-grips, whole, ENDS",
        "jacket-throwing, circle-throw-from-even-grips, whole, ENDS",
        "jacket-throwing, corner-reversal-from-opposite-grips, whole, ENDS",
        "jacket-throwing, minor-outer-hook-from-even-grips, whole, ENDS",
        "jacket-throwing, outside-trip-from-over-under, whole, ENDS",
        "jacket-throwing, inside-trip-from-over-under, whole, ENDS",
        "jacket-throwing, rear-trip-down-from-rear-clinch, whole, ENDS",
        "jacket-throwing, lift-and-turn-down-from-rear-clinch, whole, ENDS",
        "jacket-throwing, lift-and-turn-down-from-rear-clinch, half, 0",
        "jacket-throwing, body-lock-drop-from-double-underhooks, whole, ENDS",
        "jacket-throwing, body-lock-drop-from-double-underhooks, half, 1",
        "jacket-throwing, outer-drop-from-even-grips, half, 1",
        "jacket-throwing, minor-inner-reap-from-even-grips, whole, 1",
        "jacket-throwing, major-inner-reap-from-even-grips, whole, 1",
        "jacket-throwing, shoulder-drop-from-even-grips, half, 0",
        "jacket-throwing, two-hand-shoulder-throw-from-even-grips, half, 0",
        "jacket-throwing, two-hand-shoulder-throw-from-strong-grips, half, 0",
        "jacket-throwing, inner-thigh-throw-from-opposite-grips, half, 0",
        "jacket-throwing, inner-thigh-throw-from-belt-grip, half, 0",
        "jacket-throwing, snap-down-from-even-grips, whole, 0",
        "jacket-throwing, mat-return-from-rear-clinch, whole, 0",
        "jacket-throwing, double-leg-from-even-grips, whole, ILLEGAL",
        "jacket-throwing, single-leg-from-collar-tie, whole, ILLEGAL",
        "jacket-throwing, scooping-throw-from-bent-under-belt, whole, ILLEGAL",
        "jacket-throwing, wrist-lock-from-side-control-top, whole, ILLEGAL",
        "jacket-throwing, knee-bar-from-leg-entanglement, whole, ILLEGAL",
        "jacket-throwing, entangle-the-leg-from-open-guard, whole, ILLEGAL",
        "jacket-throwing, side-step-pass-from-facing-open-guard, whole, 0",
        "jacket-throwing, half-lever-turn-from-behind-turtle, whole, 0",
        "jacket-throwing, scissor-sweep-from-closed-guard, whole, 0",
        "jacket-throwing, bridge-and-roll-from-mount-bottom, whole, 0",
        "jacket-ground, major-hip-throw-from-even-grips, whole, 2",
        "jacket-ground, double-leg-from-even-grips, whole, 2",
        "jacket-ground, outside-trip-from-over-under, whole, 2",
        "jacket-ground, minor-outer-hook-from-over-under, whole, 2",
        "jacket-ground, minor-inner-reap-from-even-grips, whole, 2",
        "jacket-ground, ankle-pick-from-collar-tie, whole, 2",
        "jacket-ground, mat-return-from-rear-clinch, whole, 2",
        "jacket-ground, shoulder-drop-from-even-grips, half, 2",
        "jacket-ground, drive-down-front-headlock-from-front-headlock, whole, 2",
        "jacket-ground, arm-drag-from-even-grips, whole, 0",
        "jacket-ground, single-leg-from-collar-tie, whole, 0",
        "jacket-ground, snap-down-from-even-grips, whole, 0",
        "jacket-ground, snap-down-from-collar-tie, whole, 0",
        "jacket-ground, go-behind-from-front-headlock, whole, 0",
        "jacket-ground, sit-to-guard-from-even-grips, whole, 0",
        "jacket-ground, scissor-sweep-from-closed-guard, whole, 6",
        "jacket-ground, sickle-sweep-from-open-guard, whole, 2",
        "jacket-ground, hook-half-sweep-from-half-guard-underhook, whole, 2",
        "jacket-ground, side-step-pass-from-facing-open-guard, whole, 3",
        "jacket-ground, flatten-and-free-from-half-guard-top, whole, 7",
        "jacket-ground, leg-drag-pass-from-facing-open-guard, whole, 0",
        "jacket-ground, side-to-scarf-from-side-control-top, whole, 0",
        "jacket-ground, spin-to-north-south-from-side-control-top, whole, 0",
        "jacket-ground, sit-to-reverse-scarf-from-side-control-top, whole, 0",
        "jacket-ground, switch-to-knee-ride-from-side-control-top, whole, 2",
        "jacket-ground, side-to-mount-from-side-control-top, whole, 4",
        "jacket-ground, climb-high-mount-from-mount-top, whole, 0",
        "jacket-ground, mount-to-back-from-mount-top, whole, 4",
        "jacket-ground, seatbelt-and-hooks-from-behind-turtle, whole, 4",
        "jacket-ground, drag-and-climb-from-closed-guard, whole, 4",
        "jacket-ground, trap-the-hand-from-back-control, whole, 0",
        "jacket-ground, half-lever-turn-from-behind-turtle, whole, 0",
        "jacket-ground, bridge-and-roll-from-mount-bottom, whole, 0",
        "no-jacket, double-leg-from-standing-apart, whole, 0",
        "no-jacket, single-leg-inside-trip-from-single-leg-up, whole, 0",
        "no-jacket, body-lock-drop-from-double-underhooks, whole, 0",
        "no-jacket, hip-wheel-from-collar-tie, whole, 0",
        "no-jacket, major-hip-throw-from-over-under, whole, 0",
        "no-jacket, shoulder-throw-from-two-on-one, whole, 0",
        "no-jacket, snap-down-from-collar-tie, whole, 0",
        "no-jacket, mat-return-from-rear-clinch, whole, 0",
        "no-jacket, duck-under-from-collar-tie, whole, 0",
        "no-jacket, go-behind-from-front-headlock, whole, 0",
        "no-jacket, side-step-pass-from-facing-open-guard, whole, 0",
        "no-jacket, side-to-mount-from-side-control-top, whole, 0",
        "no-jacket, seatbelt-and-hooks-from-behind-turtle, whole, 0",
        "no-jacket, drag-and-climb-from-closed-guard, whole, 0",
        "no-jacket, arm-lock-from-mount-top, whole, 0",
        "no-jacket, triangle-choke-from-closed-guard, whole, 0",
        "no-jacket, front-choke-from-front-headlock, whole, 0",
        "no-jacket, mount-to-back-from-mount-top, whole, 0",
        "no-jacket, knee-bar-from-leg-entanglement, whole, 0",
        "no-jacket, ankle-lock-from-leg-entanglement, whole, 0",
        "no-jacket, major-outer-reap-from-even-grips, whole, ILLEGAL",
        "no-jacket, take-sleeve-collar-from-standing-apart, whole, ILLEGAL",
        "no-jacket, cross-collar-choke-from-mount-top, whole, ILLEGAL",
        "no-jacket, sliding-collar-choke-from-back-control, whole, ILLEGAL",
        "no-jacket, clock-choke-from-behind-turtle, whole, ILLEGAL",
        "wrestling, double-leg-from-standing-apart, whole, 4",
        "wrestling, hip-wheel-from-collar-tie, whole, 4",
        "wrestling, outside-trip-from-over-under, whole, 4",
        "wrestling, minor-outer-hook-from-over-under, whole, 4",
        "wrestling, inside-trip-from-over-under, whole, 4",
        "wrestling, rear-trip-down-from-rear-clinch, whole, 4",
        "wrestling, knee-tap-from-over-under, whole, 4",
        "wrestling, lift-and-turn-down-from-rear-clinch, whole, 4",
        "wrestling, lift-and-turn-down-from-rear-clinch, half, 2",
        "wrestling, body-lock-drop-from-double-underhooks, half, 2",
        "wrestling, mat-return-from-rear-clinch, whole, 2",
        "wrestling, ankle-pick-from-collar-tie, whole, 2",
        "wrestling, go-behind-from-front-headlock, whole, 2",
        "wrestling, go-behind-from-head-of-turtle, whole, 2",
        "wrestling, go-behind-from-sprawl-on-top, whole, 2",
        "wrestling, snap-down-from-collar-tie, whole, 0",
        "wrestling, duck-under-from-collar-tie, whole, 0",
        "wrestling, tight-waist-tilt-from-four-point-ride, whole, 2",
        "wrestling, half-lever-turn-from-four-point-ride, whole, 2",
        "wrestling, cross-face-cradle-from-behind-turtle, whole, 2",
        "wrestling, four-point-breakdown-from-four-point-ride, whole, 0",
        "wrestling, seatbelt-and-hooks-from-behind-turtle, whole, 0",
        "wrestling, side-to-mount-from-side-control-top, whole, 0",
        "wrestling, stomp-to-combat-base-from-both-seated, whole, 0",
        "wrestling, sit-out-from-four-points, whole, 0",
        "wrestling, stand-from-turtle-from-turtle, whole, 0",
        "wrestling, bridge-and-roll-from-mount-bottom, whole, 1",
        "wrestling, scissor-sweep-from-closed-guard, whole, 1",
        "wrestling, hook-half-sweep-from-half-guard-underhook, whole, 1",
        "wrestling, turn-to-knees-from-scarf-hold-bottom, whole, 1",
        "wrestling, front-choke-from-front-headlock, whole, ILLEGAL",
    })
    void isWorth(String ruleset, String link, String how, String worth) {
        assertThat(scored(ruleset, link, how.equals("whole"))).isEqualTo(worth);
        Ruleset own = MAP.ruleset(ruleset).orElseThrow().called("our-own", "Ours");
        assertThat(scored(Json.read(Json.write(own), Ruleset.class), link, how.equals("whole")))
                .as("rules made by hand from these")
                .isEqualTo(worth);
    }

    @Test
    void rulesMadeFromThemScoreOtherwiseWhereTheyWereChanged() {
        ObjectNode body = (ObjectNode)
                Json.mapper().readTree(Json.write(MAP.ruleset("jacket-throwing").orElseThrow()));
        body.put("noLegGrabs", false).put("fullThrowEnds", false).put("fullThrowPoints", 7);
        Ruleset own = Json.read(body.toString(), Ruleset.class);
        assertThat(scored(own, "major-hip-throw-from-even-grips", true)).isEqualTo("7");
        assertThat(scored(own, "double-leg-from-even-grips", true)).isNotEqualTo("ILLEGAL");
        assertThat(scored(own, "knee-bar-from-leg-entanglement", true)).isEqualTo("ILLEGAL");
        assertThat(scored(own, "outer-drop-from-even-grips", false)).isEqualTo("1");
        assertThat(scored(own, "scissor-sweep-from-closed-guard", true)).isEqualTo("0");
    }

    @ParameterizedTest
    @ValueSource(strings = {"jacket-throwing", "jacket-ground", "no-jacket"})
    void chokesAndLocksHaveAnAge(String ruleset) {
        Ruleset rules = MAP.ruleset(ruleset).orElseThrow();
        for (Hazard hazard : new Hazard[] {Hazard.CHOKE, Hazard.FRONT_CHOKE, Hazard.ARM_LOCK, Hazard.SHOULDER_LOCK}) {
            assertThat(rules.illegalHazards())
                    .as(hazard.name())
                    .anyMatch(limit -> limit.hazard() == hazard && limit.belowAge() >= 16);
        }
    }

    @Test
    void aWrestlerOnTheBackIsLosingInEveryGuard() {
        for (String guard :
                new String[] {"closed-guard", "open-guard", "half-guard-bottom", "sleeve-guard", "seated-hooks"}) {
            assertThat(MAP.position(guard).orElseThrow().controlIn().get("wrestling"))
                    .as(guard)
                    .isLessThanOrEqualTo(-1.5);
        }
        assertThat(MAP.ruleset("wrestling").orElseThrow().entries()).contains("four-point-ride");
    }
}

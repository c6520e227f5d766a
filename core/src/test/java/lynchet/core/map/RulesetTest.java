package lynchet.core.map;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.card.Jacket;
import lynchet.core.card.Technique;
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
                        new Points(Family.PASS, Stage.LEGS_CLEARED, 3, null),
                        new Points(Family.SWEEP, null, 2, null),
                        new Points(Family.TAKEDOWN, null, 1, List.of("in-guard")),
                        new Points(Family.TURNOVER, null, 0, null)),
                throwEnds,
                throwPoints,
                List.of(new HeldPin("side-top", 20, 0)),
                null,
                5,
                null,
                true,
                1,
                List.of(new Ruleset.Paid(List.of("mount", "high-mount"), 4)));
    }

    @Test
    void allowsByNameHazardAndJacket() {
        Ruleset rules = rules(false, 0);
        assertThat(rules.allows(TinyMap.technique("knee-slide", 1))).isTrue();
        assertThat(rules.allows(TinyMap.technique("scissor", 1))).isFalse();
        assertThat(rules.allows(TinyMap.tagged("ankle", "leg-grab"))).isFalse();
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

    private static final Ruleset.Landing STANDING = new Ruleset.Landing("standing", Stage.GRIPPED);
    private static final Ruleset.Landing SIDE = new Ruleset.Landing("side-top", Stage.LEGS_CLEARED);
    private static final Ruleset.Landing GUARD = new Ruleset.Landing("in-guard", Stage.LEGS_BETWEEN);
    private static final Ruleset.Landing MOUNT = new Ruleset.Landing("mount", Stage.LEGS_CLEARED);

    private static int points(Ruleset rules, Family family, Ruleset.Landing from, Ruleset.Landing to) {
        return rules.score(family, from, to, true).points();
    }

    @Test
    void scoresByFamilyAndWhereItLands() {
        Ruleset rules = rules(false, 0);
        assertThat(points(rules, Family.PASS, GUARD, SIDE)).isEqualTo(3);
        assertThat(points(rules, Family.PASS, GUARD, GUARD)).isZero();
        assertThat(points(rules, Family.SWEEP, GUARD, GUARD)).isEqualTo(2);
        assertThat(points(rules, Family.TURNOVER, GUARD, SIDE)).isZero();
        assertThat(points(rules, Family.TAKEDOWN, STANDING, SIDE))
                .as("at that position only")
                .isZero();
        assertThat(points(rules, Family.TAKEDOWN, STANDING, GUARD)).isEqualTo(1);
        assertThat(rules.countsHeld("side-top")).isTrue();
        assertThat(rules.countsHeld("side-bottom")).isFalse();
    }

    @Test
    void aPositionPaysHoweverItIsReachedButNotTwice() {
        Ruleset rules = rules(false, 0);
        assertThat(points(rules, Family.TRANSITION, SIDE, MOUNT)).isEqualTo(4);
        assertThat(points(rules, Family.PASS, GUARD, MOUNT))
                .as("passed, and mounted")
                .isEqualTo(7);
        assertThat(points(rules, Family.PIN, MOUNT, MOUNT)).isZero();
    }

    @Test
    void aThrowEndsOrScoresWholeOrHalf() {
        assertThat(rules(true, 0).score(Family.THROW, STANDING, SIDE, true)).isEqualTo(new Ruleset.Score(true, 0));
        assertThat(rules(true, 0).score(Family.THROW, STANDING, SIDE, false)).isEqualTo(new Ruleset.Score(false, 1));
        assertThat(rules(false, 4).score(Family.THROW, STANDING, SIDE, true).points())
                .isEqualTo(4);
        assertThat(rules(true, 4).score(Family.TAKEDOWN, STANDING, SIDE, true).ends())
                .isFalse();
    }

    private static final Ruleset.Landing BELLY = new Ruleset.Landing("behind", Stage.HALF_DOWN);
    private static final Ruleset.Landing SEAT = new Ruleset.Landing("over", Stage.LEGS_BETWEEN);

    private static Ruleset byLanding(boolean throwEnds) {
        return RulesetBuilder.builder()
                .id("rules")
                .name("Rules")
                .jacket(Jacket.EITHER)
                .points(List.of(new Points(Family.THROW, null, 5, List.of("behind"))))
                .fullThrowEnds(throwEnds)
                .fullThrowPoints(4)
                .minutes(5)
                .halfThrowPoints(1)
                .reached(List.of(
                        new Ruleset.Paid(List.of("mount"), 7, List.of("in-guard"), null),
                        new Ruleset.Paid(List.of("turned"), 9, null, List.of("side-top"))))
                .landings(new Ruleset.Landings(List.of("side-top", "in-guard"), List.of("over")))
                .build();
    }

    /** On the back it is a throw, on the seat half of one, on the belly what else is said of it; whatever it is called. */
    @Test
    void aThrowAndATakedownPayByWhereTheyLand() {
        for (Family family : List.of(Family.THROW, Family.TAKEDOWN)) {
            assertThat(byLanding(true).score(family, STANDING, SIDE, true)).isEqualTo(new Ruleset.Score(true, 0));
            assertThat(byLanding(false).score(family, STANDING, SIDE, true)).isEqualTo(new Ruleset.Score(false, 4));
            assertThat(byLanding(true).score(family, STANDING, SIDE, false)).isEqualTo(new Ruleset.Score(false, 1));
            assertThat(byLanding(true).score(family, STANDING, SEAT, true)).isEqualTo(new Ruleset.Score(false, 1));
            assertThat(byLanding(true).score(family, SEAT, SIDE, true))
                    .as("from the mat nobody is thrown")
                    .isEqualTo(new Ruleset.Score(false, 0));
        }
        assertThat(byLanding(true).score(Family.THROW, STANDING, BELLY, true)).isEqualTo(new Ruleset.Score(false, 5));
        assertThat(byLanding(true).score(Family.TAKEDOWN, STANDING, BELLY, true))
                .isEqualTo(new Ruleset.Score(false, 0));
        assertThat(byLanding(true).score(Family.SWEEP, STANDING, SIDE, true)).isEqualTo(new Ruleset.Score(false, 0));
    }

    @Test
    void aPositionPaysOnlyFromWhereItIsSaidTo() {
        Ruleset rules = byLanding(false);
        assertThat(rules.paidFor("in-guard", "mount")).isEqualTo(7);
        assertThat(rules.paidFor("side-top", "mount")).isZero();
        assertThat(rules.paidFor("behind", "turned")).isEqualTo(9);
        assertThat(rules.paidFor("side-top", "turned")).isZero();
    }
}

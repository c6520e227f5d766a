package lynchet.core.safety;

import static lynchet.core.safety.Caution.Level.CAUTION;
import static lynchet.core.safety.Caution.Level.CONDITION;
import static lynchet.core.safety.Caution.Level.FORBID;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Ruleset;
import lynchet.core.numbers.Ages;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.rule.Phrases;

/** Which cautions a technique carries. One rule, one text, everywhere; local rules come first. */
public final class Cautions {

    /** The line at the foot of every printed sheet and on the first page. */
    public static final String RESPONSIBILITY =
            "Training is at your own club's responsibility. Lynchet keeps records and shows the usual cautions; follow "
                    + "your governing body's rules, local law and safeguarding policy, and leave first aid and return "
                    + "after injury to qualified people.";

    private Cautions() {}

    /** The cautions of a technique, most severe first, then in the order of the rules. */
    public static List<Caution> of(Technique technique, GrapplingMap map) {
        List<Caution> cautions = new ArrayList<>();
        for (Hazard hazard : Hazard.values()) {
            if (technique.hazards().contains(hazard)) {
                cautions.add(of(hazard, map.numbers()));
            }
        }
        map.data().rulesets().stream()
                .filter(rules -> rules.allows(technique))
                .flatMap(rules -> agesUnder(rules, technique, map.numbers().ages(technique)).stream())
                .forEach(cautions::add);
        if (!technique.receiverFalls().isEmpty()) {
            List<String> falls = technique.receiverFalls().stream()
                    .map(id -> map.technique(id).map(Technique::name).orElse(id).toLowerCase(java.util.Locale.ROOT))
                    .toList();
            cautions.add(new Caution("FALL_FIRST", CONDITION, "The receiver has passed: " + Phrases.and(falls) + "."));
        }
        if (technique.family() == Family.SUBMISSION) {
            cautions.add(new Caution("TAP", CAUTION, "Tap early, release at once, both watch; slow on the lock."));
        }
        if (technique.family().isSolo()) {
            cautions.add(new Caution("SOLO", CAUTION, "Alone: soft ground, clear space, no hard objects."));
        }
        cautions.sort(java.util.Comparator.comparing(Caution::level));
        return List.copyOf(cautions);
    }

    /** Where rules of a bout and these cautions differ in age, the stricter holds; this says which. */
    private static Optional<Caution> agesUnder(Ruleset rules, Technique technique, Ages ages) {
        int legal = rules.legalFrom(technique);
        int live = ages.live();
        if (legal == 0 || legal == live || ages.never()) {
            return Optional.empty();
        }
        String which = legal > live
                ? "not legal under " + legal + ", which is stricter than " + live + " here and holds."
                : "legal from " + legal + " on; live only from " + live + " on here, which is stricter and holds.";
        return Optional.of(new Caution("AGES", FORBID, rules.name() + ": " + which));
    }

    /** The rule that a hazard stands for, with the usual numbers. */
    public static Caution of(Hazard hazard) {
        return of(hazard, ClubNumbers.USUAL);
    }

    /** The rule that a hazard stands for in a club. */
    public static Caution of(Hazard hazard, ClubNumbers numbers) {
        String ages = inWords(numbers.ages(hazard));
        return switch (hazard) {
            case REAR_SIT ->
                caution(
                        hazard,
                        FORBID,
                        "Only from behind; the seat lands behind their heels and clear of the near knee.");
            case KNEE_SIDE_FALL ->
                caution(hazard, FORBID, "Never drop weight across the outside of a standing knee: not in training.");
            case ARM_STANDING_FALL ->
                caution(
                        hazard,
                        FORBID,
                        "Below the rank set: no falling with a straight arm locked, no landing on the partner, no back arch.");
            case NECK_CRANK -> caution(hazard, FORBID, "No cranking or twisting of the neck in training, at any age.");
            case FRONT_CHOKE -> caution(hazard, CAUTION, "Squeeze slowly, no jerk; " + ages + ".");
            case CHOKE -> caution(hazard, CAUTION, "Slowly; " + ages + ".");
            case ARM_LOCK -> caution(hazard, CAUTION, "Straighten slowly; " + ages + ".");
            case SHOULDER_LOCK -> caution(hazard, CAUTION, "Turn the shoulder slowly; " + ages + ".");
            case LEG_LOCK -> caution(hazard, CAUTION, "Straight leg locks by rank; " + ages + ".");
            case TWISTING_LEG_LOCK ->
                caution(hazard, FORBID, "Twisting leg locks: " + ages + " or below the rank set.");
            case LIFTED ->
                caution(
                        hazard,
                        CAUTION,
                        "If you are lifted, open before you are clear of the floor; the one who lifts lowers, never drops.");
            case BELT_THUMB -> caution(hazard, CAUTION, "Four fingers in the belt, thumb out.");
            case PRESSURE_POINT -> caution(hazard, FORBID, "No knuckle, ear or jaw pressure on training partners.");
            case LIFT_LEGS -> caution(hazard, CAUTION, "Lift with the legs, back straight.");
            case HEAD_DIVE ->
                caution(hazard, CAUTION, "Never dive: look up and away, the head stays clear of the mat.");
            case ARMS_HELD ->
                caution(hazard, CAUTION, "They have no free arm to fall with: lower them, or let one sleeve go.");
            case NECK_LOAD ->
                caution(hazard, CAUTION, "Weight on the shoulders, never on the neck or the crown; slowly.");
            case KNEE_LOAD ->
                caution(
                        hazard,
                        CAUTION,
                        "Nothing across or around the knee: it goes the way it bends, the foot is never turned.");
        };
    }

    /** The ages of a hazard in words: "not under 13, only shown up to 15". */
    private static String inWords(Ages ages) {
        return "not under " + ages.from()
                + (ages.shownBelow() == 0 ? "" : ", only shown up to " + (ages.shownBelow() - 1));
    }

    private static Caution caution(Hazard hazard, Caution.Level level, String text) {
        return new Caution(hazard.name(), level, text);
    }
}

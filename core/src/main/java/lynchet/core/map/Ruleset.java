package lynchet.core.map;

import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Say;
import org.jspecify.annotations.Nullable;

/**
 * What is legal, what it scores, what ends the bout and where it may start.
 *
 * @param entries position ids where a bout may start
 * @param fullThrowPoints points of a clean throw when it does not end the bout
 * @param minutes length of a bout
 */
public record Ruleset(
        String id,
        String name,
        Jacket jacket,
        @Most(400) List<String> illegalTechniques,
        List<HazardLimit> illegalHazards,
        List<String> entries,
        List<Points> points,
        boolean fullThrowEnds,
        int fullThrowPoints,
        List<HeldPin> pins,
        List<@Most(120) String> penalties,
        int minutes,
        @Most(400) @Nullable String note) {

    /** A hazard that is not legal below an age; {@code belowAge} 0: at no age. */
    public record HazardLimit(Hazard hazard, int belowAge) {}

    /** What a family scores when it lands at a stage; {@code landing} null: anywhere. */
    public record Points(Family family, @Nullable Stage landing, int points) {}

    /** A hold-down that counts after some seconds; {@code points} 0: it ends the bout. */
    public record HeldPin(String position, int seconds, int points) {}

    public Ruleset {
        Say.id("a ruleset", id);
        Say.text("the name of ruleset " + id, name);
        jacket = jacket == null ? Jacket.EITHER : jacket;
        illegalTechniques = Say.list(illegalTechniques);
        illegalHazards = Say.list(illegalHazards);
        entries = Say.list(entries);
        points = Say.list(points);
        pins = Say.list(pins);
        penalties = Say.list(penalties);
        Say.within("the minutes of ruleset " + id, minutes, 1, 60);
    }

    /** Whether grown-ups may do the technique here, by name, hazard and jacket. */
    public boolean allows(Technique technique) {
        return technique.jacket().fits(jacket)
                && !illegalTechniques.contains(technique.id())
                && illegalHazards.stream()
                        .noneMatch(limit ->
                                limit.belowAge() == 0 && technique.hazards().contains(limit.hazard()));
    }

    /** Whether landing this technique at this stage scores or ends the bout. */
    public boolean scores(Family family, Stage landing) {
        if (family == Family.THROW && (fullThrowEnds || fullThrowPoints > 0)) {
            return true;
        }
        return points.stream()
                .anyMatch(
                        p -> p.family() == family && p.points() > 0 && (p.landing() == null || p.landing() == landing));
    }

    /** Whether holding this position counts. */
    public boolean countsHeld(String position) {
        return pins.stream().anyMatch(pin -> pin.position().equals(position));
    }

    /** The same ruleset forbidding other techniques. */
    public Ruleset forbidding(List<String> techniques) {
        return new Ruleset(
                id,
                name,
                jacket,
                techniques,
                illegalHazards,
                entries,
                points,
                fullThrowEnds,
                fullThrowPoints,
                pins,
                penalties,
                minutes,
                note);
    }
}

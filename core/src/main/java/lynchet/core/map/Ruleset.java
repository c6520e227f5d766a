package lynchet.core.map;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import lynchet.core.card.Family;
import lynchet.core.card.Hazard;
import lynchet.core.card.Jacket;
import lynchet.core.card.Technique;
import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * What is legal, what it scores, what ends the bout and where it may start.
 *
 * @param entries position ids where a bout may start
 * @param fullThrowPoints points of a clean throw when it does not end the bout
 * @param minutes length of a bout
 * @param noLegGrabs whether techniques that take hold of a leg are illegal: those tagged {@link #LEG_GRAB}
 * @param halfThrowPoints points of a throw that lands half; 0: none
 * @param reached what reaching a position pays, however it is reached
 * @param landings where somebody brought down from the feet has to land; null: a throw pays wherever it lands, as in
 *     files before format 3
 */
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
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
        @Most(400) @Nullable String note,
        boolean noLegGrabs,
        int halfThrowPoints,
        List<Paid> reached,
        @Nullable Landings landings) {

    /** The tag of techniques that take hold of a leg. */
    public static final String LEG_GRAB = "leg-grab";

    private static final int MOST_POINTS = 100;

    /** A hazard that is not legal below an age; {@code belowAge} 0: at no age. */
    public record HazardLimit(Hazard hazard, int belowAge) {
        public HazardLimit {
            Require.present("the hazard of a limit", hazard);
            Require.within("the age below which it is not legal", belowAge, 0, 99);
        }
    }

    /**
     * What a family scores where it lands: at a stage, or at one of some positions; neither: anywhere.
     *
     * @param at position ids; empty: any
     */
    public record Points(Family family, @Nullable Stage landing, int points, List<String> at) {
        public Points {
            Require.present("the family of what scores", family);
            Require.within("the points of what scores", points, 0, MOST_POINTS);
            at = Require.list(at);
        }

        private boolean pays(Family done, Landing where) {
            return family == done
                    && (landing == null || landing == where.stage())
                    && (at.isEmpty() || at.contains(where.position()));
        }
    }

    /**
     * Positions that pay once reached from anywhere else; going from one of them to another pays nothing.
     *
     * @param onlyFrom position ids from which it pays, as a reversal does from underneath; empty: any
     * @param unlessFrom position ids from which it pays nothing, since control was there before
     */
    public record Paid(List<String> positions, int points, List<String> onlyFrom, List<String> unlessFrom) {
        public Paid {
            Require.within("the points for reaching a position", points, 0, MOST_POINTS);
            positions = Require.list(positions);
            onlyFrom = Require.list(onlyFrom);
            unlessFrom = Require.list(unlessFrom);
        }

        public Paid(List<String> positions, int points) {
            this(positions, points, List.of(), List.of());
        }

        private boolean pays(String from, String to) {
            return positions.contains(to)
                    && !positions.contains(from)
                    && (onlyFrom.isEmpty() || onlyFrom.contains(from))
                    && !unlessFrom.contains(from);
        }
    }

    /**
     * Where somebody brought down from the feet lands, by a throw or a takedown alike; anywhere else, as on the belly and
     * knees, it is worth what {@link Points} say.
     *
     * @param back positions above somebody on the back: clean it is a full throw, else half of one
     * @param seat positions above somebody on the seat or the side: half of a throw
     */
    public record Landings(List<String> back, List<String> seat) {
        public Landings {
            back = Require.list(back);
            seat = Require.list(seat);
        }
    }

    /** A position with its stage. */
    public record Landing(String position, Stage stage) {}

    /** What something is worth: the bout, or points. */
    public record Score(boolean ends, int points) {}

    /** A hold-down that counts after some seconds; {@code points} 0: it ends the bout. */
    public record HeldPin(String position, int seconds, int points) {
        public HeldPin {
            Require.present("the position of a hold-down", position);
            Require.within("the seconds of a hold-down", seconds, 1, 600);
            Require.within("the points of a hold-down", points, 0, MOST_POINTS);
        }
    }

    /** A ruleset in which a throw pays wherever it lands. */
    public Ruleset(
            String id,
            String name,
            Jacket jacket,
            List<String> illegalTechniques,
            List<HazardLimit> illegalHazards,
            List<String> entries,
            List<Points> points,
            boolean fullThrowEnds,
            int fullThrowPoints,
            List<HeldPin> pins,
            List<String> penalties,
            int minutes,
            @Nullable String note,
            boolean noLegGrabs,
            int halfThrowPoints,
            List<Paid> reached) {
        this(
                id,
                name,
                jacket,
                illegalTechniques,
                illegalHazards,
                entries,
                points,
                fullThrowEnds,
                fullThrowPoints,
                pins,
                penalties,
                minutes,
                note,
                noLegGrabs,
                halfThrowPoints,
                reached,
                null);
    }

    public Ruleset {
        Require.id("a ruleset", id);
        Require.text("the name of this ruleset", name);
        jacket = jacket == null ? Jacket.EITHER : jacket;
        illegalTechniques = Require.list(illegalTechniques);
        illegalHazards = Require.list(illegalHazards);
        entries = Require.list(entries);
        points = Require.list(points);
        pins = Require.list(pins);
        penalties = Require.list(penalties);
        reached = Require.list(reached);
        Require.within("the minutes of this ruleset", minutes, 1, 60);
        Require.within("the points of a full throw", fullThrowPoints, 0, MOST_POINTS);
        Require.within("the points of half a throw", halfThrowPoints, 0, MOST_POINTS);
        if (illegalHazards.stream().map(HazardLimit::hazard).distinct().count() != illegalHazards.size()) {
            throw new Nonsense(Nonsense.Rule.TOO_MANY, "/illegalHazards", "these rules say two ages of one hazard");
        }
    }

    /** Whether grown-ups may do the technique here, by name, hazard and jacket. */
    public boolean allows(Technique technique) {
        return technique.jacket().fits(jacket)
                && !illegalTechniques.contains(technique.id())
                && !(noLegGrabs && technique.tags().contains(LEG_GRAB))
                && illegalHazards.stream()
                        .noneMatch(limit ->
                                limit.belowAge() == 0 && technique.hazards().contains(limit.hazard()));
    }

    /** The age in years from which its hazards are legal here; 0: at any age, or at none ({@link #allows}). */
    public int legalFrom(Technique technique) {
        return illegalHazards.stream()
                .filter(limit -> technique.hazards().contains(limit.hazard()))
                .mapToInt(HazardLimit::belowAge)
                .max()
                .orElse(0);
    }

    /**
     * What a technique scores that is done from one position and lands at another.
     *
     * @param isWhole whether a throw lands clean; a half one has points of its own
     */
    public Score score(Family family, Landing from, Landing to, boolean isWhole) {
        boolean isDown = landings == null
                ? family == Family.THROW
                : family.bringsDown() && from.stage().compareTo(Stage.GRIPPED) <= 0;
        boolean isBack = landings == null || landings.back().contains(to.position());
        boolean isFull = isDown && isWhole && isBack;
        if (isFull && fullThrowEnds) {
            return new Score(true, 0);
        }
        boolean isHalf = isDown && !isFull && (isBack || landings.seat().contains(to.position()));
        int done = isFull ? fullThrowPoints : isHalf ? halfThrowPoints : pointsOf(family, to);
        return new Score(false, done + paidFor(from.position(), to.position()));
    }

    private int pointsOf(Family family, Landing to) {
        return points.stream()
                .filter(p -> p.pays(family, to))
                .mapToInt(Points::points)
                .max()
                .orElse(0);
    }

    /** What going from one position to another pays, however it is done. */
    public int paidFor(String from, String to) {
        return reached.stream()
                .filter(r -> r.pays(from, to))
                .mapToInt(Paid::points)
                .sum();
    }

    /** Whether a technique done clean ends the bout or scores. */
    public boolean scores(Family family, Landing from, Landing to) {
        Score score = score(family, from, to, true);
        return score.ends() || score.points() > 0;
    }

    /** Whether holding this position counts. */
    public boolean countsHeld(String position) {
        return pins.stream().anyMatch(pin -> pin.position().equals(position));
    }

    /** Whether holding this position ends the bout. */
    public boolean endsHeld(String position) {
        return pins.stream().anyMatch(pin -> pin.position().equals(position) && pin.points() == 0);
    }

    /** The same rules under another id and name. */
    public Ruleset called(String otherId, String otherName) {
        return RulesetBuilder.builder(this).id(otherId).name(otherName).build();
    }

    /** The same ruleset forbidding other techniques. */
    public Ruleset forbidding(List<String> techniques) {
        return RulesetBuilder.builder(this).illegalTechniques(techniques).build();
    }
}

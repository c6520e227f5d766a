package lynchet.core.round;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.map.Stage;
import lynchet.core.walk.Chance;
import lynchet.core.walk.Evidence;
import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * How the map works, from logged rounds (design: how well a link works).
 *
 * <p>Prior Beta(8m, 8(1 − m)) with m the rate of the family where it starts, drawn to what is usual there by ten tries,
 * times a factor of how hard the technique is to master. Worked: 18 of 40 → 21.5/50 = 0.43; master 3, 9 of 12 → (3.44 +
 * 9)/20 = 0.622. Shares of reactions: one for each known reaction and one for none before anything is logged. Worked: two
 * reactions, 4 failures of which 3 met the first → (1 + 3)/(3 + 4) = 0.571.
 */
public final class RoundEvidence implements Evidence {

    private static final double STRENGTH = 8;
    private static final double USUAL_TRIES = 10;
    private static final double LANDS = 0.35;
    private static final Map<Stage, Double> TAPS = new EnumMap<>(Map.of(
            Stage.FINISH, 0.5,
            Stage.LEGS_CLEARED, 0.2,
            Stage.LEGS_BETWEEN, 0.1,
            Stage.HALF_DOWN, 0.1,
            Stage.GRIPPED, 0.05,
            Stage.APART, 0.05));
    private static final Map<Integer, Double> BY_MASTER = Map.of(1, 1.25, 2, 1.1, 3, 1.0, 4, 0.85, 5, 0.7);

    /** Links that are alike before any of them is tried. */
    private record Alike(Family family, Stage stage, boolean taps) {
        double usual() {
            return taps ? TAPS.get(stage) : LANDS;
        }
    }

    private static final class Tally {
        private int tries;
        private double worked;
        private int failed;
    }

    private static final Tally NOTHING = new Tally();

    private final GrapplingMap map;
    private final Map<String, Tally> byLink = new HashMap<>();
    private final Map<Alike, Tally> alike = new HashMap<>();
    private final Map<String, Integer> reactions = new HashMap<>();
    private final Map<String, Integer> visits = new HashMap<>();
    private final Map<String, Integer> finishes = new HashMap<>();

    private RoundEvidence(GrapplingMap map) {
        this.map = map;
    }

    /** What is usual, with no round logged. */
    public static RoundEvidence withoutRounds(GrapplingMap map) {
        return new RoundEvidence(map);
    }

    /**
     * The evidence of what was logged; what is not on the map is passed over.
     *
     * @param bothSides whether everybody's rounds are meant, so that each counts from both sides
     */
    public static RoundEvidence of(GrapplingMap map, List<Logged> logged, boolean bothSides) {
        RoundEvidence evidence = new RoundEvidence(map);
        logged.forEach(one -> evidence.add(one, bothSides));
        return evidence;
    }

    private void add(Logged one, boolean bothSides) {
        if (one.card()) {
            ended(one, bothSides);
            return;
        }
        Link link = map.link(one.link()).orElse(null);
        if (link != null && one.mine()) {
            tried(link, one);
        }
        if (one.begins() && link != null) {
            visited(link.from(), one, bothSides);
        }
        String to = arrives(link, one);
        if (to != null && map.position(to).isPresent() && (link == null || !to.equals(link.from()))) {
            visited(to, one, bothSides);
        }
    }

    /**
     * A card says where it ended and what worked, and nothing of what was tried before: it is a visit, and no rate comes of it.
     */
    private void ended(Logged one, boolean bothSides) {
        if (map.position(one.position()).isPresent()) {
            visited(one.position(), one, bothSides);
        }
        if (one.mine() && one.link() != null && map.link(one.link()).isPresent()) {
            finishes.merge(one.link(), one.count(), Integer::sum);
        }
    }

    /** How many cards say that a round ended with this link. */
    public int finishes(String link) {
        return finishes.getOrDefault(link, 0);
    }

    private void tried(Link link, Logged one) {
        boolean isTry = one.intent() == Round.Intent.TRY;
        boolean failed = isTry && one.outcome().worked() == 0;
        if (isTry) {
            for (Tally tally : List.of(
                    byLink.computeIfAbsent(link.id(), id -> new Tally()),
                    alike.computeIfAbsent(alike(link), key -> new Tally()))) {
                tally.tries += one.count();
                tally.worked += one.count() * one.outcome().worked();
                tally.failed += failed ? one.count() : 0;
            }
        }
        Reaction met = map.reaction(one.reaction()).orElse(null);
        if (met != null
                && (met.link() == null
                        ? isAtAnEndOf(met, link)
                        : failed && met.link().equals(link.id()))) {
            reactions.merge(met.id(), one.count(), Integer::sum);
        }
    }

    private static boolean isAtAnEndOf(Reaction met, Link link) {
        return met.position().equals(link.from()) || met.position().equals(link.to());
    }

    /** Where the person who did it is afterwards; null: where they were, or nowhere any more. */
    private String arrives(Link link, Logged one) {
        if (one.position() != null || link == null) {
            return one.position();
        }
        if (one.outcome() == Round.Outcome.PARTIAL) {
            return link.partial();
        }
        if (one.outcome() == Round.Outcome.WORKED && one.intent() == Round.Intent.TRY) {
            return link.endsInTap() ? null : link.to();
        }
        return map.reaction(one.reaction())
                .map(Reaction::leaves)
                .orElse(one.intent() == Round.Intent.TRY ? link.ifStopped() : null);
    }

    private void visited(String position, Logged one, boolean bothSides) {
        String other = map.counterpart(position).id();
        if (bothSides || one.mine()) {
            visits.merge(position, one.count(), Integer::sum);
        }
        if (bothSides || !one.mine()) {
            visits.merge(other, one.count(), Integer::sum);
        }
    }

    @Override
    public Chance works(Link link) {
        Posterior posterior = posterior(link);
        BetaDistribution beta = BetaDistribution.of(posterior.works(), posterior.fails());
        return new Chance(
                posterior.mean(),
                beta.inverseCumulativeProbability(0.1),
                beta.inverseCumulativeProbability(0.9),
                byLink.getOrDefault(link.id(), NOTHING).tries);
    }

    @Override
    public double chance(Link link) {
        return posterior(link).mean();
    }

    @Override
    public double share(Reaction reaction) {
        if (reaction.retired()) {
            return 0;
        }
        double met = 1.0 + reactions.getOrDefault(reaction.id(), 0);
        if (reaction.link() != null) {
            return met / failures(map.link(reaction.link()).orElseThrow());
        }
        List<Reaction> here = map.reactionsAt(reaction.position());
        int times = Math.max(visits(reaction.position()), met(here));
        return met / (here.size() + 1 + times);
    }

    @Override
    public double none(Link link) {
        List<Reaction> known = map.reactionsToLink(link.id());
        int failed = byLink.getOrDefault(link.id(), NOTHING).failed;
        return (1 + failed - met(known)) / failures(link);
    }

    /** Failures of a link with one more for each known reaction and one for none. */
    private double failures(Link link) {
        return map.reactionsToLink(link.id()).size() + 1 + byLink.getOrDefault(link.id(), NOTHING).failed;
    }

    private int met(List<Reaction> known) {
        return known.stream()
                .mapToInt(reaction -> reactions.getOrDefault(reaction.id(), 0))
                .sum();
    }

    @Override
    public int visits(String position) {
        return visits.getOrDefault(position, 0);
    }

    /** Tries logged of links that start at each position, by position id; positions without any are left out. */
    public Map<String, Integer> triesByPosition() {
        Map<String, Integer> tries = new TreeMap<>();
        byLink.forEach((link, tally) -> tries.merge(map.link(link).orElseThrow().from(), tally.tries, Integer::sum));
        return tries;
    }

    private record Posterior(double works, double fails) {
        double mean() {
            return works / (works + fails);
        }
    }

    private Posterior posterior(Link link) {
        Technique technique = map.technique(link.technique()).orElseThrow();
        Alike kind = alike(link);
        Tally those = alike.getOrDefault(kind, NOTHING);
        double rate = (those.worked + USUAL_TRIES * kind.usual()) / (those.tries + USUAL_TRIES);
        double mean = Math.min(0.9, Math.max(0.05, rate * BY_MASTER.get(technique.master())));
        Tally own = byLink.getOrDefault(link.id(), NOTHING);
        return new Posterior(STRENGTH * mean + own.worked, STRENGTH * (1 - mean) + own.tries - own.worked);
    }

    private Alike alike(Link link) {
        Family family = map.technique(link.technique()).orElseThrow().family();
        return new Alike(family, map.stageOf(link.from()), link.endsInTap());
    }
}

package lynchet.core.round;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import lynchet.core.map.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Technique;
import lynchet.core.walk.Chance;
import org.apache.commons.statistics.distribution.BetaDistribution;

/**
 * How well each link works, from logged rounds (design: how well a link works).
 *
 * <p>Prior Beta(8m, 8(1 − m)) with m the rate of the family, drawn to 0.35 by ten tries, times a factor of how hard the
 * technique is to master. Worked: a family with 18 of 40 → 21.5/50 = 0.43; master 3, 9 of 12 → (3.44 + 9)/20 = 0.622.
 */
public final class RoundEvidence {

    private static final double STRENGTH = 8;
    private static final double USUAL = 0.35;
    private static final double USUAL_TRIES = 10;
    private static final Map<Integer, Double> BY_MASTER = Map.of(1, 1.25, 2, 1.1, 3, 1.0, 4, 0.85, 5, 0.7);

    private static final class Tally {
        private int tries;
        private double worked;
    }

    private static final Tally NONE = new Tally();

    private final GrapplingMap map;
    private final Map<String, Tally> byLink = new HashMap<>();
    private final Map<Family, Tally> byFamily = new EnumMap<>(Family.class);

    private RoundEvidence(GrapplingMap map) {
        this.map = map;
    }

    /** What was logged of one link: tries, and how many of them worked; a partial success is one half. */
    public record LinkTally(String link, int tries, double worked) {}

    /** The tallies of these rounds; a threat is not a try. */
    public static List<LinkTally> tally(List<Round> rounds) {
        Map<String, LinkTally> all = new TreeMap<>();
        for (Round round : rounds) {
            for (Round.Event event : round.events()) {
                if (event.link() != null && event.intent() == Round.Intent.TRY) {
                    all.merge(
                            event.link(),
                            new LinkTally(event.link(), 1, event.outcome().worked()),
                            (a, b) -> new LinkTally(a.link(), a.tries() + b.tries(), a.worked() + b.worked()));
                }
            }
        }
        return List.copyOf(all.values());
    }

    /** The evidence of what was logged; links that are not on the map are passed over. */
    public static RoundEvidence of(GrapplingMap map, List<LinkTally> logged) {
        RoundEvidence evidence = new RoundEvidence(map);
        for (LinkTally one : logged) {
            map.link(one.link()).ifPresent(link -> evidence.add(link, one));
        }
        return evidence;
    }

    private void add(Link link, LinkTally one) {
        Family family = map.technique(link.technique()).orElseThrow().family();
        for (Tally tally : List.of(
                byLink.computeIfAbsent(link.id(), id -> new Tally()),
                byFamily.computeIfAbsent(family, f -> new Tally()))) {
            tally.tries += one.tries();
            tally.worked += one.worked();
        }
    }

    /** The chance of one link, with its span. */
    public Chance of(Link link) {
        Posterior posterior = posterior(link);
        BetaDistribution beta = BetaDistribution.of(posterior.works(), posterior.fails());
        return new Chance(
                posterior.mean(),
                beta.inverseCumulativeProbability(0.1),
                beta.inverseCumulativeProbability(0.9),
                byLink.getOrDefault(link.id(), NONE).tries);
    }

    /** Tries logged of links that start at each position, by position id; positions without any are left out. */
    public Map<String, Integer> triesByPosition() {
        Map<String, Integer> tries = new TreeMap<>();
        byLink.forEach((link, tally) -> tries.merge(map.link(link).orElseThrow().from(), tally.tries, Integer::sum));
        return tries;
    }

    /** The estimate alone, which is quickly had. */
    public double estimate(Link link) {
        return posterior(link).mean();
    }

    private record Posterior(double works, double fails) {
        double mean() {
            return works / (works + fails);
        }
    }

    private Posterior posterior(Link link) {
        Technique technique = map.technique(link.technique()).orElseThrow();
        Tally family = byFamily.getOrDefault(technique.family(), NONE);
        double rate = (family.worked + USUAL_TRIES * USUAL) / (family.tries + USUAL_TRIES);
        double mean = Math.min(0.9, Math.max(0.05, rate * BY_MASTER.get(technique.master())));
        Tally own = byLink.getOrDefault(link.id(), NONE);
        return new Posterior(STRENGTH * mean + own.worked, STRENGTH * (1 - mean) + own.tries - own.worked);
    }
}

package lynchet.core.walk;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;

/** Every loopless way over the map itself, one after the other, by names; it knows nothing of {@link MoveGraph}. */
final class SlowRoutes {

    private final GrapplingMap map;
    private final Ruleset ruleset;
    private final Evidence evidence;
    private String goal;
    private List<Double> found;

    SlowRoutes(GrapplingMap map, Ruleset ruleset, Evidence evidence) {
        this.map = map;
        this.ruleset = ruleset;
        this.evidence = evidence;
    }

    /** The chances of all ways of at most eight links; {@code to} null: to any end. */
    List<Double> to(String from, String to) {
        goal = to;
        found = new ArrayList<>();
        if (!from.equals(to)) {
            walk(from, null, 1, 0, Set.of(from));
        }
        return found;
    }

    private void walk(String at, Reaction open, double chance, int legs, Set<String> been) {
        if (legs == 8) {
            return;
        }
        for (Link link : map.links()) {
            boolean mayDo = link.from().equals(at)
                    && (link.when() == null || open != null && link.when().equals(open.id()));
            if (!mayDo || link.retired() || !allowed(link)) {
                continue;
            }
            double works = evidence.chance(link);
            if (link.endsInTap() ? goal == null : goal == null && ends(link)) {
                found.add(chance * works);
            }
            if (!link.endsInTap()) {
                go(link.to(), null, chance * works, legs, been);
            }
            for (Reaction reaction : map.reactions()) {
                if (!reaction.retired() && link.id().equals(reaction.link())) {
                    go(reaction.leaves(), reaction, chance * (1 - works) * evidence.share(reaction), legs, been);
                }
            }
        }
    }

    private void go(String to, Reaction open, double chance, int legs, Set<String> been) {
        String state = open == null ? to : to + " after " + open.id();
        if (to.equals(goal)) {
            found.add(chance);
        } else if (!been.contains(state)) {
            Set<String> further = new HashSet<>(been);
            further.add(state);
            walk(to, open, chance, legs + 1, further);
        }
    }

    private boolean allowed(Link link) {
        Technique technique = map.technique(link.technique()).orElseThrow();
        return ruleset == null || ruleset.allows(technique);
    }

    private boolean ends(Link link) {
        Position to = map.position(link.to()).orElseThrow();
        if (ruleset == null) {
            return to.pin();
        }
        Technique technique = map.technique(link.technique()).orElseThrow();
        Ruleset.Score score = ruleset.score(
                technique.family(),
                new Ruleset.Landing(link.from(), map.stageOf(link.from())),
                new Ruleset.Landing(link.to(), map.stageOf(link.to())),
                true);
        return score.ends()
                || score.points() > 0
                || ruleset.pins().stream().anyMatch(pin -> pin.position().equals(link.to()));
    }
}

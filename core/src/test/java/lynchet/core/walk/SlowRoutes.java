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
            walk(from, null, 1, 0, Set.of(), Set.of(from));
        }
        return found;
    }

    /**
     * @param left positions that were left, which are not come back to
     * @param here what was stood in here: the position itself, or a reaction that left me in it
     */
    private void walk(String at, Reaction open, double chance, int links, Set<String> left, Set<String> here) {
        for (Link link : map.links()) {
            boolean mayDo = link.from().equals(at)
                    && (open == null ? link.when() == null : open.id().equals(link.when()));
            if (!mayDo || links == 8 || link.retired() || !allowed(link)) {
                continue;
            }
            double works = evidence.chance(link);
            if (link.endsInTap() ? goal == null : goal == null && ends(link)) {
                found.add(chance * works);
            }
            if (!link.endsInTap()) {
                go(at, link.to(), null, chance * works, links + 1, left, here);
            }
            for (Reaction reaction : map.reactions()) {
                if (link.id().equals(reaction.link()) && happens(reaction)) {
                    double shown = chance * (1 - works) * evidence.share(reaction);
                    go(at, reaction.leaves(), reaction, shown, links + 1, left, here);
                }
            }
        }
        for (Reaction reaction : map.reactions()) {
            if (open == null && at.equals(reaction.position()) && happens(reaction)) {
                go(at, reaction.leaves(), reaction, chance * evidence.share(reaction), links, left, here);
            }
        }
    }

    private void go(String at, String to, Reaction open, double chance, int links, Set<String> left, Set<String> here) {
        String state = open == null ? to : to + " after " + open.id();
        if (to.equals(goal)) {
            if (links > 0) {
                found.add(chance);
            }
        } else if (to.equals(at) && !here.contains(state)) {
            walk(to, open, chance, links, left, with(here, state));
        } else if (!to.equals(at) && !left.contains(to)) {
            walk(to, open, chance, links, with(left, at), Set.of(state));
        }
    }

    private static Set<String> with(Set<String> some, String another) {
        Set<String> more = new HashSet<>(some);
        more.add(another);
        return more;
    }

    private boolean happens(Reaction reaction) {
        if (reaction.retired() || reaction.attack() == null) {
            return !reaction.retired();
        }
        Link attack = map.link(reaction.attack()).orElseThrow();
        return !attack.retired() && allowed(attack);
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

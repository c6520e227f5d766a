package lynchet.core.chain;

import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.walk.Evidence;

/**
 * What trying a link is worth in points: mine when it works, less what they are paid for where a failure leaves us. Worked:
 * 2 points at 0.4, and half of what fails leaves them where they are paid 3: 0.8 − 0.6 · 0.5 · 3 = −0.1.
 */
final class NetPoints {

    private NetPoints() {}

    static double of(GrapplingMap map, Ruleset ruleset, Evidence evidence, Link link) {
        double works = evidence.chance(link);
        double lost = evidence.none(link) * paidToThem(map, ruleset, link.from(), link.ifStopped());
        for (Reaction reaction : map.reactionsToLink(link.id())) {
            lost += evidence.share(reaction) * paidToThem(map, ruleset, link.from(), reaction.leaves());
        }
        return works * mine(map, ruleset, link) - (1 - works) * lost;
    }

    private static int mine(GrapplingMap map, Ruleset ruleset, Link link) {
        if (link.endsInTap()) {
            return 0;
        }
        Technique technique = map.technique(link.technique()).orElseThrow();
        return ruleset.score(technique.family(), landing(map, link.from()), landing(map, link.to()), true)
                .points();
    }

    private static int paidToThem(GrapplingMap map, Ruleset ruleset, String from, String leaves) {
        return leaves == null
                ? 0
                : ruleset.paidFor(
                        map.counterpart(from).id(), map.counterpart(leaves).id());
    }

    static Ruleset.Landing landing(GrapplingMap map, String position) {
        return new Ruleset.Landing(position, map.stageOf(position));
    }
}

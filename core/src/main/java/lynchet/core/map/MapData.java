package lynchet.core.map;

import java.util.List;
import lynchet.core.Say;

/** The parts of a map as they are read or kept, before anyone has checked that they hold together. */
public record MapData(
        List<PositionPair> pairs,
        List<Technique> techniques,
        List<Link> links,
        List<Reaction> reactions,
        List<Ruleset> rulesets) {

    public MapData {
        pairs = Say.list(pairs);
        techniques = Say.list(techniques);
        links = Say.list(links);
        reactions = Say.list(reactions);
        rulesets = Say.list(rulesets);
    }
}

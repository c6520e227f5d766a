package lynchet.core.map;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import lynchet.core.card.Technique;
import lynchet.core.rule.Require;

/** The parts of a map as they are read or kept, before anyone has checked that they hold together. */
public record MapData(
        List<PositionPair> pairs,
        List<Technique> techniques,
        List<Link> links,
        List<Reaction> reactions,
        List<Ruleset> rulesets) {

    public MapData {
        pairs = Require.list(pairs);
        techniques = Require.list(techniques);
        links = Require.list(links);
        reactions = Require.list(reactions);
        rulesets = Require.list(rulesets);
    }

    /** The parts that are changed or new; everything else is left out. */
    public static MapData only(PositionPair pair) {
        return new MapData(List.of(pair), null, null, null, null);
    }

    public static MapData only(Technique technique) {
        return new MapData(null, List.of(technique), null, null, null);
    }

    public static MapData only(Link link) {
        return new MapData(null, null, List.of(link), null, null);
    }

    public static MapData only(Reaction reaction) {
        return new MapData(null, null, null, List.of(reaction), null);
    }

    /** These parts with others in the place of those of the same id, or behind them where they are new. */
    public MapData with(MapData changes) {
        return new MapData(
                with(pairs, changes.pairs, PositionPair::id),
                with(techniques, changes.techniques, Technique::id),
                with(links, changes.links, Link::id),
                with(reactions, changes.reactions, Reaction::id),
                with(rulesets, changes.rulesets, Ruleset::id));
    }

    private static <T> List<T> with(List<T> all, List<T> changes, Function<T, String> id) {
        if (changes.isEmpty()) {
            return all;
        }
        Map<String, T> byId = new LinkedHashMap<>();
        all.forEach(one -> byId.put(id.apply(one), one));
        changes.forEach(one -> byId.put(id.apply(one), one));
        return List.copyOf(byId.values());
    }
}

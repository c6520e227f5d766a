package lynchet.core.walk;

import java.util.Map;
import java.util.function.ToDoubleFunction;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;

/** Evidence for tests: chances as they are told, shares even unless they are told too. */
public record GivenEvidence(GrapplingMap map, ToDoubleFunction<Link> chances, Map<String, Double> shares)
        implements Evidence {

    public static GivenEvidence of(GrapplingMap map, ToDoubleFunction<Link> chances) {
        return new GivenEvidence(map, chances, Map.of());
    }

    @Override
    public Chance works(Link link) {
        return new Chance(chance(link), 0, 1, 0);
    }

    @Override
    public double chance(Link link) {
        return chances.applyAsDouble(link);
    }

    @Override
    public double share(Reaction reaction) {
        int known = reaction.link() != null
                ? map.reactionsToLink(reaction.link()).size()
                : map.reactionsAt(reaction.position()).size();
        return reaction.retired() ? 0 : shares.getOrDefault(reaction.id(), 1.0 / (known + 1));
    }

    @Override
    public double none(Link link) {
        return 1
                - map.reactionsToLink(link.id()).stream()
                        .mapToDouble(this::share)
                        .sum();
    }

    @Override
    public int visits(String position) {
        return 0;
    }
}

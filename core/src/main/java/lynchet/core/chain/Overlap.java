package lynchet.core.chain;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What a chain has in common with another one.
 *
 * @param shared links that stand in both
 * @param share how much of this chain's links they are, 0 to 1
 */
public record Overlap(String chain, int shared, double share) {

    /** The chains that share links with this one, the most first, then by id; retired ones are passed over. */
    static List<Overlap> of(Chain chain, Collection<Chain> others) {
        Set<String> own = links(chain);
        return others.stream()
                .filter(other -> !other.id().equals(chain.id()) && !other.retired())
                .map(other -> with(own, other))
                .filter(overlap -> overlap.shared() > 0)
                .sorted(Comparator.comparingInt(Overlap::shared).reversed().thenComparing(Overlap::chain))
                .toList();
    }

    private static Overlap with(Set<String> own, Chain other) {
        Set<String> shared = links(other);
        shared.retainAll(own);
        return new Overlap(other.id(), shared.size(), own.isEmpty() ? 0 : (double) shared.size() / own.size());
    }

    private static Set<String> links(Chain chain) {
        Set<String> links = new HashSet<>();
        if (chain.first() != null) {
            collect(chain.first(), links);
        }
        return links;
    }

    private static void collect(ChainStep step, Set<String> links) {
        links.add(step.link());
        step.next().forEach(turn -> collect(turn.step(), links));
    }
}

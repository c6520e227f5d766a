package lynchet.core.game;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import lynchet.core.chain.Chain;
import lynchet.core.chain.ChainStep;
import lynchet.core.map.GrapplingMap;
import org.jspecify.annotations.Nullable;

/**
 * A chain that somebody can do, or nearly.
 *
 * @param missing id of the one technique that they lack; null: they have all of it
 */
public record ChainParts(String chain, @Nullable String missing) {

    /**
     * The chains that are complete, and those of which one technique is missing while others are there; in the order of the
     * chains.
     */
    public static List<ChainParts> of(List<Chain> chains, Set<String> known, GrapplingMap map) {
        List<ChainParts> parts = new ArrayList<>();
        for (Chain chain : chains) {
            Set<String> techniques = new LinkedHashSet<>();
            if (!chain.retired() && chain.first() != null) {
                collect(chain.first(), map, techniques);
            }
            List<String> missing =
                    techniques.stream().filter(id -> !known.contains(id)).toList();
            if (!techniques.isEmpty() && missing.isEmpty()) {
                parts.add(new ChainParts(chain.id(), null));
            } else if (missing.size() == 1 && techniques.size() > 1) {
                parts.add(new ChainParts(chain.id(), missing.get(0)));
            }
        }
        return parts;
    }

    private static void collect(ChainStep step, GrapplingMap map, Set<String> techniques) {
        techniques.add(map.link(step.link()).orElseThrow().technique());
        step.next().forEach(turn -> collect(turn.step(), map, techniques));
    }
}

package lynchet.server.map;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Position;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;
import lynchet.core.walk.Centrality;
import lynchet.core.walk.MoveGraph;
import lynchet.server.keep.Refusal;

/** One revision of the map with what is computed once from it. */
public final class MapSnapshot {

    private final GrapplingMap map;
    private final long revision;
    private final Map<String, Double> centrality;
    private final Map<String, MoveGraph> graphs = new ConcurrentHashMap<>();

    MapSnapshot(GrapplingMap map, long revision) {
        this.map = map;
        this.revision = revision;
        this.centrality = Centrality.of(map);
    }

    public GrapplingMap map() {
        return map;
    }

    public long revision() {
        return revision;
    }

    public Map<String, Double> centrality() {
        return centrality;
    }

    /** The moves under a ruleset; null: the whole map, from where the two stand apart. */
    public MoveGraph graph(String ruleset) {
        return graphs.computeIfAbsent(ruleset == null ? "" : ruleset, key -> {
            if (!key.isEmpty()) {
                return MoveGraph.under(map, ruleset(key));
            }
            return MoveGraph.from(
                    map,
                    map.positions().stream()
                            .map(Position::id)
                            .filter(id -> map.stageOf(id) == Stage.APART)
                            .collect(Collectors.toList()));
        });
    }

    /** @throws Refusal 404 if there is no such ruleset */
    public Ruleset ruleset(String id) {
        return id == null ? null : map.ruleset(id).orElseThrow(() -> Refusal.missing("ruleset", id));
    }
}

package lynchet.core.walk;

import java.util.Map;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import org.jgrapht.Graph;
import org.jgrapht.alg.scoring.BetweennessCentrality;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleDirectedGraph;

/** How central each position is: how many shortest walks over the whole map lead through it (Brandes 2001). */
public final class Centrality {

    private Centrality() {}

    /** Betweenness by position id, mine and the partner's links together. Compute once per map revision. */
    public static Map<String, Double> of(GrapplingMap map) {
        Graph<String, DefaultEdge> graph = new SimpleDirectedGraph<>(DefaultEdge.class);
        map.positions().forEach(position -> graph.addVertex(position.id()));
        for (Position position : map.positions()) {
            for (Link link : map.linksFrom(position.id())) {
                if (!link.endsInTap()) {
                    connect(graph, link.from(), link.to());
                    connect(
                            graph,
                            map.counterpart(link.from()).id(),
                            map.counterpart(link.to()).id());
                }
            }
        }
        return Map.copyOf(new BetweennessCentrality<>(graph).getScores());
    }

    private static void connect(Graph<String, DefaultEdge> graph, String from, String to) {
        if (!from.equals(to)) {
            graph.addEdge(from, to);
        }
    }
}

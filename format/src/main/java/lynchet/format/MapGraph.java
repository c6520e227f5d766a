package lynchet.format;

import java.io.StringWriter;
import java.util.LinkedHashMap;
import java.util.Map;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import org.jgrapht.Graph;
import org.jgrapht.graph.DirectedPseudograph;
import org.jgrapht.nio.Attribute;
import org.jgrapht.nio.AttributeType;
import org.jgrapht.nio.DefaultAttribute;
import org.jgrapht.nio.dot.DOTExporter;
import org.jgrapht.nio.graphml.GraphMLExporter;

/** The map as a graph for other programs: positions are nodes, links are edges, a tap is a node of its own. */
public final class MapGraph {

    private final GrapplingMap map;
    private final Graph<String, Link> graph = new DirectedPseudograph<>(Link.class);

    private MapGraph(GrapplingMap map) {
        this.map = map;
        map.positions().stream().filter(p -> !p.retired()).map(Position::id).forEach(graph::addVertex);
        graph.addVertex(Link.TAP);
        map.links().stream()
                .filter(link -> !link.retired() && graph.containsVertex(link.from()) && graph.containsVertex(link.to()))
                .forEach(link -> graph.addEdge(link.from(), link.to(), link));
    }

    /** GraphML with stage and control on nodes, technique, family and reaction on edges. */
    public static String graphMl(GrapplingMap map) {
        MapGraph it = new MapGraph(map);
        GraphMLExporter<String, Link> exporter = new GraphMLExporter<>(id -> id);
        exporter.setVertexAttributeProvider(it::node);
        exporter.setEdgeIdProvider(Link::id);
        exporter.setEdgeAttributeProvider(it::edge);
        for (String name : new String[] {"name", "stage", "technique", "family", "when"}) {
            boolean onNodes = name.equals("name") || name.equals("stage");
            exporter.registerAttribute(
                    name,
                    name.equals("name")
                            ? GraphMLExporter.AttributeCategory.ALL
                            : onNodes ? GraphMLExporter.AttributeCategory.NODE : GraphMLExporter.AttributeCategory.EDGE,
                    AttributeType.STRING);
        }
        exporter.registerAttribute("control", GraphMLExporter.AttributeCategory.NODE, AttributeType.DOUBLE);
        StringWriter out = new StringWriter();
        exporter.exportGraph(it.graph, out);
        return out.toString();
    }

    /** Graphviz DOT with names as labels. */
    public static String dot(GrapplingMap map) {
        MapGraph it = new MapGraph(map);
        DOTExporter<String, Link> exporter = new DOTExporter<>(id -> '"' + id + '"');
        exporter.setVertexAttributeProvider(id -> Map.of("label", it.node(id).get("name")));
        exporter.setEdgeAttributeProvider(link -> Map.of("label", it.edge(link).get("name")));
        StringWriter out = new StringWriter();
        exporter.exportGraph(it.graph, out);
        return out.toString();
    }

    private Map<String, Attribute> node(String id) {
        Map<String, Attribute> attributes = new LinkedHashMap<>();
        if (id.equals(Link.TAP)) {
            attributes.put("name", DefaultAttribute.createAttribute("Tap"));
            return attributes;
        }
        Position position = map.position(id).orElseThrow();
        attributes.put("name", DefaultAttribute.createAttribute(position.name()));
        attributes.put(
                "stage", DefaultAttribute.createAttribute(map.pairOf(id).stage().name()));
        attributes.put("control", DefaultAttribute.createAttribute(position.control()));
        return attributes;
    }

    private Map<String, Attribute> edge(Link link) {
        Technique technique = map.technique(link.technique()).orElseThrow();
        Map<String, Attribute> attributes = new LinkedHashMap<>();
        attributes.put("name", DefaultAttribute.createAttribute(technique.name()));
        attributes.put("technique", DefaultAttribute.createAttribute(technique.id()));
        attributes.put(
                "family", DefaultAttribute.createAttribute(technique.family().name()));
        if (link.when() != null) {
            attributes.put("when", DefaultAttribute.createAttribute(link.when()));
        }
        return attributes;
    }
}

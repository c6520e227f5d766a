package lynchet.core.walk;

import java.util.ArrayList;
import java.util.List;
import lynchet.core.map.Link;
import org.jgrapht.Graph;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.shortestpath.YenShortestPathIterator;
import org.jgrapht.graph.DirectedWeightedPseudograph;
import org.jspecify.annotations.Nullable;

/**
 * The most likely ways from a position to another one, or to any end (design: routes; k shortest loopless paths, Yen
 * 1971, over −ln of the chance).
 *
 * <p>A leg is a link of mine that works, or one that draws a reaction which the next leg answers. Worked: s → a with 0.5
 * and a → end with 0.8 is a route of 0.4.
 */
public final class Routes {

    public static final int MOST_LEGS = 8;
    private static final int END = -1;
    private static final int MOST_LOOKED_AT = 400;

    /**
     * One link of a route.
     *
     * @param reaction the reaction that it draws; null when it works
     * @param to position id where I am then, or {@link Link#TAP}
     * @param chance 0 to 1, of this leg alone
     * @param stopped position id where I am when it fails without a named reaction
     * @param cost control lost by that, 0 to 6; 0 when it leaves me where I was
     */
    public record Leg(
            String link,
            @Nullable String reaction,
            String from,
            String to,
            double chance,
            String stopped,
            double cost) {}

    /**
     * A whole route.
     *
     * @param chance product of its legs
     * @param weakest link id of the least likely leg
     * @param costliest link id of the leg whose failure costs most control; null when none costs any
     */
    public record Route(
            List<Leg> legs,
            double chance,
            @Nullable String weakest,
            @Nullable String costliest) {}

    private static final class Edge {
        private final int move;
        private final double chance;

        private Edge(int move, double chance) {
            this.move = move;
            this.chance = chance;
        }
    }

    private final MoveGraph graph;
    private final Ways ways;
    private final Evidence evidence;
    /** The number of the position to go to; null: any end. */
    private final Integer goal;

    private final Graph<Integer, Edge> roads = new DirectedWeightedPseudograph<>(Edge.class);

    private Routes(MoveGraph graph, Evidence evidence, Integer goal) {
        this.graph = graph;
        this.ways = new Ways(graph);
        this.evidence = evidence;
        this.goal = goal;
    }

    /**
     * At most {@code k} routes, the most likely first; none when there is no way.
     *
     * @param least the fewest different techniques of a route, 1 to {@link #MOST_LEGS}; 2 leaves out what is one thing,
     *     even if it is put on first and finished then
     * @param to a position id, reached by what works or by their reaction; null: to any end, a tap, a pin that counts or
     *     points
     * @throws java.util.NoSuchElementException if a position is not on the map
     */
    public static List<Route> find(
            MoveGraph graph, Knowledge knowledge, Evidence evidence, String from, String to, int least, int k) {
        int start = graph.stateOf(from);
        Integer goal = to == null ? null : graph.stateOf(to);
        if (goal != null && goal == start) {
            return List.of();
        }
        Routes routes = new Routes(graph, evidence, goal);
        routes.build(knowledge);
        return routes.best(start, least, k);
    }

    private void build(Knowledge knowledge) {
        roads.addVertex(END);
        for (int state = 0; state < graph.states(); state++) {
            roads.addVertex(state);
        }
        for (int state = 0; state < graph.states(); state++) {
            int from = state;
            graph.forEachMove(state, move -> {
                if (graph.iTry(move) && knowledge.allows(graph, move)) {
                    road(from, move);
                }
            });
        }
    }

    private void road(int state, int move) {
        double works = evidence.chance(graph.link(move));
        boolean mine = graph.isMine(move);
        double chance = mine ? works : (1 - works) * evidence.share(graph.reaction(move));
        int target = graph.target(move);
        boolean there = target >= 0 && goal != null && graph.positionOf(target) == goal;
        if (there || goal == null && mine && ways.finishes(move)) {
            add(state, END, move, chance);
        }
        if (target >= 0 && target != state && !there) {
            add(state, target, move, chance);
        }
    }

    /** Weights must be finite and above nothing: what is sure or hopeless is taken as nearly so. */
    private void add(int from, int to, int move, double chance) {
        Edge edge = new Edge(move, Math.min(1 - 1e-9, Math.max(1e-9, chance)));
        roads.addEdge(from, to, edge);
        roads.setEdgeWeight(edge, -Math.log(edge.chance));
    }

    private List<Route> best(int from, int least, int k) {
        List<Route> routes = new ArrayList<>();
        YenShortestPathIterator<Integer, Edge> paths = new YenShortestPathIterator<>(roads, from, END);
        for (int looked = 0; looked < MOST_LOOKED_AT && routes.size() < k && paths.hasNext(); looked++) {
            GraphPath<Integer, Edge> path = paths.next();
            if (path.getLength() <= MOST_LEGS && techniques(path) >= least) {
                routes.add(route(path));
            }
        }
        return routes;
    }

    private long techniques(GraphPath<Integer, Edge> path) {
        return path.getEdgeList().stream()
                .map(edge -> graph.link(edge.move).technique())
                .distinct()
                .count();
    }

    private Route route(GraphPath<Integer, Edge> path) {
        List<Leg> legs = new ArrayList<>();
        double chance = 1;
        Leg weakest = null;
        Leg costliest = null;
        for (Edge edge : path.getEdgeList()) {
            Move move = graph.describe(edge.move);
            String at = graph.position(roads.getEdgeSource(edge)).id();
            Leg leg = leg(move, at, edge.chance);
            legs.add(leg);
            chance *= edge.chance;
            weakest = weakest == null || leg.chance() < weakest.chance() ? leg : weakest;
            costliest = leg.cost() > (costliest == null ? 0 : costliest.cost()) ? leg : costliest;
        }
        return new Route(
                List.copyOf(legs),
                chance,
                weakest == null ? null : weakest.link(),
                costliest == null ? null : costliest.link());
    }

    private Leg leg(Move move, String at, double chance) {
        Link tried = graph.map().link(move.link()).orElseThrow();
        String stopped = tried.ifStopped() == null ? at : tried.ifStopped();
        double lost = control(at) - control(stopped);
        return new Leg(
                move.link(), move.reaction(), at, move.to(), chance, stopped, Math.max(0, Math.rint(lost * 10) / 10));
    }

    private double control(String position) {
        return graph.map().position(position).orElseThrow().controlUnder(graph.ruleset());
    }
}

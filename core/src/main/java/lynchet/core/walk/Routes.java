package lynchet.core.walk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedList;
import java.util.List;
import java.util.PriorityQueue;
import java.util.stream.Stream;
import lynchet.core.map.Link;
import org.jgrapht.Graph;
import org.jgrapht.alg.interfaces.ShortestPathAlgorithm.SingleSourcePaths;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.DirectedWeightedPseudograph;
import org.jgrapht.graph.EdgeReversedGraph;
import org.jspecify.annotations.Nullable;

/**
 * The most likely ways from a position to another one or to any end, the likeliest first (design: routes).
 *
 * <p>A leg is a link of mine that works, one that draws a reaction, or a reaction at a position. After a reaction only what
 * answers it goes on, and no position is come back to: a try that fails on the spot and a move from where one stood is no
 * route. Worked: s → a with 0.5 and a → end with 0.8 is a route of 0.4.
 *
 * <p>Walks are tried in the order of their chance times the best chance from where they stand (best-first search with an
 * exact bound, which a search backwards from the end gives), so the first to arrive is the best.
 */
public final class Routes {

    /** A route has at most so many links. */
    public static final int MOST_LEGS = 8;

    private static final int END = -1;
    private static final int MOST_WALKS = 200_000;

    /**
     * One step of a route.
     *
     * @param link the link that is tried; null where they react at a position by themselves
     * @param reaction their reaction; null when the link works
     * @param to position id where I am then, or {@link Link#TAP}
     * @param chance 0 to 1, of this leg alone
     * @param stopped position id where I am when it fails without a named reaction
     * @param cost control lost by that, 0 to 6; 0 when it leaves me where I was
     */
    public record Leg(
            @Nullable String link,
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
     * @param weakest link id of the least likely leg that tries a link
     * @param costliest link id of the leg whose failure costs most control; null when none costs any
     */
    public record Route(
            List<Leg> legs,
            double chance,
            String weakest,
            @Nullable String costliest) {}

    private static final class Edge {
        private final int from;
        private final int to;
        private final int move;
        private final double chance;
        private final double cost;

        private Edge(int from, int to, int move, double chance) {
            this.from = from;
            this.to = to;
            this.move = move;
            this.chance = chance;
            this.cost = -Math.log(chance);
        }
    }

    /** A walk so far; {@code bound} is the cost of the best route that may come of it. */
    private record Walk(
            @Nullable Walk before, @Nullable Edge edge, int state, int links, double cost, double bound, int n) {}

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
                if (isLeg(from, move) && knowledge.allows(graph, move)) {
                    road(from, move);
                }
            });
        }
    }

    /** Where nothing is pending what is there by itself, and what they do; after a reaction what answers it. */
    private boolean isLeg(int state, int move) {
        if (graph.iTry(move)) {
            String answered = graph.link(move).when();
            return answered == null ? graph.pending(state) == null : answered.equals(graph.pending(state));
        }
        return graph.kind(move) == Move.Kind.THEY_REACT && graph.pending(state) == null;
    }

    private void road(int state, int move) {
        boolean mine = graph.isMine(move);
        double chance = chance(move, mine);
        int target = graph.target(move);
        boolean there = target >= 0 && goal != null && graph.positionOf(target) == goal;
        if (there || goal == null && mine && ways.finishes(move)) {
            add(state, END, move, chance);
        }
        if (target >= 0 && target != state && !there) {
            add(state, target, move, chance);
        }
    }

    private double chance(int move, boolean mine) {
        if (mine) {
            return evidence.chance(graph.link(move));
        }
        double share = evidence.share(graph.reaction(move));
        return graph.iTry(move) ? (1 - evidence.chance(graph.link(move))) * share : share;
    }

    /** Weights must be finite and above nothing: what is sure or hopeless is taken as nearly so. */
    private void add(int from, int to, int move, double chance) {
        Edge edge = new Edge(from, to, move, Math.min(1 - 1e-9, Math.max(1e-9, chance)));
        roads.addEdge(from, to, edge);
        roads.setEdgeWeight(edge, edge.cost);
    }

    private List<Route> best(int start, int least, int k) {
        SingleSourcePaths<Integer, Edge> onwards =
                new DijkstraShortestPath<>(new EdgeReversedGraph<>(roads)).getPaths(END);
        PriorityQueue<Walk> open =
                new PriorityQueue<>(Comparator.comparingDouble(Walk::bound).thenComparingInt(Walk::n));
        open.add(new Walk(null, null, start, 0, 0, onwards.getWeight(start), 0));
        List<Route> routes = new ArrayList<>();
        for (int made = 1; !open.isEmpty() && routes.size() < k && made < MOST_WALKS; ) {
            Walk walk = open.poll();
            if (walk.state() == END) {
                if (techniques(walk) >= least) {
                    routes.add(route(walk));
                }
                continue;
            }
            for (Edge edge : roads.outgoingEdgesOf(walk.state())) {
                int links = walk.links() + (graph.iTry(edge.move) ? 1 : 0);
                double cost = walk.cost() + edge.cost;
                double bound = cost + onwards.getWeight(edge.to);
                if (links <= MOST_LEGS && bound < Double.POSITIVE_INFINITY && isNew(edge, walk)) {
                    open.add(new Walk(walk, edge, edge.to, links, cost, bound, made++));
                }
            }
        }
        return routes;
    }

    /** Whether an edge leads where the walk has not been; what leaves me where I stand does not come back to it. */
    private boolean isNew(Edge edge, Walk walk) {
        if (edge.to == END) {
            return true;
        }
        int position = graph.positionOf(edge.to);
        boolean stays = position == graph.positionOf(edge.from);
        for (Walk at = walk; at != null; at = at.before()) {
            if (at.state() == edge.to) {
                return false;
            }
            boolean isHere = graph.positionOf(at.state()) == position;
            if (isHere && !stays) {
                return false;
            }
            stays &= isHere;
        }
        return true;
    }

    private static List<Edge> edges(Walk walk) {
        LinkedList<Edge> edges = new LinkedList<>();
        for (Walk at = walk; at.edge() != null; at = at.before()) {
            edges.addFirst(at.edge());
        }
        return edges;
    }

    private long techniques(Walk walk) {
        return Stream.iterate(walk, at -> at.edge() != null, Walk::before)
                .filter(at -> graph.iTry(at.edge().move))
                .map(at -> graph.link(at.edge().move).technique())
                .distinct()
                .count();
    }

    private Route route(Walk walk) {
        List<Leg> legs = new ArrayList<>();
        double chance = 1;
        Leg weakest = null;
        Leg costliest = null;
        for (Edge edge : edges(walk)) {
            Leg leg = leg(graph.describe(edge.move), graph.position(edge.from).id(), edge.chance);
            legs.add(leg);
            chance *= edge.chance;
            if (leg.link() != null) {
                weakest = weakest == null || leg.chance() < weakest.chance() ? leg : weakest;
                costliest = leg.cost() > (costliest == null ? 0 : costliest.cost()) ? leg : costliest;
            }
        }
        return new Route(List.copyOf(legs), chance, weakest.link(), costliest == null ? null : costliest.link());
    }

    private Leg leg(Move move, String at, double chance) {
        if (move.link() == null) {
            return new Leg(null, move.reaction(), at, move.to(), chance, at, 0);
        }
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

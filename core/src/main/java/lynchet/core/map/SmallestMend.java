package lynchet.core.map;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedList;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * The cheapest set of techniques to add so that a severity-3 finding goes away.
 *
 * <p>A technique bought once serves again, so the search runs over (state, set bought), cheapest first; a set that
 * contains an already settled set at the same state is dropped. Example: S–a–X–a–Y–a–T with a = 2 against S–b–T with
 * b = 5 gives a, cost 2. Up to {@link #CAP} expansions the result is the cheapest; beyond, a cheap one.
 */
public final class SmallestMend {

    /** Expansions after which the search settles for a cheap set. */
    static final int CAP = 20_000;

    private static final int GETTING_THERE = 0;

    private final MoveGraph graph;
    private final Knowledge knowledge;
    private final Finding finding;
    private final Ways ways;
    private final Reach reach;
    private final BitSet[] closure;
    private boolean exact;

    private record Node(int state, int links, BitSet bought, int cost, Node before, int move) {}

    private SmallestMend(MoveGraph graph, Knowledge knowledge, Finding finding) {
        this.graph = graph;
        this.knowledge = knowledge;
        this.finding = finding;
        this.ways = new Ways(graph);
        this.reach = Reach.of(graph, knowledge);
        this.closure = new BitSet[graph.techniques.size()];
    }

    /** The mend of a {@code NO_ANSWER}, {@code NO_ESCAPE} or {@code NO_WAY_IN}; empty if the map offers none. */
    public static Optional<Mend> of(MoveGraph graph, Knowledge knowledge, Finding finding) {
        return switch (finding.code()) {
            case NO_ANSWER, NO_ESCAPE, NO_WAY_IN -> new SmallestMend(graph, knowledge, finding).mend(CAP);
            default -> Optional.empty();
        };
    }

    private Optional<Mend> mend(int cap) {
        exact = true;
        Node end = search(cap);
        boolean cheapest = exact;
        if (end == null && !exact) {
            end = search(Integer.MAX_VALUE);
        }
        return Optional.ofNullable(end).map(found -> describe(found, cheapest));
    }

    /** With {@code exact} every undominated set is kept; without, the first set at each state. */
    private Node search(int cap) {
        int layers = Ways.ESCAPE_LINKS + 2;
        List<List<BitSet>> settled = new ArrayList<>();
        for (int i = 0; i < graph.states() * layers; i++) {
            settled.add(null);
        }
        PriorityQueue<Node> queue = new PriorityQueue<>(Comparator.comparingInt(Node::cost));
        for (int state = 0; state < graph.states(); state++) {
            if (reach.reachedState(state)) {
                queue.add(new Node(state, GETTING_THERE, new BitSet(), 0, null, MoveGraph.NONE));
            }
        }
        int expanded = 0;
        while (!queue.isEmpty()) {
            Node node = queue.poll();
            if (node.state() < 0) {
                return node;
            }
            int key = node.state() * layers + node.links();
            if (settled.get(key) == null) {
                settled.set(key, new ArrayList<>(1));
            }
            if (isDominated(settled.get(key), node.bought())) {
                continue;
            }
            settled.get(key).add(node.bought());
            if (++expanded > cap) {
                exact = false;
                return null;
            }
            expand(node, queue);
        }
        return null;
    }

    private boolean isDominated(List<BitSet> settled, BitSet bought) {
        if (!exact) {
            return !settled.isEmpty();
        }
        for (BitSet other : settled) {
            BitSet beyond = (BitSet) other.clone();
            beyond.andNot(bought);
            if (beyond.isEmpty()) {
                return true;
            }
        }
        return false;
    }

    private void expand(Node node, PriorityQueue<Node> queue) {
        boolean isHere = finding.position() != null
                && graph.positionOf[node.state()] == graph.positionIndex.get(finding.position());
        if (node.links() == GETTING_THERE && isHere) {
            queue.add(new Node(node.state(), 1, node.bought(), node.cost(), node, MoveGraph.NONE));
        }
        for (int move = graph.firstMove[node.state()]; move < graph.firstMove[node.state() + 1]; move++) {
            boolean gettingThere = node.links() == GETTING_THERE;
            boolean ends = ends(node, move);
            int to = graph.target[move];
            if (!ends && (to < 0 || !gettingThere && (!graph.iTry(move) || node.links() >= Ways.ESCAPE_LINKS))) {
                continue;
            }
            BitSet bought = buy(node.bought(), move);
            if (bought != null) {
                int links = gettingThere ? GETTING_THERE : node.links() + 1;
                queue.add(new Node(ends ? -1 : to, links, bought, cost(bought), node, move));
            }
        }
    }

    /** Whether this move, once it can be done, makes the finding go away. */
    private boolean ends(Node node, int move) {
        if (!graph.isMine(move)) {
            return false;
        }
        if (finding.code() == Finding.Code.NO_WAY_IN) {
            return graph.techniques.get(graph.myTechnique[move]).id().equals(finding.technique());
        }
        if (node.links() == GETTING_THERE) {
            return false;
        }
        boolean anyLinkWillDo = ways.control(graph.positionIndex.get(finding.position())) >= Ways.EVEN_ENOUGH;
        return anyLinkWillDo || ways.escapes(move);
    }

    /** The set after buying what a move needs; null if the partner would have to know what they cannot. */
    private BitSet buy(BitSet bought, int move) {
        int mine = graph.myTechnique[move];
        int theirs = graph.theirTechnique[move];
        if (knowledge.againstAnyone()
                && theirs != MoveGraph.NONE
                && !knowledge.theirs().get(theirs)) {
            return null;
        }
        BitSet after = (BitSet) bought.clone();
        add(after, mine);
        if (!knowledge.againstAnyone()) {
            add(after, theirs);
        }
        return after;
    }

    private void add(BitSet bought, int technique) {
        if (technique == MoveGraph.NONE || knowledge.mine().get(technique)) {
            return;
        }
        if (closure[technique] == null) {
            closure[technique] = new BitSet();
            for (String id :
                    graph.map.withPrerequisites(graph.techniques.get(technique).id())) {
                closure[technique].set(graph.techniqueIndex.get(id));
            }
            closure[technique].andNot(knowledge.mine());
        }
        bought.or(closure[technique]);
    }

    private int cost(BitSet bought) {
        return bought.stream().map(t -> graph.techniques.get(t).learn()).sum();
    }

    private Mend describe(Node end, boolean cheapest) {
        LinkedList<String> way = new LinkedList<>();
        LinkedList<String> walk = new LinkedList<>();
        for (Node node = end; node != null; node = node.before()) {
            if (node.move() != MoveGraph.NONE) {
                way.addFirst(sentence(node.before().state(), node.move()));
            }
            passes(walk, node);
        }
        List<String> techniques = end.bought().stream()
                .mapToObj(t -> graph.techniques.get(t).id())
                .sorted()
                .toList();
        return new Mend(techniques, end.cost(), cheapest, way, walk);
    }

    private void passes(LinkedList<String> walk, Node node) {
        int state = node.state() >= 0 || node.move() == MoveGraph.NONE ? node.state() : graph.target[node.move()];
        String position =
                state < 0 ? null : graph.positions.get(graph.positionOf[state]).id();
        if (position != null && !position.equals(walk.peekFirst())) {
            walk.addFirst(position);
        }
    }

    private String sentence(int from, int move) {
        String there = graph.target[move] < 0
                ? "tap"
                : graph.positions.get(graph.positionOf[graph.target[move]]).name();
        String here = graph.positions.get(graph.positionOf[from]).name();
        String what = graph.link[move] == MoveGraph.NONE
                ? ""
                : graph.map
                        .technique(graph.links.get(graph.link[move]).technique())
                        .orElseThrow()
                        .name();
        return switch (graph.kind[move]) {
            case MINE -> here + ": " + what + " to " + there;
            case THEIRS -> here + ": they do " + what + ", which leaves me at " + there;
            case THEY_REACT, I_REACT ->
                here + ": " + (what.isEmpty() ? "" : what + ", ")
                        + graph.reactions.get(graph.reaction[move]).text() + ", at " + there;
        };
    }
}

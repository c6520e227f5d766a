package lynchet.core.walk;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedList;
import java.util.List;
import java.util.OptionalInt;

/**
 * Two-sided reach: which positions I can find myself in, and in how few moves.
 *
 * <p>Moves of mine and of my partner's may come in any order; each is one move. A breadth-first search over
 * (position, reaction or none), because an answer is usable only through its reaction. Time linear in moves.
 */
public final class Reach {

    private static final int FAR = Integer.MAX_VALUE;

    private final MoveGraph graph;
    final int[] moves;
    private final int[] byMove;
    private final int[] before;
    private final int[] queue;
    private int last;

    private Reach(MoveGraph graph) {
        this.graph = graph;
        moves = new int[graph.states()];
        byMove = new int[graph.states()];
        before = new int[graph.states()];
        queue = new int[graph.states()];
        Arrays.fill(moves, FAR);
        Arrays.fill(before, MoveGraph.NONE);
    }

    /** Searches from the starts of the graph with what both know. */
    public static Reach of(MoveGraph graph, Knowledge knowledge) {
        Reach reach = new Reach(graph);
        graph.starts().forEach(start -> reach.arrive(start, 0));
        for (int head = 0; head < reach.last; head++) {
            int state = reach.queue[head];
            graph.forEachMove(state, move -> {
                int to = graph.target(move);
                if (to >= 0 && reach.moves[to] == FAR && knowledge.allows(graph, move)) {
                    reach.arrive(to, reach.moves[state] + 1);
                    reach.byMove[to] = move;
                    reach.before[to] = state;
                }
            });
        }
        return reach;
    }

    private void arrive(int state, int after) {
        if (moves[state] == FAR) {
            moves[state] = after;
            queue[last++] = state;
        }
    }

    /** Whether a state of the graph can be reached: a position, with a reaction pending or none. */
    public boolean reachedState(int state) {
        return moves[state] != FAR;
    }

    /** The reached states at each position, by position index. */
    List<List<Integer>> statesByPosition() {
        List<List<Integer>> at = new ArrayList<>();
        graph.positions().forEach(p -> at.add(new ArrayList<>()));
        for (int state = 0; state < moves.length; state++) {
            if (reachedState(state)) {
                at.get(graph.positionOf(state)).add(state);
            }
        }
        return at;
    }

    public boolean reached(String position) {
        return nearest(position) != MoveGraph.NONE;
    }

    /** Fewest moves to a position; empty if it cannot be reached. */
    public OptionalInt moves(String position) {
        int state = nearest(position);
        return state == MoveGraph.NONE ? OptionalInt.empty() : OptionalInt.of(moves[state]);
    }

    /** One shortest way to a position, from a start; empty at a start and where it cannot be reached. */
    public List<Move> way(String position) {
        LinkedList<Move> way = new LinkedList<>();
        for (int state = nearest(position); state != MoveGraph.NONE && before[state] != MoveGraph.NONE; ) {
            way.addFirst(graph.describe(byMove[state]));
            state = before[state];
        }
        return way;
    }

    private int nearest(String position) {
        int wanted = graph.stateOf(position);
        int best = MoveGraph.NONE;
        for (int state = 0; state < moves.length; state++) {
            if (graph.positionOf(state) == wanted
                    && reachedState(state)
                    && (best == MoveGraph.NONE || moves[state] < moves[best])) {
                best = state;
            }
        }
        return best;
    }
}

package lynchet.core.walk;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/**
 * Ways from what is reached to everywhere else, cheapest first, found step by step and kept, so that all the mends of one
 * known set share them. At each state only sets are kept that no cheaper one is part of.
 */
final class GettingThere {

    /** One way: where it has come to, what was bought for it, and how it came. */
    record Way(int state, BitSet bought, int cost, int moves, Way before, int move) {
        /** Being there, with nothing bought. */
        static Way at(int state) {
            return new Way(state, new BitSet(), 0, 0, null, MoveGraph.NONE);
        }
    }

    private static final Comparator<Way> CHEAPEST =
            Comparator.comparingInt(Way::cost).thenComparingInt(Way::moves);

    private final MoveGraph graph;
    private final LearningCost purse;
    private final int cap;
    private final int mostAtOneState;
    private final PriorityQueue<Way> open = new PriorityQueue<>(CHEAPEST);
    private final List<List<Way>> settled = new ArrayList<>();
    private int steps;

    /**
     * @param cap ways after which it is given up
     * @param mostAtOneState ways kept at each state; 1: the first, so that it ends soon and may miss a cheaper one
     */
    GettingThere(MoveGraph graph, Reach reach, LearningCost purse, int cap, int mostAtOneState) {
        this.graph = graph;
        this.purse = purse;
        this.cap = cap;
        this.mostAtOneState = mostAtOneState;
        for (int state = 0; state < graph.states(); state++) {
            settled.add(new ArrayList<>(1));
            if (reach.reachedState(state)) {
                open.add(Way.at(state));
            }
        }
    }

    /** The ways found so far to a state, cheapest first. */
    List<Way> to(int state) {
        return settled.get(state);
    }

    /** Whether so many ways were looked at that no more are. */
    boolean isGivenUp() {
        return steps >= cap;
    }

    /** Least cost of what has not been looked at; the largest number when everything has been. */
    int nextCost() {
        return open.isEmpty() ? Integer.MAX_VALUE : open.peek().cost();
    }

    /** Settles the next way and returns it; null if it was not worth keeping. */
    Way next() {
        Way way = open.poll();
        steps++;
        if (!isWorthKeeping(way.state(), way.bought())) {
            return null;
        }
        settled.get(way.state()).add(way);
        graph.forEachMove(way.state(), move -> {
            int to = graph.target(move);
            BitSet bought = to < 0 ? null : purse.buy(way.bought(), move);
            if (bought != null && isWorthKeeping(to, bought)) {
                int cost = bought == way.bought() ? way.cost() : purse.cost(bought);
                open.add(new Way(to, bought, cost, way.moves() + 1, way, move));
            }
        });
        return way;
    }

    private boolean isWorthKeeping(int state, BitSet bought) {
        List<Way> here = settled.get(state);
        return here.size() < mostAtOneState && here.stream().noneMatch(other -> isPart(other.bought(), bought));
    }

    private static boolean isPart(BitSet part, BitSet whole) {
        for (int t = part.nextSetBit(0); t >= 0; t = part.nextSetBit(t + 1)) {
            if (!whole.get(t)) {
                return false;
            }
        }
        return true;
    }
}

package lynchet.core.walk;

import java.util.Arrays;
import java.util.PriorityQueue;

/** Searches with nothing of grappling in them, over the very arrays that the sums use; it stands in their package for that. */
public final class BareSearch {

    private BareSearch() {}

    /** Breadth first from the starts along every move; how many states are reached. */
    public static int breadthFirst(MoveGraph graph) {
        int[] queue = new int[graph.states()];
        boolean[] seen = new boolean[graph.states()];
        int tail = 0;
        for (int start : graph.starts) {
            seen[start] = true;
            queue[tail++] = start;
        }
        for (int head = 0; head < tail; head++) {
            int state = queue[head];
            for (int move = graph.firstMove[state]; move < graph.firstMove[state + 1]; move++) {
                int to = graph.target[move];
                if (to >= 0 && !seen[to]) {
                    seen[to] = true;
                    queue[tail++] = to;
                }
            }
        }
        return tail;
    }

    /** Dijkstra 1959 from the first start with a heap, each move weighing its technique's difficulty; the sum of distances. */
    public static double dijkstra(MoveGraph graph) {
        record At(int state, double far) {}
        double[] far = new double[graph.states()];
        Arrays.fill(far, Double.POSITIVE_INFINITY);
        PriorityQueue<At> queue = new PriorityQueue<>((a, b) -> Double.compare(a.far(), b.far()));
        far[graph.starts[0]] = 0;
        queue.add(new At(graph.starts[0], 0));
        double sum = 0;
        while (!queue.isEmpty()) {
            At at = queue.poll();
            if (at.far() > far[at.state()]) {
                continue;
            }
            sum += at.far();
            for (int move = graph.firstMove[at.state()]; move < graph.firstMove[at.state() + 1]; move++) {
                int to = graph.target[move];
                double there = at.far() + 1 + (graph.link[move] & 3);
                if (to >= 0 && there < far[to]) {
                    far[to] = there;
                    queue.add(new At(to, there));
                }
            }
        }
        return sum;
    }
}

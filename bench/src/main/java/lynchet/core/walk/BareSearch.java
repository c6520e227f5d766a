package lynchet.core.walk;

import java.util.Arrays;
import java.util.PriorityQueue;

/** Searches with nothing of grappling in them, over the same moves that the sums walk. */
public final class BareSearch {

    private BareSearch() {}

    /** Breadth first from the starts along every move; how many states are reached. */
    public static int breadthFirst(MoveGraph graph) {
        int[] queue = new int[graph.states()];
        boolean[] seen = new boolean[graph.states()];
        int[] tail = {0};
        for (int start : graph.starts()) {
            seen[start] = true;
            queue[tail[0]++] = start;
        }
        for (int head = 0; head < tail[0]; head++) {
            graph.forEachMove(queue[head], move -> {
                int to = graph.target(move);
                if (to >= 0 && !seen[to]) {
                    seen[to] = true;
                    queue[tail[0]++] = to;
                }
            });
        }
        return tail[0];
    }

    /** Dijkstra 1959 from the first start with a heap, each move weighing something; the sum of distances. */
    public static double dijkstra(MoveGraph graph) {
        record At(int state, double far) {}
        double[] far = new double[graph.states()];
        Arrays.fill(far, Double.POSITIVE_INFINITY);
        PriorityQueue<At> queue = new PriorityQueue<>((a, b) -> Double.compare(a.far(), b.far()));
        int start = graph.starts().get(0);
        far[start] = 0;
        queue.add(new At(start, 0));
        double sum = 0;
        while (!queue.isEmpty()) {
            At at = queue.poll();
            if (at.far() > far[at.state()]) {
                continue;
            }
            sum += at.far();
            graph.forEachMove(at.state(), move -> {
                int to = graph.target(move);
                double there = at.far() + 1 + (graph.linkNumber(move) & 3);
                if (to >= 0 && there < far[to]) {
                    far[to] = there;
                    queue.add(new At(to, there));
                }
            });
        }
        return sum;
    }
}

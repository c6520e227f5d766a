package lynchet.core.pair;

import org.jgrapht.alg.interfaces.MatchingAlgorithm;
import org.jgrapht.alg.matching.blossom.v5.KolmogorovWeightedPerfectMatching;
import org.jgrapht.alg.matching.blossom.v5.ObjectiveSense;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import org.jspecify.annotations.Nullable;

/** The matching that leaves fewest alone and, of those, costs least. */
final class LeastCost {

    /** Dearer than any sum of costs: being alone. */
    private static final double ALONE = 1e9;

    private LeastCost() {}

    /** What two cost together. */
    interface Cost {
        /** In hundredths; null: not together. */
        @Nullable
        Integer of(int one, int other);
    }

    /** @return for each of {@code n} the other one, −1 for nobody */
    static int[] matching(int n, Cost cost) {
        int[] mates = new int[n];
        java.util.Arrays.fill(mates, -1);
        if (n < 2) {
            return mates;
        }
        // A perfect matching always exists: who is alone is paired dearly, and with an odd number one with nobody.
        SimpleWeightedGraph<Integer, DefaultWeightedEdge> room = new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        int even = n + n % 2;
        for (int i = 0; i < even; i++) {
            room.addVertex(i);
        }
        boolean[][] barred = new boolean[even][even];
        for (int i = 0; i < even; i++) {
            for (int j = i + 1; j < even; j++) {
                Integer of = j < n ? cost.of(i, j) : null;
                barred[i][j] = of == null;
                room.setEdgeWeight(room.addEdge(i, j), of == null ? ALONE : of);
            }
        }
        MatchingAlgorithm.Matching<Integer, DefaultWeightedEdge> found =
                new KolmogorovWeightedPerfectMatching<>(room, ObjectiveSense.MINIMIZE).getMatching();
        for (DefaultWeightedEdge edge : found.getEdges()) {
            int one = Math.min(room.getEdgeSource(edge), room.getEdgeTarget(edge));
            int other = Math.max(room.getEdgeSource(edge), room.getEdgeTarget(edge));
            if (!barred[one][other]) {
                mates[one] = other;
                mates[other] = one;
            }
        }
        return mates;
    }
}

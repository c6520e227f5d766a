package lynchet.core.walk;

import java.util.BitSet;
import java.util.Set;

/**
 * What I know and what the partner knows, as techniques of one {@link MoveGraph}.
 *
 * @param againstAnyone whether the partner may do everything on the map; otherwise they know what I know
 */
public record Knowledge(BitSet mine, BitSet theirs, boolean againstAnyone) {

    /** My class-mates: they know what I know. Ids that are not on the map are passed over. */
    public static Knowledge sameLevel(MoveGraph graph, Set<String> known) {
        BitSet mine = bits(graph, known);
        return new Knowledge(mine, mine, false);
    }

    /** Anyone: they know the whole map. */
    public static Knowledge againstAnyone(MoveGraph graph, Set<String> known) {
        BitSet everything = new BitSet();
        everything.set(0, graph.techniques().size());
        return new Knowledge(bits(graph, known), everything, true);
    }

    boolean iKnow(int technique) {
        return technique == MoveGraph.NONE || mine.get(technique);
    }

    /** Whether both know what a move takes. */
    public boolean allows(MoveGraph graph, int move) {
        int they = graph.theirTechnique(move);
        return iKnow(graph.myTechnique(move)) && (they == MoveGraph.NONE || theirs.get(they));
    }

    private static BitSet bits(MoveGraph graph, Set<String> known) {
        BitSet bits = new BitSet();
        for (String id : known) {
            int index = graph.techniqueNumber(id);
            if (index != MoveGraph.NONE) {
                bits.set(index);
            }
        }
        return bits;
    }
}

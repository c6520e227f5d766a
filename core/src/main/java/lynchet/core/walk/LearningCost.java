package lynchet.core.walk;

import java.util.BitSet;

/** What moves cost a set of techniques: the missing ones and all that they build on, each paid for once. */
final class LearningCost {

    private final MoveGraph graph;
    private final Knowledge knowledge;
    private final BitSet[] closure;

    LearningCost(MoveGraph graph, Knowledge knowledge) {
        this.graph = graph;
        this.knowledge = knowledge;
        this.closure = new BitSet[graph.techniques().size()];
    }

    /** The set after buying what a move needs; null if the partner would have to know what they cannot. */
    BitSet buy(BitSet bought, int move) {
        int mine = graph.myTechnique(move);
        int theirs = graph.theirTechnique(move);
        if (knowledge.againstAnyone()
                && theirs != MoveGraph.NONE
                && !knowledge.theirs().get(theirs)) {
            return null;
        }
        boolean isPaid = isPaid(bought, mine) && (knowledge.againstAnyone() || isPaid(bought, theirs));
        if (isPaid) {
            return bought;
        }
        BitSet after = (BitSet) bought.clone();
        add(after, mine);
        if (!knowledge.againstAnyone()) {
            add(after, theirs);
        }
        return after;
    }

    int cost(BitSet bought) {
        int cost = 0;
        for (int t = bought.nextSetBit(0); t >= 0; t = bought.nextSetBit(t + 1)) {
            cost += graph.techniques().get(t).learn();
        }
        return cost;
    }

    private boolean isPaid(BitSet bought, int technique) {
        return technique == MoveGraph.NONE || knowledge.mine().get(technique) || bought.get(technique);
    }

    private void add(BitSet bought, int technique) {
        if (technique == MoveGraph.NONE || knowledge.mine().get(technique)) {
            return;
        }
        if (closure[technique] == null) {
            closure[technique] = new BitSet();
            collect(technique, closure[technique]);
        }
        bought.or(closure[technique]);
    }

    /** Somebody who knows a technique is not sent back to what it builds on. */
    private void collect(int technique, BitSet into) {
        if (knowledge.mine().get(technique) || into.get(technique)) {
            return;
        }
        into.set(technique);
        for (String before : graph.techniques().get(technique).prerequisites()) {
            collect(graph.techniqueNumber(before), into);
        }
    }
}

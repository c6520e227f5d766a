package lynchet.core.walk;

import java.util.ArrayDeque;
import java.util.HashSet;
import java.util.Set;
import java.util.function.IntPredicate;
import lynchet.core.card.Family;
import lynchet.core.map.Position;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Stage;

/** Short walks of my own links, as gaps and mends both count them. */
final class Ways {

    /** Control from which a position is no longer one to escape from. */
    static final double EVEN_ENOUGH = -0.5;
    /** Within how many links an escape must get there. */
    static final int ESCAPE_LINKS = 3;
    /** Within how many links a dominant position must finish. */
    static final int FINISH_LINKS = 2;

    private final MoveGraph graph;

    Ways(MoveGraph graph) {
        this.graph = graph;
    }

    double control(int position) {
        return graph.positions().get(position).controlUnder(graph.ruleset());
    }

    /** Whether a working link of mine gets me out of trouble: a tap, even ground, or back to standing apart. */
    boolean escapes(int move) {
        int to = graph.target(move);
        return to == MoveGraph.MY_END
                || control(graph.positionOf(to)) >= EVEN_ENOUGH
                || graph.map().stageOf(graph.position(to).id()) == Stage.APART;
    }

    /** Whether a working link of mine ends it: a tap, a pin that counts, or points. */
    boolean finishes(int move) {
        int to = graph.target(move);
        if (to == MoveGraph.MY_END) {
            return true;
        }
        int position = graph.positionOf(to);
        Family family = graph.techniques().get(graph.myTechnique(move)).family();
        return isHeld(position)
                || graph.ruleset() != null
                        && graph.ruleset()
                                .scores(
                                        family,
                                        landing(graph.link(move).from()),
                                        landing(graph.positions().get(position).id()));
    }

    private Ruleset.Landing landing(String position) {
        return new Ruleset.Landing(position, graph.map().stageOf(position));
    }

    /** Whether holding a position counts under the ruleset; without a ruleset, whether it is a hold-down. */
    boolean isHeld(int position) {
        Position held = graph.positions().get(position);
        return graph.ruleset() == null ? held.pin() : graph.ruleset().countsHeld(held.id());
    }

    /** Whether, from any of these states, links that I know get there within so many links. */
    boolean within(int links, Iterable<Integer> from, Knowledge knowledge, IntPredicate there) {
        record At(int state, int used) {}
        ArrayDeque<At> queue = new ArrayDeque<>();
        Set<Integer> seen = new HashSet<>();
        for (int state : from) {
            queue.add(new At(state, 0));
            seen.add(state);
        }
        while (!queue.isEmpty()) {
            At at = queue.poll();
            boolean isThere = graph.anyMove(at.state(), move -> {
                if (!graph.iTry(move) || !knowledge.allows(graph, move)) {
                    return false;
                }
                int to = graph.target(move);
                if (to >= 0 && at.used() + 1 < links && seen.add(to)) {
                    queue.add(new At(to, at.used() + 1));
                }
                return graph.isMine(move) && there.test(move);
            });
            if (isThere) {
                return true;
            }
        }
        return false;
    }
}

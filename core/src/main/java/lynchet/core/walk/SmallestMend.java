package lynchet.core.walk;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The cheapest set of techniques to add so that a severity-3 finding goes away.
 *
 * <p>A technique bought once serves again, so the search runs over (state, set bought), cheapest first; a set that
 * contains an already settled set at the same state is dropped. Example: S–a–X–a–Y–a–T with a = 2 against S–b–T with
 * b = 5 gives a, cost 2. Up to {@link #CAP} ways looked at the result is the cheapest; beyond, a cheap one. Make one for
 * a known set and ask it for every finding: the ways there are shared.
 */
public final class SmallestMend {

    /** Ways looked at after which the search settles for a cheap set. */
    static final int CAP = 5_000;

    private final MoveGraph graph;
    private final LearningCost purse;
    private final Ways ways;
    private final Reach reach;
    private final GettingThere gettingThere;
    private final Map<String, Set<Integer>> starts = new HashMap<>();
    private GettingThere anyWayThere;

    public SmallestMend(MoveGraph graph, Knowledge knowledge) {
        this(graph, knowledge, CAP);
    }

    SmallestMend(MoveGraph graph, Knowledge knowledge, int cap) {
        this.graph = graph;
        this.purse = new LearningCost(graph, knowledge);
        this.ways = new Ways(graph);
        this.reach = Reach.of(graph, knowledge);
        this.gettingThere = new GettingThere(graph, reach, purse, cap, Integer.MAX_VALUE);
    }

    /** The mend of one finding alone. */
    public static Optional<Mend> of(MoveGraph graph, Knowledge knowledge, Finding finding) {
        return new SmallestMend(graph, knowledge).of(finding);
    }

    /** These findings, those of severity 3 with their mends where the map offers one. */
    public List<Finding> mended(List<Finding> findings) {
        return findings.stream()
                .map(gap -> gap.severity() < 3 ? gap : of(gap).map(gap::with).orElse(gap))
                .toList();
    }

    /** The mend of a {@code NO_ANSWER}, {@code NO_ESCAPE} or {@code NO_WAY_IN}; empty if the map offers none. */
    public Optional<Mend> of(Finding finding) {
        return switch (finding.code()) {
            case NO_ANSWER, NO_ESCAPE, NO_WAY_IN -> {
                Best found = search(finding, gettingThere);
                if (found.end() == null && !found.isCheapest()) {
                    found = new Best(search(finding, anyWayThere()).end(), false);
                }
                boolean isCheapest = found.isCheapest();
                yield Optional.ofNullable(found.end()).map(end -> describe(end, isCheapest));
            }
            case TAP,
                    ONE_ANSWER,
                    OPEN_REACTION,
                    NO_FINISH,
                    LEFT_OUT,
                    NEED_NOT_MADE,
                    ONE_SIDED,
                    FALL_ORDER,
                    ORDER,
                    VERSION_CLASH,
                    TOO_EARLY,
                    DUPLICATE,
                    STANDARD_DROP,
                    CHAIN_ORPHAN,
                    CHOOSE_IMPOSSIBLE,
                    BALANCE,
                    OVERLOAD,
                    LADDER_GAP -> Optional.empty();
        };
    }

    /**
     * Looks at ways there while one of them may still lead to something cheaper. What the mend costs from a state with
     * nothing bought on the way is the least it can cost from there: a state that is dearer than the best known end is
     * not waited for.
     */
    private Best search(Finding finding, GettingThere there) {
        GettingThere.Way best = null;
        int[] atLeast = new int[graph.states()];
        BitSet starts = new BitSet();
        for (int state = 0; state < graph.states(); state++) {
            if (startsMend(finding, state)) {
                GettingThere.Way alone = ending(finding, GettingThere.Way.at(state), null);
                if (alone != null) {
                    atLeast[state] = alone.cost();
                    starts.set(state);
                }
            }
        }
        for (int state = starts.nextSetBit(0); state >= 0; state = starts.nextSetBit(state + 1)) {
            if (reach.reachedState(state)) {
                best = cheaper(best, ending(finding, GettingThere.Way.at(state), best));
                starts.clear(state);
            }
        }
        for (int state = starts.nextSetBit(0); state >= 0; state = starts.nextSetBit(state + 1)) {
            for (GettingThere.Way way : there.to(state)) {
                best = cheaper(best, ending(finding, way, best));
            }
        }
        while (there.nextCost() < costOf(best) && mayBeCheaper(starts, atLeast, costOf(best))) {
            if (there.isGivenUp()) {
                return new Best(best, false);
            }
            GettingThere.Way way = there.next();
            if (way != null && starts.get(way.state())) {
                best = cheaper(best, ending(finding, way, best));
            }
        }
        return new Best(best, true);
    }

    private record Best(GettingThere.Way end, boolean isCheapest) {}

    private static int costOf(GettingThere.Way end) {
        return end == null ? Integer.MAX_VALUE : end.cost();
    }

    /** One way to each state, for findings whose cheapest mend is too far to be looked for. */
    private GettingThere anyWayThere() {
        if (anyWayThere == null) {
            anyWayThere = new GettingThere(graph, reach, purse, Integer.MAX_VALUE, 1);
        }
        return anyWayThere;
    }

    private static boolean mayBeCheaper(BitSet starts, int[] atLeast, int best) {
        return starts.stream().anyMatch(state -> atLeast[state] < best);
    }

    private static GettingThere.Way cheaper(GettingThere.Way a, GettingThere.Way b) {
        if (a == null || b == null) {
            return a == null ? b : a;
        }
        boolean isBetter = b.cost() < a.cost() || b.cost() == a.cost() && b.moves() < a.moves();
        return isBetter ? b : a;
    }

    /** Whether the move that mends it may start here: at the position, or where the technique has a link. */
    private boolean startsMend(Finding finding, int state) {
        return finding.position() != null
                ? graph.position(state).id().equals(finding.position())
                : startsOf(finding.technique()).contains(graph.positionOf(state));
    }

    private boolean isOf(String technique, int move) {
        return graph.isMine(move)
                && graph.techniques().get(graph.myTechnique(move)).id().equals(technique);
    }

    /** The cheapest end of the mend from here; null if there is none, or none cheaper than {@code best}. */
    private GettingThere.Way ending(Finding finding, GettingThere.Way there, GettingThere.Way best) {
        if (finding.code() == Finding.Code.NO_WAY_IN) {
            return cheaper(best, andDone(finding.technique(), there));
        }
        boolean anyLinkWillDo = ways.control(graph.stateOf(finding.position())) >= Ways.EVEN_ENOUGH;
        return anyLinkWillDo
                ? links(there, best, 1, move -> true)
                : links(there, best, Ways.ESCAPE_LINKS, ways::escapes);
    }

    /** The numbers of the positions in which links with a technique start. */
    private Set<Integer> startsOf(String technique) {
        return starts.computeIfAbsent(technique, id -> graph.links().stream()
                .filter(link -> link.technique().equals(id))
                .map(link -> graph.stateOf(link.from()))
                .collect(Collectors.toSet()));
    }

    /** Being there, and the technique done if it needs no reaction; it is known, so that it costs nothing. */
    private GettingThere.Way andDone(String technique, GettingThere.Way there) {
        GettingThere.Way[] end = {there};
        graph.forEachMove(there.state(), move -> {
            if (end[0] == there && isOf(technique, move)) {
                end[0] = new GettingThere.Way(
                        graph.target(move), there.bought(), there.cost(), there.moves() + 1, there, move);
            }
        });
        return end[0];
    }

    /** Depth first over at most so many links that I try, as long as they cost less than the best known end. */
    private GettingThere.Way links(
            GettingThere.Way there, GettingThere.Way known, int left, java.util.function.IntPredicate ends) {
        GettingThere.Way[] best = {known};
        graph.forEachMove(there.state(), move -> {
            BitSet bought = graph.iTry(move) ? purse.buy(there.bought(), move) : null;
            if (bought == null) {
                return;
            }
            int cost = bought == there.bought() ? there.cost() : purse.cost(bought);
            GettingThere.Way next =
                    new GettingThere.Way(graph.target(move), bought, cost, there.moves() + 1, there, move);
            if (graph.isMine(move) && ends.test(move)) {
                best[0] = cheaper(best[0], next);
            } else if (left > 1 && next.state() >= 0 && cost < costOf(best[0])) {
                best[0] = links(next, best[0], left - 1, ends);
            }
        });
        return best[0];
    }

    private Mend describe(GettingThere.Way end, boolean cheapest) {
        LinkedList<String> way = new LinkedList<>();
        LinkedList<String> walk = new LinkedList<>();
        for (GettingThere.Way at = end; at != null; at = at.before()) {
            if (at.move() != MoveGraph.NONE) {
                way.addFirst(sentence(at.before().state(), at.move()));
            }
            if (at.state() >= 0) {
                String position = graph.position(at.state()).id();
                if (!position.equals(walk.peekFirst())) {
                    walk.addFirst(position);
                }
            }
        }
        List<String> techniques = new ArrayList<>(end.bought().stream()
                .mapToObj(t -> graph.techniques().get(t).id())
                .sorted()
                .toList());
        return new Mend(techniques, end.cost(), cheapest, way, walk);
    }

    private String sentence(int from, int move) {
        String there = graph.target(move) < 0
                ? "tap"
                : graph.position(graph.target(move)).name();
        String here = graph.position(from).name();
        String what = graph.linkNumber(move) == MoveGraph.NONE
                ? ""
                : graph.map()
                        .technique(graph.link(move).technique())
                        .orElseThrow()
                        .name();
        return switch (graph.kind(move)) {
            case MINE, MINE_HALFWAY -> here + ": " + what + " to " + there;
            case THEIRS, THEIRS_HALFWAY -> here + ": they do " + what + ", which leaves me at " + there;
            case THEY_REACT, I_REACT ->
                here + ": " + (what.isEmpty() ? "" : what + ", ")
                        + graph.reaction(move).text() + ", at " + there;
        };
    }
}

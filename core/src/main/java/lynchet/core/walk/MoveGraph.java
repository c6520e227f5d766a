package lynchet.core.walk;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import lynchet.core.map.Technique;

/**
 * The map as arrays, for one ruleset: every move of mine and of my partner's, from my view.
 *
 * <p>With P positions and R reactions there are P + 2R states: a position with nothing pending; a reaction of theirs
 * that I may answer; a reaction of mine that they may answer (design: two-sided reach). Build once, ask often.
 */
public final class MoveGraph {

    static final int MY_END = -1;
    static final int THEIR_END = -2;
    static final int NONE = -1;

    final GrapplingMap map;
    final Ruleset ruleset;
    final List<Position> positions;
    final List<Technique> techniques;
    final List<Link> links;
    final List<Reaction> reactions;
    final Map<String, Integer> positionIndex = new HashMap<>();
    final Map<String, Integer> techniqueIndex = new HashMap<>();
    private final Map<String, Integer> linkIndex = new HashMap<>();
    private final Map<String, Integer> reactionIndex = new HashMap<>();

    /** Position index of each state. */
    final int[] positionOf;
    /** Moves of state s are {@code firstMove[s]} up to, not including, {@code firstMove[s + 1]}. */
    final int[] firstMove;

    final int[] target;
    final int[] myTechnique;
    final int[] theirTechnique;
    final int[] link;
    final int[] reaction;
    final Move.Kind[] kind;
    final int[] starts;

    private MoveGraph(GrapplingMap map, Ruleset ruleset, List<String> startIds) {
        this.map = map;
        this.ruleset = ruleset;
        positions = List.copyOf(map.positions());
        techniques = List.copyOf(map.techniques());
        links = map.links().stream().filter(this::counts).toList();
        reactions = map.reactions().stream().filter(r -> !r.retired()).toList();
        index(positions.stream().map(Position::id).toList(), positionIndex);
        index(techniques.stream().map(Technique::id).toList(), techniqueIndex);
        index(links.stream().map(Link::id).toList(), linkIndex);
        index(reactions.stream().map(Reaction::id).toList(), reactionIndex);
        starts = startIds.stream().mapToInt(positionIndex::get).toArray();

        int stateCount = positions.size() + 2 * reactions.size();
        positionOf = new int[stateCount];
        List<List<int[]>> moves = new ArrayList<>();
        for (int state = 0; state < stateCount; state++) {
            positionOf[state] = positionOfState(state);
            moves.add(new ArrayList<>());
        }
        addPlainMoves(moves);
        addAnswers(moves);

        int count = moves.stream().mapToInt(List::size).sum();
        firstMove = new int[stateCount + 1];
        target = new int[count];
        myTechnique = new int[count];
        theirTechnique = new int[count];
        link = new int[count];
        reaction = new int[count];
        kind = new Move.Kind[count];
        int next = 0;
        for (int state = 0; state < stateCount; state++) {
            firstMove[state] = next;
            for (int[] move : moves.get(state)) {
                target[next] = move[0];
                myTechnique[next] = move[1];
                theirTechnique[next] = move[2];
                link[next] = move[3];
                reaction[next] = move[4];
                kind[next++] = Move.Kind.values()[move[5]];
            }
        }
        firstMove[stateCount] = next;
    }

    /** The moves that a ruleset allows, starting where a bout may start. */
    public static MoveGraph under(GrapplingMap map, Ruleset ruleset) {
        return new MoveGraph(map, ruleset, ruleset.entries());
    }

    /** Every move on the map, starting at the given positions. */
    public static MoveGraph from(GrapplingMap map, List<String> starts) {
        return new MoveGraph(map, null, starts);
    }

    public GrapplingMap map() {
        return map;
    }

    int states() {
        return positionOf.length;
    }

    /** The state in which I may answer this reaction of theirs. */
    int iMayAnswer(int reactionIndex) {
        return positions.size() + reactionIndex;
    }

    /** The state in which they may answer this reaction of mine. */
    int theyMayAnswer(int reactionIndex) {
        return positions.size() + reactions.size() + reactionIndex;
    }

    int mirrored(int position) {
        return positionIndex.get(map.counterpart(positions.get(position).id()).id());
    }

    /** Whether a move is a link of mine that works. */
    boolean isMine(int move) {
        return kind[move] == Move.Kind.MINE;
    }

    /** Whether I try a link in this move, whether it works or they react. */
    boolean iTry(int move) {
        return kind[move] == Move.Kind.MINE || kind[move] == Move.Kind.THEY_REACT && link[move] != NONE;
    }

    Move describe(int move) {
        return new Move(
                kind[move],
                link[move] == NONE ? null : links.get(link[move]).id(),
                reaction[move] == NONE ? null : reactions.get(reaction[move]).id(),
                target[move] >= 0
                        ? positions.get(positionOf[target[move]]).id()
                        : target[move] == MY_END ? Link.TAP : null);
    }

    private boolean counts(Link candidate) {
        Technique technique = map.technique(candidate.technique()).orElseThrow();
        return !candidate.retired() && !technique.retired() && (ruleset == null || ruleset.allows(technique));
    }

    private int positionOfState(int state) {
        int p = positions.size();
        int r = reactions.size();
        if (state < p) {
            return state;
        }
        int leaves = positionIndex.get(reactions.get((state - p) % r).leaves());
        return state < p + r ? leaves : mirrored(leaves);
    }

    private void addPlainMoves(List<List<int[]>> moves) {
        int[] mirror = new int[positions.size()];
        for (int p = 0; p < mirror.length; p++) {
            mirror[p] = mirrored(p);
        }
        List<List<int[]>> at = new ArrayList<>();
        for (int p = 0; p < mirror.length; p++) {
            at.add(new ArrayList<>());
        }
        for (int l = 0; l < links.size(); l++) {
            if (!links.get(l).answersReaction()) {
                int from = positionIndex.get(links.get(l).from());
                at.get(from).addAll(tryLink(l, true));
                at.get(mirror[from]).addAll(tryLink(l, false));
            }
        }
        for (int r = 0; r < reactions.size(); r++) {
            if (reactions.get(r).position() != null) {
                int where = positionIndex.get(reactions.get(r).position());
                react(at.get(where), NONE, r, true, NONE);
                react(at.get(mirror[where]), NONE, r, false, NONE);
            }
        }
        for (int state = 0; state < moves.size(); state++) {
            moves.get(state).addAll(at.get(positionOf[state]));
        }
    }

    private void addAnswers(List<List<int[]>> moves) {
        for (int l = 0; l < links.size(); l++) {
            Integer answered = links.get(l).answersReaction()
                    ? reactionIndex.get(links.get(l).when())
                    : null;
            if (answered != null) {
                moves.get(iMayAnswer(answered)).addAll(tryLink(l, true));
                moves.get(theyMayAnswer(answered)).addAll(tryLink(l, false));
            }
        }
    }

    /** A link tried by me or by them: it works, or the other one reacts. */
    private List<int[]> tryLink(int l, boolean mine) {
        List<int[]> moves = new ArrayList<>();
        Link tried = links.get(l);
        int technique = techniqueIndex.get(tried.technique());
        int to = tried.endsInTap() ? (mine ? MY_END : THEIR_END) : positionIndex.get(tried.to());
        if (!mine && to >= 0) {
            to = mirrored(to);
        }
        Move.Kind who = mine ? Move.Kind.MINE : Move.Kind.THEIRS;
        moves.add(new int[] {to, mine ? technique : NONE, mine ? NONE : technique, l, NONE, who.ordinal()});
        for (Reaction reply : map.reactionsToLink(tried.id())) {
            react(moves, l, reactionIndex.get(reply.id()), mine, technique);
        }
        return moves;
    }

    /** A reaction: theirs when I tried or it is my position, else mine. An attack counts only where it is allowed. */
    private void react(List<int[]> moves, int l, int r, boolean theirs, int tried) {
        int attack = NONE;
        if (reactions.get(r).attack() != null) {
            Integer counter = linkIndex.get(reactions.get(r).attack());
            if (counter == null) {
                return;
            }
            attack = techniqueIndex.get(links.get(counter).technique());
        }
        Move.Kind who = theirs ? Move.Kind.THEY_REACT : Move.Kind.I_REACT;
        int to = theirs ? iMayAnswer(r) : theyMayAnswer(r);
        moves.add(new int[] {to, theirs ? tried : attack, theirs ? attack : tried, l, r, who.ordinal()});
    }

    private static void index(List<String> ids, Map<String, Integer> into) {
        for (int i = 0; i < ids.size(); i++) {
            into.put(ids.get(i), i);
        }
    }
}

package lynchet.core.walk;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntConsumer;
import java.util.function.IntPredicate;
import java.util.stream.Stream;
import lynchet.core.card.Jacket;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Reaction;
import lynchet.core.map.Ruleset;
import org.jspecify.annotations.Nullable;

/**
 * The map as moves, for one ruleset and jacket: everything I and my partner can do, from my view. Every sum over the map
 * walks this.
 *
 * <p>With P positions and R reactions there are P + 2R states, numbered from 0: a position with nothing pending (its
 * number in {@link #positions()}); a reaction of theirs that I may answer; a reaction of mine that they may answer
 * (design: two-sided reach). Moves are numbered from 0, those of one state one after the other. Build once, ask often.
 */
public final class MoveGraph {

    /** Targets that are no state: I finish, I am finished. */
    public static final int MY_END = -1;

    public static final int THEIR_END = -2;
    /** No technique and no link. */
    public static final int NONE = -1;

    /**
     * What counts.
     *
     * @param ruleset null: everything is allowed
     * @param worn with a jacket, without one, or either
     * @param starts position ids where it may start
     * @param halfway whether what is stopped or half works leads on too: where links say {@code ifStopped} or {@code
     *     partial}
     */
    public record Asked(@Nullable Ruleset ruleset, Jacket worn, List<String> starts, boolean halfway) {

        boolean allows(Technique technique) {
            return technique.jacket().fits(worn) && (ruleset == null || ruleset.allows(technique));
        }

        boolean fits(Position position) {
            return position.jacket().fits(worn)
                    && (ruleset == null || position.jacket().fits(ruleset.jacket()));
        }
    }

    private final GrapplingMap map;
    private final Asked asked;
    private final List<Position> positions;
    private final List<Technique> techniques;
    private final List<Link> links;
    private final List<Reaction> reactions;
    private final Map<String, Integer> positionIndex = new HashMap<>();
    private final Map<String, Integer> techniqueIndex = new HashMap<>();
    private final Map<String, Integer> linkIndex = new HashMap<>();
    private final Map<String, Integer> reactionIndex = new HashMap<>();

    private final int[] starts;
    private final int[] positionOf;
    /** Moves of state s are {@code firstMove[s]} up to, not including, {@code firstMove[s + 1]}. */
    private final int[] firstMove;

    private final int[] target;
    private final int[] myTechnique;
    private final int[] theirTechnique;
    private final int[] link;
    private final int[] reaction;
    private final Move.Kind[] kind;

    private MoveGraph(GrapplingMap map, Asked asked) {
        this.map = map;
        this.asked = asked;
        positions = List.copyOf(map.positions());
        techniques = List.copyOf(map.techniques());
        links = map.links().stream().filter(this::counts).toList();
        reactions = map.reactions().stream()
                .filter(r -> !r.retired() && fits(r.leaves()))
                .toList();
        index(positions.stream().map(Position::id).toList(), positionIndex);
        index(techniques.stream().map(Technique::id).toList(), techniqueIndex);
        index(links.stream().map(Link::id).toList(), linkIndex);
        index(reactions.stream().map(Reaction::id).toList(), reactionIndex);
        starts = asked.starts().stream().mapToInt(positionIndex::get).toArray();

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
        return of(map, new Asked(ruleset, Jacket.EITHER, ruleset.entries(), false));
    }

    /** Every move on the map, starting at the given positions. */
    public static MoveGraph from(GrapplingMap map, List<String> starts) {
        return of(map, new Asked(null, Jacket.EITHER, starts, false));
    }

    public static MoveGraph of(GrapplingMap map, Asked asked) {
        return new MoveGraph(map, asked);
    }

    public GrapplingMap map() {
        return map;
    }

    /** The ruleset it stands under; null: none. */
    public @Nullable Ruleset ruleset() {
        return asked.ruleset();
    }

    /** Whether it is only for those with a jacket, or without one. */
    public Jacket worn() {
        return asked.worn();
    }

    public List<Position> positions() {
        return positions;
    }

    /** All techniques of the map, allowed or not, as moves number them. */
    public List<Technique> techniques() {
        return techniques;
    }

    /** The links that count, as moves number them. */
    public List<Link> links() {
        return links;
    }

    /** The reactions that count, in the order of their states. */
    public List<Reaction> reactions() {
        return reactions;
    }

    /** Whether it is on the map and may be done here. */
    public boolean allows(Technique technique) {
        return !technique.retired() && asked.allows(technique);
    }

    public int states() {
        return positionOf.length;
    }

    /** The states where it may start. */
    public List<Integer> starts() {
        return java.util.Arrays.stream(starts).boxed().toList();
    }

    /**
     * The state of a position with nothing pending.
     *
     * @throws java.util.NoSuchElementException if it is not on the map
     */
    public int stateOf(String position) {
        return positionIndex.get(map.position(position).orElseThrow().id());
    }

    /** The number of a technique; {@link #NONE} if it is not on the map. */
    public int techniqueNumber(String technique) {
        return techniqueIndex.getOrDefault(technique, NONE);
    }

    /** The number of the position that a state is at. */
    public int positionOf(int state) {
        return positionOf[state];
    }

    /** The position that a state is at. */
    public Position position(int state) {
        return positions.get(positionOf[state]);
    }

    /** Every move of a state, in order. */
    public void forEachMove(int state, IntConsumer visitor) {
        for (int move = firstMove[state]; move < firstMove[state + 1]; move++) {
            visitor.accept(move);
        }
    }

    /** Whether a state has such a move; looks no further than the first. */
    public boolean anyMove(int state, IntPredicate test) {
        for (int move = firstMove[state]; move < firstMove[state + 1]; move++) {
            if (test.test(move)) {
                return true;
            }
        }
        return false;
    }

    public Move.Kind kind(int move) {
        return kind[move];
    }

    /** The state where a move leads, {@link #MY_END} or {@link #THEIR_END}. */
    public int target(int move) {
        return target[move];
    }

    /** The number of the technique that I have to know for a move; {@link #NONE}. */
    public int myTechnique(int move) {
        return myTechnique[move];
    }

    /** The number of the technique that they have to know for it; {@link #NONE}. */
    public int theirTechnique(int move) {
        return theirTechnique[move];
    }

    /** The number of the link that is tried; {@link #NONE}. */
    public int linkNumber(int move) {
        return link[move];
    }

    /** The link that is tried in a move that tries one. */
    public Link link(int move) {
        return links.get(link[move]);
    }

    /** The reaction of a move in which somebody reacts. */
    public Reaction reaction(int move) {
        return reactions.get(reaction[move]);
    }

    /** Whether a move is a link of mine that works. */
    public boolean isMine(int move) {
        return kind[move] == Move.Kind.MINE;
    }

    /** Whether I try a link in this move, and it works or they react. */
    public boolean iTry(int move) {
        return kind[move] == Move.Kind.MINE || kind[move] == Move.Kind.THEY_REACT && link[move] != NONE;
    }

    /** The state in which I may answer this reaction of theirs. */
    public int iMayAnswer(int reactionNumber) {
        return positions.size() + reactionNumber;
    }

    private int theyMayAnswer(int reactionNumber) {
        return positions.size() + reactions.size() + reactionNumber;
    }

    private int mirrored(int position) {
        return positionIndex.get(map.counterpart(positions.get(position).id()).id());
    }

    /** A move in words that others understand. */
    public Move describe(int move) {
        return new Move(
                kind[move],
                link[move] == NONE ? null : links.get(link[move]).id(),
                reaction[move] == NONE ? null : reactions.get(reaction[move]).id(),
                target[move] >= 0 ? position(target[move]).id() : target[move] == MY_END ? Link.TAP : null);
    }

    private boolean counts(Link candidate) {
        Technique technique = map.technique(candidate.technique()).orElseThrow();
        return !candidate.retired()
                && allows(technique)
                && fits(candidate.from())
                && (candidate.endsInTap() || fits(candidate.to()));
    }

    private boolean fits(String position) {
        return asked.fits(map.position(position).orElseThrow()) && asked.fits(map.counterpart(position));
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
            if (reactionIndex.containsKey(reply.id())) {
                react(moves, l, reactionIndex.get(reply.id()), mine, technique);
            }
        }
        if (asked.halfway()) {
            halfway(moves, l, mine, technique);
        }
        return moves;
    }

    /** Where a link leads that half works, or is stopped without a named reaction. */
    private void halfway(List<int[]> moves, int l, boolean mine, int technique) {
        Move.Kind who = mine ? Move.Kind.MINE_HALFWAY : Move.Kind.THEIRS_HALFWAY;
        Stream.of(links.get(l).partial(), links.get(l).ifStopped())
                .filter(place -> place != null && fits(place))
                .distinct()
                .forEach(place -> {
                    int to = positionIndex.get(place);
                    moves.add(new int[] {
                        mine ? to : mirrored(to),
                        mine ? technique : NONE,
                        mine ? NONE : technique,
                        l,
                        NONE,
                        who.ordinal()
                    });
                });
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

package lynchet.core.walk;

import java.util.List;
import java.util.function.IntConsumer;
import java.util.function.IntPredicate;
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
    public record Conditions(@Nullable Ruleset ruleset, Jacket worn, List<String> starts, boolean halfway) {

        boolean allows(Technique technique) {
            return technique.jacket().fits(worn) && (ruleset == null || ruleset.allows(technique));
        }

        boolean fits(Position position) {
            return position.jacket().fits(worn)
                    && (ruleset == null || position.jacket().fits(ruleset.jacket()));
        }
    }

    private final Moves made;
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

    private MoveGraph(Moves made) {
        this.made = made;
        starts =
                made.asked.starts().stream().mapToInt(made.positionNumbers::get).toArray();
        List<List<Moves.Candidate>> moves = made.byState();
        int count = moves.stream().mapToInt(List::size).sum();
        positionOf = new int[moves.size()];
        firstMove = new int[moves.size() + 1];
        target = new int[count];
        myTechnique = new int[count];
        theirTechnique = new int[count];
        link = new int[count];
        reaction = new int[count];
        kind = new Move.Kind[count];
        int next = 0;
        for (int state = 0; state < moves.size(); state++) {
            positionOf[state] = made.positionOf(state);
            firstMove[state] = next;
            for (Moves.Candidate move : moves.get(state)) {
                target[next] = move.target();
                myTechnique[next] = move.myTechnique();
                theirTechnique[next] = move.theirTechnique();
                link[next] = move.link();
                reaction[next] = move.reaction();
                kind[next++] = move.kind();
            }
        }
        firstMove[moves.size()] = next;
    }

    /** The moves that a ruleset allows, starting where a bout may start. */
    public static MoveGraph under(GrapplingMap map, Ruleset ruleset) {
        return of(map, new Conditions(ruleset, Jacket.EITHER, ruleset.entries(), false));
    }

    /** Every move on the map, starting at the given positions. */
    public static MoveGraph from(GrapplingMap map, List<String> starts) {
        return of(map, new Conditions(null, Jacket.EITHER, starts, false));
    }

    public static MoveGraph of(GrapplingMap map, Conditions asked) {
        return new MoveGraph(new Moves(map, asked));
    }

    public GrapplingMap map() {
        return made.map;
    }

    /** The ruleset it stands under; null: none. */
    public @Nullable Ruleset ruleset() {
        return made.asked.ruleset();
    }

    /** Whether it is only for those with a jacket, or without one. */
    public Jacket worn() {
        return made.asked.worn();
    }

    public List<Position> positions() {
        return made.positions;
    }

    /** All techniques of the map, allowed or not, as moves number them. */
    public List<Technique> techniques() {
        return made.techniques;
    }

    /** The links that count, as moves number them. */
    public List<Link> links() {
        return made.links;
    }

    /** The reactions that count, in the order of their states. */
    public List<Reaction> reactions() {
        return made.reactions;
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
        return made.positionNumbers.get(
                made.map.position(position).orElseThrow().id());
    }

    /** The number of a technique; {@link #NONE} if it is not on the map. */
    public int techniqueNumber(String technique) {
        return made.techniqueNumbers.getOrDefault(technique, NONE);
    }

    /** The number of the position that a state is at. */
    public int positionOf(int state) {
        return positionOf[state];
    }

    /** The position that a state is at. */
    public Position position(int state) {
        return made.positions.get(positionOf[state]);
    }

    /** The id of the reaction of theirs that I may answer in a state; null where nothing of theirs is pending. */
    public @Nullable String pending(int state) {
        int reaction = state - made.positions.size();
        return reaction < 0 || reaction >= made.reactions.size()
                ? null
                : made.reactions.get(reaction).id();
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
        return made.links.get(link[move]);
    }

    /** The reaction of a move in which somebody reacts. */
    public Reaction reaction(int move) {
        return made.reactions.get(reaction[move]);
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
        return made.iMayAnswer(reactionNumber);
    }

    /** A move in words that others understand. */
    public Move describe(int move) {
        return new Move(
                kind[move],
                link[move] == NONE ? null : made.links.get(link[move]).id(),
                reaction[move] == NONE
                        ? null
                        : made.reactions.get(reaction[move]).id(),
                target[move] >= 0 ? position(target[move]).id() : target[move] == MY_END ? Link.TAP : null);
    }
}

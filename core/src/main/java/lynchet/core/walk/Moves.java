package lynchet.core.walk;

import static lynchet.core.walk.MoveGraph.MY_END;
import static lynchet.core.walk.MoveGraph.NONE;
import static lynchet.core.walk.MoveGraph.THEIR_END;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;
import lynchet.core.map.Reaction;

/** Works out what counts on a map and every move of it, state by state, before they are laid out as a graph. */
final class Moves {

    /** One move; techniques, link and reaction by number, {@link MoveGraph#NONE} where there is none. */
    record Candidate(int target, int myTechnique, int theirTechnique, int link, int reaction, Move.Kind kind) {}

    final GrapplingMap map;
    final MoveGraph.Conditions asked;
    final List<Position> positions;
    final List<Technique> techniques;
    final List<Link> links;
    final List<Reaction> reactions;
    final Map<String, Integer> positionNumbers;
    final Map<String, Integer> techniqueNumbers;
    private final Map<String, Integer> linkNumbers;
    private final Map<String, Integer> reactionNumbers;

    Moves(GrapplingMap map, MoveGraph.Conditions asked) {
        this.map = map;
        this.asked = asked;
        positions = List.copyOf(map.positions());
        techniques = List.copyOf(map.techniques());
        links = map.links().stream().filter(this::counts).toList();
        reactions = map.reactions().stream()
                .filter(r -> !r.retired() && fits(r.leaves()))
                .toList();
        positionNumbers = numbers(positions.stream().map(Position::id).toList());
        techniqueNumbers = numbers(techniques.stream().map(Technique::id).toList());
        linkNumbers = numbers(links.stream().map(Link::id).toList());
        reactionNumbers = numbers(reactions.stream().map(Reaction::id).toList());
    }

    private static Map<String, Integer> numbers(List<String> ids) {
        Map<String, Integer> numbers = new HashMap<>();
        for (int i = 0; i < ids.size(); i++) {
            numbers.put(ids.get(i), i);
        }
        return numbers;
    }

    private boolean counts(Link candidate) {
        Technique technique = map.technique(candidate.technique()).orElseThrow();
        return !candidate.retired()
                && !technique.retired()
                && asked.allows(technique)
                && fits(candidate.from())
                && (candidate.endsInTap() || fits(candidate.to()));
    }

    private boolean fits(String position) {
        return asked.fits(map.position(position).orElseThrow()) && asked.fits(map.counterpart(position));
    }

    int states() {
        return positions.size() + 2 * reactions.size();
    }

    int iMayAnswer(int reaction) {
        return positions.size() + reaction;
    }

    private int theyMayAnswer(int reaction) {
        return positions.size() + reactions.size() + reaction;
    }

    private int mirrored(int position) {
        return positionNumbers.get(map.counterpart(positions.get(position).id()).id());
    }

    /** The number of the position that a state is at. */
    int positionOf(int state) {
        int p = positions.size();
        int r = reactions.size();
        if (state < p) {
            return state;
        }
        int leaves = positionNumbers.get(reactions.get((state - p) % r).leaves());
        return state < p + r ? leaves : mirrored(leaves);
    }

    /** The moves of each state: what can be done at its position, then what answers its reaction. */
    List<List<Candidate>> byState() {
        List<List<Candidate>> at = plain();
        List<List<Candidate>> moves = new ArrayList<>();
        for (int state = 0; state < states(); state++) {
            moves.add(new ArrayList<>(at.get(positionOf(state))));
        }
        for (int l = 0; l < links.size(); l++) {
            Integer answered = reactionNumbers.get(links.get(l).when());
            if (answered != null) {
                moves.get(iMayAnswer(answered)).addAll(tryLink(l, true));
                moves.get(theyMayAnswer(answered)).addAll(tryLink(l, false));
            }
        }
        return moves;
    }

    /** What can be done at each position without an answer to anything. */
    private List<List<Candidate>> plain() {
        List<List<Candidate>> at = new ArrayList<>();
        positions.forEach(position -> at.add(new ArrayList<>()));
        for (int l = 0; l < links.size(); l++) {
            if (!links.get(l).answersReaction()) {
                int from = positionNumbers.get(links.get(l).from());
                at.get(from).addAll(tryLink(l, true));
                at.get(mirrored(from)).addAll(tryLink(l, false));
            }
        }
        for (int r = 0; r < reactions.size(); r++) {
            if (reactions.get(r).position() != null) {
                int where = positionNumbers.get(reactions.get(r).position());
                react(at.get(where), NONE, r, true, NONE);
                react(at.get(mirrored(where)), NONE, r, false, NONE);
            }
        }
        return at;
    }

    /** A link tried by me or by them: it works, or the other one reacts. */
    private List<Candidate> tryLink(int l, boolean mine) {
        List<Candidate> moves = new ArrayList<>();
        Link tried = links.get(l);
        int technique = techniqueNumbers.get(tried.technique());
        int to = tried.endsInTap() ? (mine ? MY_END : THEIR_END) : seen(tried.to(), mine);
        moves.add(done(to, technique, l, mine, mine ? Move.Kind.MINE : Move.Kind.THEIRS));
        for (Reaction reply : map.reactionsToLink(tried.id())) {
            Integer number = reactionNumbers.get(reply.id());
            if (number != null) {
                react(moves, l, number, mine, technique);
            }
        }
        if (asked.halfway()) {
            Move.Kind who = mine ? Move.Kind.MINE_HALFWAY : Move.Kind.THEIRS_HALFWAY;
            Stream.of(tried.partial(), tried.ifStopped())
                    .filter(place -> place != null && fits(place))
                    .distinct()
                    .forEach(place -> moves.add(done(seen(place, mine), technique, l, mine, who)));
        }
        return moves;
    }

    /** Where I am when the person who moves is there. */
    private int seen(String place, boolean mine) {
        int there = positionNumbers.get(place);
        return mine ? there : mirrored(there);
    }

    private static Candidate done(int to, int technique, int link, boolean mine, Move.Kind who) {
        return new Candidate(to, mine ? technique : NONE, mine ? NONE : technique, link, NONE, who);
    }

    /** A reaction: theirs when I tried or it is my position, else mine. An attack counts only where it is allowed. */
    private void react(List<Candidate> moves, int link, int reaction, boolean theirs, int tried) {
        int attack = NONE;
        if (reactions.get(reaction).attack() != null) {
            Integer counter = linkNumbers.get(reactions.get(reaction).attack());
            if (counter == null) {
                return;
            }
            attack = techniqueNumbers.get(links.get(counter).technique());
        }
        moves.add(
                theirs
                        ? new Candidate(iMayAnswer(reaction), tried, attack, link, reaction, Move.Kind.THEY_REACT)
                        : new Candidate(theyMayAnswer(reaction), attack, tried, link, reaction, Move.Kind.I_REACT));
    }
}

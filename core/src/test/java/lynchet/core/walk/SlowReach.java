package lynchet.core.walk;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;

/** Reach over the map itself, by names; it knows nothing of {@link MoveGraph}. */
public final class SlowReach {

    private SlowReach() {}

    /** Fewest moves to each state, "position" or "position/reaction/who may answer", grown until it stands. */
    public static Map<String, Integer> states(GrapplingMap map, Set<String> known) {
        return states(map, known, known);
    }

    public static Map<String, Integer> states(GrapplingMap map, Set<String> known, Set<String> theyKnow) {
        Map<String, Integer> seen = new HashMap<>(Map.of("s", 0));
        for (int round = 0; ; round++) {
            Map<String, Integer> grown = new HashMap<>(seen);
            for (String state : seen.keySet()) {
                for (String to : nextStates(map, state, known, theyKnow)) {
                    grown.merge(to, seen.get(state) + 1, Math::min);
                }
            }
            if (grown.equals(seen)) {
                return seen;
            }
            seen = grown;
        }
    }

    private static Set<String> nextStates(GrapplingMap map, String state, Set<String> known, Set<String> theyKnow) {
        String[] parts = state.split("/");
        String here = parts[0];
        String there = map.counterpart(here).id();
        Set<String> next = new HashSet<>();
        for (Link link : map.links()) {
            if (link.retired()) {
                continue;
            }
            boolean mine = known.contains(link.technique())
                    && link.from().equals(here)
                    && (!link.answersReaction() || state.endsWith("/" + link.when() + "/me"));
            boolean theirs = theyKnow.contains(link.technique())
                    && link.from().equals(there)
                    && (!link.answersReaction() || state.endsWith("/" + link.when() + "/them"));
            if (mine && !link.endsInTap()) {
                next.add(link.to());
            }
            if (theirs && !link.endsInTap()) {
                next.add(map.counterpart(link.to()).id());
            }
            for (Reaction reaction : map.reactions()) {
                if (link.id().equals(reaction.link())) {
                    addReaction(map, reaction, mine, theirs, next);
                }
            }
        }
        for (Reaction reaction : map.reactions()) {
            addReaction(map, reaction, here.equals(reaction.position()), there.equals(reaction.position()), next);
        }
        return next;
    }

    private static void addReaction(
            GrapplingMap map, Reaction reaction, boolean theyDo, boolean iDo, Set<String> next) {
        if (reaction.retired()) {
            return;
        }
        if (theyDo) {
            next.add(reaction.leaves() + "/" + reaction.id() + "/me");
        }
        if (iDo) {
            next.add(map.counterpart(reaction.leaves()).id() + "/" + reaction.id() + "/them");
        }
    }
}

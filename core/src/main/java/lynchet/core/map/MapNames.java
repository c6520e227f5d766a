package lynchet.core.map;

import java.util.Map;
import lynchet.core.card.Technique;

/** What a coach calls the things of a map that need not hold together yet; a sentence never speaks of an id. */
record MapNames(
        Map<String, Position> positions,
        Map<String, Technique> techniques,
        Map<String, Link> links,
        Map<String, Reaction> reactions) {

    /** "Half guard, bottom", or "a position that does not exist". */
    String position(String id) {
        return positions.containsKey(id) ? positions.get(id).name() : "a position that does not exist";
    }

    /** "Scissor sweep", or "a technique that does not exist". */
    String technique(String id) {
        return techniques.containsKey(id) ? techniques.get(id).name() : "a technique that does not exist";
    }

    /** "Scissor sweep from Guard, bottom", or "something that does not exist". */
    String link(String id) {
        Link link = links.get(id);
        return link == null
                ? "something that does not exist"
                : technique(link.technique()) + " from " + position(link.from());
    }

    /** "the reaction \u201cposts the hand\u201d", or "a reaction that does not exist". */
    String reaction(String id) {
        return reactions.containsKey(id)
                ? "the reaction \u201c" + reactions.get(id).text() + "\u201d"
                : "a reaction that does not exist";
    }
}

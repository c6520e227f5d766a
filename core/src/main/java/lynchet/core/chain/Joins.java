package lynchet.core.chain;

import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Reaction;
import org.jspecify.annotations.Nullable;

/** Whether one step of a chain goes on from the one before it. */
final class Joins {

    private Joins() {}

    /**
     * Whether a link starts where its line has come to, through the reaction that it answers.
     *
     * @param expected position id; null: not known, since what comes before is broken itself
     * @param through the reaction that leads to it; null: the main line
     */
    static boolean holds(Link link, @Nullable String expected, @Nullable Reaction through) {
        return (expected == null || expected.equals(link.from()))
                && (!link.answersReaction() || through != null && link.when().equals(through.id()));
    }

    /** Whether a turn-off answers something: its step can be done, and starts where the reaction leaves. */
    static boolean answers(Turn turn, Link tried, GrapplingMap map) {
        Reaction reaction = map.reaction(turn.reaction()).orElse(null);
        Link link = map.link(turn.step().link()).orElse(null);
        return reaction != null
                && link != null
                && StepShares.belongs(reaction, tried)
                && !link.retired()
                && !map.technique(link.technique()).orElseThrow().retired()
                && holds(link, reaction.leaves(), reaction);
    }
}

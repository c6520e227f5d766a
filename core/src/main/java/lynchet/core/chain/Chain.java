package lynchet.core.chain;

import java.util.stream.Stream;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * A tree of links that a coach teaches as one thing: a main line, and turn-offs at reactions.
 *
 * @param owner account name of the coach who owns it; the house when null
 * @param start position id where it begins
 * @param first the first step; null while nothing has been entered
 */
public record Chain(
        String id,
        String name,
        @Most(400) String intent,
        @Most(40) @Nullable String owner,
        String start,
        @Nullable ChainStep first,
        @Usual("false") boolean retired) {

    /** Steps on one path, and steps in all: more than anyone can teach, less than can harm the server. */
    public static final int MOST_DEEP = 40;

    public static final int MOST_STEPS = 400;

    public Chain {
        Require.id("a chain", id);
        Require.text("the name of this chain", name);
        intent = intent == null ? "" : intent;
        Require.present("the start of this chain", start);
        if (first != null) {
            Require.within("the steps of this chain", count(first, 1), 1, MOST_STEPS);
        }
    }

    private static int count(ChainStep step, int depth) {
        if (depth > MOST_DEEP) {
            throw new IllegalArgumentException("a chain is at most " + MOST_DEEP + " steps deep");
        }
        int steps = 1;
        for (Turn turn : step.next()) {
            steps += count(turn.step(), depth + 1);
        }
        return steps;
    }

    /** The techniques of its links, as they come. */
    public Stream<Technique> techniques(GrapplingMap map) {
        return first == null
                ? Stream.empty()
                : first.all()
                        .flatMap(step -> map.link(step.link()).stream())
                        .flatMap(link -> map.technique(link.technique()).stream());
    }

    /** How often somebody falls when it is done once: on the line that throws them most. */
    public int falls(GrapplingMap map) {
        return first == null
                ? 0
                : first.most(link -> map.link(link)
                                .flatMap(one -> map.technique(one.technique()))
                                .filter(technique -> !technique.receiverFalls().isEmpty())
                                .isPresent()
                        ? 1
                        : 0);
    }

    /** The same chain as somebody's own; null: the house's. */
    public Chain ownedBy(String account) {
        return new Chain(id, name, intent, account, start, first, retired);
    }

    /** The same chain on other steps. */
    public Chain walking(ChainStep otherFirst) {
        return new Chain(id, name, intent, owner, start, otherFirst, retired);
    }
}

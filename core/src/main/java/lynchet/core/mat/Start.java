package lynchet.core.mat;

import java.time.Instant;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Stamped;
import org.jspecify.annotations.Nullable;

/**
 * One start of positional rounds and how it ended. Nobody is named, and no link: it speaks of the position only.
 *
 * @param position where it started, from the side of the person who gets away
 * @param escaped whether they got away; else they were held or finished
 * @param at when it was counted
 * @param by account of the person who counted it
 */
public record Start(
        String id,
        String classId,
        String blockId,
        String position,
        boolean escaped,
        @Nullable Instant at,
        @Most(40) @Nullable String by)
        implements Stamped<Start> {

    public Start {
        Require.id("a start", id);
        Require.present("the class of this start", classId);
        Require.present("the block of this start", blockId);
        Require.present("the position of this start", position);
    }

    /** The same start, as the house writes down who counted it and when. */
    @Override
    public Start stamped(@Nullable Instant when, @Nullable String account) {
        return new Start(id, classId, blockId, position, escaped, when, account);
    }
}

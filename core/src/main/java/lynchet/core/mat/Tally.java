package lynchet.core.mat;

import java.time.Instant;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Stamped;
import org.jspecify.annotations.Nullable;

/**
 * A fault was seen somewhere in the room; nobody is named.
 *
 * @param at when it was ticked
 * @param by account of the person who ticked it
 */
public record Tally(
        String id,
        String classId,
        String technique,
        String fault,
        @Nullable Instant at,
        @Most(40) @Nullable String by) implements Stamped<Tally> {

    public Tally {
        Require.id("a tally", id);
        Require.present("the class of this tally", classId);
        Require.present("the technique of this tally", technique);
        Require.present("the fault of this tally", fault);
    }

    /** The same tally, as the house writes down who ticked it and when. */
    @Override
    public Tally stamped(@Nullable Instant when, @Nullable String account) {
        return new Tally(id, classId, technique, fault, when, account);
    }

    /** The same tally about another technique, with the fault as that one names it. */
    public Tally about(String otherTechnique, String otherFault) {
        return new Tally(id, classId, otherTechnique, otherFault, at, by);
    }
}

package lynchet.server.edit;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One edit as somebody remembers it.
 *
 * @param things the first of what it changed
 * @param more how many more it changed
 * @param undoneBy the edit that took it back
 */
record Done(
        String edit,
        Instant at,
        String who,
        List<Thing> things,
        int more,
        @Nullable String undoneBy) {

    /** What an edit did to a thing. */
    enum What {
        ADDED,
        CHANGED,
        RETIRED,
        REMOVED
    }

    /**
     * One thing it changed.
     *
     * @param kind what the journal calls it
     * @param spoken what it is, as a coach says it, such as "the class of Juniors"
     * @param day the day it is about
     */
    record Thing(
            String kind,
            String id,
            What what,
            String spoken,
            @Nullable String day) {}
}

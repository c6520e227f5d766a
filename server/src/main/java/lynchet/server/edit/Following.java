package lynchet.server.edit;

import java.util.Map;
import java.util.TreeMap;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.server.keep.Change;

/** Counts what differs between two states of a club, kind by kind. */
final class Following {

    private Following() {}

    /** How many things of each kind are different; kinds without any are left out. */
    static Map<String, Integer> between(Club before, Club after) {
        Map<String, Integer> changed = new TreeMap<>();
        Parts.ALL.forEach(part -> {
            int count = count(part, before, after);
            if (count > 0) {
                changed.put(part.one(), count);
            }
        });
        return changed;
    }

    private static <T> int count(Part<T> part, Club before, Club after) {
        return Change.between(part, before.all(part), after.all(part)).size();
    }
}

package lynchet.server.keep;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.club.Part;

/**
 * One thing as it was and as it will be.
 *
 * @param before null: it is new
 * @param after null: it goes
 */
public record Change<T>(String id, T before, T after) {

    /** What differs between two states of the things of one part, in the order of the new one, what goes last. */
    public static <T> List<Change<T>> between(Part<T> part, List<T> before, List<T> after) {
        Map<String, T> was = new LinkedHashMap<>();
        before.forEach(thing -> was.put(part.idOf(thing), thing));
        List<Change<T>> changes = new ArrayList<>();
        for (T thing : after) {
            T old = was.remove(part.idOf(thing));
            if (!thing.equals(old)) {
                changes.add(new Change<>(part.idOf(thing), old, thing));
            }
        }
        was.forEach((id, thing) -> changes.add(new Change<>(id, thing, null)));
        return changes;
    }
}

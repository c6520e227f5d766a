package lynchet.server.edit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import lynchet.core.club.Club;

/** Counts what differs between two states of a club, kind by kind. */
final class Following implements Club.Change {

    private final Map<String, Map<String, Object>> before = new HashMap<>();
    private final Map<String, Integer> changed = new TreeMap<>();

    private Following() {}

    /** How many things of each kind are different; kinds without any are left out. */
    static Map<String, Integer> between(Club before, Club after) {
        Following following = new Following();
        before.with(following);
        after.with(following);
        return following.changed;
    }

    @Override
    public <T> List<T> of(String part, Class<T> type, List<T> things, Function<T, String> id) {
        Map<String, Object> all = new HashMap<>();
        things.forEach(thing -> all.put(id.apply(thing), thing));
        Map<String, Object> was = before.putIfAbsent(part, all);
        if (was != null) {
            int count = (int) all.entrySet().stream()
                    .filter(entry -> !entry.getValue().equals(was.get(entry.getKey())))
                    .count();
            if (count > 0) {
                changed.put(part, count);
            }
        }
        return things;
    }
}

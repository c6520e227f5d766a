package lynchet.core.club;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lynchet.core.rule.Breach;

/**
 * A club with another one taken in (design: open format, merge): what is taught comes from the incoming one where both
 * have it; people and records are added by id, and one that differs under the same id is a breach. It is done part by part
 * and a handful at a time, so that neither club has to be held.
 */
public final class ClubMerge {

    /** How many things of one part are new, different and the same. */
    public record Count(String part, int added, int changed, int same) {
        private Count and(int more, int different, int equal) {
            return new Count(part, added + more, changed + different, same + equal);
        }
    }

    /**
     * What came of it.
     *
     * @param club the merged club; only to be kept when there are no breaches
     * @param breaches records that differ, and whatever does not hold together afterwards
     */
    public record Merged(Club club, List<Count> counts, List<Breach> breaches) {
        public boolean changesNothing() {
            return counts.stream().allMatch(count -> count.added() + count.changed() == 0);
        }
    }

    private final Map<String, Count> counts = new LinkedHashMap<>();
    private final List<Breach> breaches = new ArrayList<>();

    /** {@code incoming} taken into {@code mine}, which keeps its name; for clubs that are small enough to be held. */
    public static Merged of(Club mine, Club incoming) {
        ClubMerge merge = new ClubMerge();
        Club club = mine;
        for (Part<?> part : Parts.ALL) {
            club = merge.whole(part, club, incoming);
        }
        if (merge.breaches.isEmpty()) {
            merge.breaches.addAll(ClubCheck.check(club));
        }
        return new Merged(club, merge.counts(), merge.breaches());
    }

    private <T> Club whole(Part<T> part, Club mine, Club incoming) {
        Map<String, T> all = new LinkedHashMap<>();
        mine.all(part).forEach(thing -> all.put(part.idOf(thing), thing));
        for (T thing : take(part, 0, incoming.all(part), all)) {
            all.put(part.idOf(thing), thing);
        }
        return mine.with(part, List.copyOf(all.values()));
    }

    /**
     * Takes some things of a part in.
     *
     * @param first place of the first of them in its archive
     * @param mine what is kept under the same ids, by id
     * @return those that are to be written: new ones, and of what is taught the changed ones
     */
    public <T> List<T> take(Part<T> part, int first, List<T> incoming, Map<String, T> mine) {
        List<T> write = new ArrayList<>();
        Map<String, T> kept = new HashMap<>(mine);
        int added = 0;
        int changed = 0;
        for (int i = 0; i < incoming.size(); i++) {
            T thing = incoming.get(i);
            String id = part.idOf(thing);
            T before = kept.putIfAbsent(id, thing);
            if (before == null) {
                added++;
                write.add(thing);
            } else if (!before.equals(thing)) {
                changed++;
                if (part.isRecord()) {
                    breaches.add(new Breach(
                            "RECORD_DIFFERS",
                            "/" + part.name() + "/" + (first + i),
                            id,
                            id + " among the " + part.name() + " is not what is kept here under the same id"));
                } else {
                    write.add(thing);
                }
            }
        }
        counts.put(
                part.name(),
                counts.getOrDefault(part.name(), new Count(part.name(), 0, 0, 0))
                        .and(added, changed, incoming.size() - added - changed));
        return write;
    }

    public List<Count> counts() {
        return List.copyOf(counts.values());
    }

    public List<Breach> breaches() {
        return List.copyOf(breaches);
    }
}

package lynchet.starter.demo;

import java.util.Set;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;
import lynchet.core.rank.SyllabusGroup;

/**
 * Where the demo club goes its own, worse way, so that there is something to find: what its coaches forgot, what they ask
 * for on one side only, how its people are caught and what its room does wrong. The library itself has none of this.
 */
final class Holes {

    /** Gaps: items that its coaches left out of the ladder. */
    static final Set<String> FORGOTTEN = Set.of("white-front-fall", "orange-duck-out-of-headlock");

    /** Items that its coaches ask for on the right side only. */
    static final Set<String> ONE_SIDED = Set.of("yellow-body-drop");

    /** The leak: a shot without a set-up, the head caught, and choked from here by this. */
    static final String CAUGHT_AT = "front-choke-on";

    static final String CAUGHT_BY = "front-choke-from-front-choke-on";

    /** What half the room does wrong, and how. */
    static final String ROOM_TECHNIQUE = "hip-bump-sweep";

    static final String ROOM_FAULT = "fault-1";

    private Holes() {}

    /** The ladder as the demo's coaches changed it. */
    static Ladder in(Ladder ladder) {
        Ladder changed = ladder;
        for (Rank rank : ladder.ranks()) {
            changed = changed.withRank(rank.withSyllabus(rank.syllabus().stream()
                    .map(group -> new SyllabusGroup(
                            group.name(),
                            group.choose(),
                            group.items().stream()
                                    .filter(item -> !FORGOTTEN.contains(item.id()))
                                    .map(Holes::asAsked)
                                    .toList()))
                    .filter(group -> !group.items().isEmpty())
                    .toList()));
        }
        return changed;
    }

    private static Item asAsked(Item item) {
        return ONE_SIDED.contains(item.id()) ? item.on(Sides.RIGHT) : item;
    }
}

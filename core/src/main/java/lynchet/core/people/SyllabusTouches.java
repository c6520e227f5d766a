package lynchet.core.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import lynchet.core.mat.Role;
import lynchet.core.rank.Item;
import lynchet.core.rank.Rank;
import lynchet.core.rank.Sides;

/**
 * Whom a change of what a rank asks gives or takes something that is missing. What of a choice is not needed any more is not
 * missing.
 *
 * @param item what it is about: as it is asked now, or as it was asked where it goes
 * @param gives whether it is missing now and was not before; else it was and is not
 * @param students ids of whom it touches, in their order
 */
public record SyllabusTouches(Item item, boolean gives, List<String> students) {

    /** The same item is the same subject, kind, side and role. */
    private record Same(Item.Kind kind, String subject, Sides sides, Role role) {
        static Same of(Item item) {
            return new Same(item.kind(), item.subject(), item.sides(), item.role());
        }
    }

    /**
     * What a change does to those who wear the rank.
     *
     * @param wearers by id, in the order in which they are named
     * @return what is asked now in its order, then what goes
     */
    public static List<SyllabusTouches> of(Rank before, Rank after, Map<String, Progress> wearers, LocalDate today) {
        Map<Same, Item> items = new LinkedHashMap<>();
        after.items().forEach(item -> items.putIfAbsent(Same.of(item), item));
        before.items().forEach(item -> items.putIfAbsent(Same.of(item), item));
        Map<Same, List<String>> gives = new LinkedHashMap<>();
        Map<Same, List<String>> takes = new LinkedHashMap<>();
        wearers.forEach((student, progress) -> {
            Set<Same> was = missing(before, progress, today);
            Set<Same> is = missing(after, progress, today);
            is.stream().filter(one -> !was.contains(one)).forEach(one -> note(gives, one, student));
            was.stream().filter(one -> !is.contains(one)).forEach(one -> note(takes, one, student));
        });
        List<SyllabusTouches> touches = new ArrayList<>();
        items.forEach((same, item) -> {
            if (gives.containsKey(same)) {
                touches.add(new SyllabusTouches(item, true, gives.get(same)));
            }
            if (takes.containsKey(same)) {
                touches.add(new SyllabusTouches(item, false, takes.get(same)));
            }
        });
        return touches;
    }

    private static void note(Map<Same, List<String>> all, Same one, String student) {
        all.computeIfAbsent(one, key -> new ArrayList<>()).add(student);
    }

    private static Set<Same> missing(Rank rank, Progress progress, LocalDate today) {
        Set<Same> missing = new java.util.HashSet<>();
        for (Progress.GroupProgress group : progress.of(rank, today)) {
            if (!group.allMet()) {
                group.items().stream().filter(item -> !item.met()).forEach(item -> missing.add(Same.of(item.item())));
            }
        }
        return missing;
    }

    /** Everybody whom one of these touches. */
    public static Set<String> everybody(List<SyllabusTouches> touches) {
        Set<String> all = new TreeSet<>();
        touches.forEach(touch -> all.addAll(touch.students()));
        return all;
    }
}

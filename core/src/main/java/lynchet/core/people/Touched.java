package lynchet.core.people;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lynchet.core.map.GrapplingMap;
import lynchet.core.rank.Rank;

/**
 * Whom it touches that a rank asks for something else: no mark or belt of the past changes, but what is still missing does.
 *
 * @param wear how many wear the rank
 * @param lackMore ids of those who then lack something that they do not lack now, in order
 * @param lackLess ids of those who then no longer lack something, in order
 */
public record Touched(int wear, List<String> lackMore, List<String> lackLess) {

    /**
     * @param wearers how each stands who wears the rank, by id
     * @param map the map that has what both ask for
     */
    public static Touched by(
            Rank before, Rank after, Map<String, StudentState> wearers, GrapplingMap map, LocalDate today) {
        List<String> more = new ArrayList<>();
        List<String> less = new ArrayList<>();
        new TreeMap<>(wearers).forEach((id, state) -> {
            Progress progress = new Progress(state, map);
            Lacking was = Lacking.of(progress.of(before, today), before);
            Lacking is = Lacking.of(progress.of(after, today), after);
            if (is.hasMoreThan(was)) {
                more.add(id);
            }
            if (was.hasMoreThan(is)) {
                less.add(id);
            }
        });
        return new Touched(wearers.size(), more, less);
    }

    /** What must be met and is not, and how many are to be chosen yet. */
    private record Lacking(Set<String> musts, int choices) {

        static Lacking of(List<Progress.GroupProgress> groups, Rank rank) {
            Set<String> musts = new HashSet<>();
            int choices = 0;
            for (int i = 0; i < groups.size(); i++) {
                Progress.GroupProgress group = groups.get(i);
                if (rank.syllabus().get(i).choosesSome()) {
                    choices += Math.max(0, group.needed() - group.met());
                } else {
                    musts.addAll(group.items().stream()
                            .filter(item -> !item.met())
                            .map(one -> one.item().kind() + " " + one.subject() + " "
                                    + one.item().role())
                            .collect(Collectors.toSet()));
                }
            }
            return new Lacking(musts, choices);
        }

        boolean hasMoreThan(Lacking other) {
            boolean hasMoreToChoose = choices > other.choices && all() > other.all();
            return hasMoreToChoose || !other.musts.containsAll(musts);
        }

        private int all() {
            return musts.size() + choices;
        }
    }
}

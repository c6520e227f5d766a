package lynchet.core.walk;

import java.util.Set;
import java.util.TreeSet;
import lynchet.core.card.Jacket;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.PositionPair;
import lynchet.core.map.Ruleset;

/**
 * What is left of the map under a ruleset, or with or without a jacket.
 *
 * @param positions ids where a bout may start, or to or from which something legal leads, and that the jacket fits
 * @param techniques ids of what may be done
 */
public record Legal(Set<String> positions, Set<String> techniques) {

    /** What a ruleset leaves. */
    public static Legal under(GrapplingMap map, Ruleset ruleset) {
        Set<String> techniques = new TreeSet<>();
        map.techniques().stream().filter(t -> !t.retired() && ruleset.allows(t)).forEach(t -> techniques.add(t.id()));
        return of(map, techniques, ruleset.jacket(), Set.copyOf(ruleset.entries()));
    }

    /** What there is with a jacket, without one, or in either case. */
    public static Legal wearing(GrapplingMap map, Jacket jacket) {
        Set<String> techniques = new TreeSet<>();
        map.techniques().stream()
                .filter(t -> !t.retired() && t.jacket().fits(jacket))
                .forEach(t -> techniques.add(t.id()));
        return of(map, techniques, jacket, Set.of());
    }

    private static Legal of(GrapplingMap map, Set<String> techniques, Jacket jacket, Set<String> entries) {
        Set<String> touched = new TreeSet<>(entries);
        for (Link link : map.links()) {
            if (!link.retired() && techniques.contains(link.technique())) {
                touched.add(link.from());
                if (!link.endsInTap()) {
                    touched.add(link.to());
                }
            }
        }
        Set<String> positions = new TreeSet<>();
        for (PositionPair pair : map.data().pairs()) {
            boolean fits = pair.positions().stream()
                    .allMatch(p -> !p.retired() && p.jacket().fits(jacket));
            if (fits && pair.positions().stream().anyMatch(p -> touched.contains(p.id()))) {
                pair.positions().forEach(p -> positions.add(p.id()));
            }
        }
        return new Legal(positions, techniques);
    }
}

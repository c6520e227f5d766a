package lynchet.core.rank;

import java.util.EnumMap;
import java.util.Map;
import lynchet.core.card.Family;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Stage;

/**
 * The mix of what is taught up to and with a rank. What is done alone is left out.
 *
 * @param families how many techniques of each family; those without any are left out
 * @param standing share of the techniques that mostly start on the feet, 0 to 1; 0 when there are none
 */
public record Balance(Map<Family, Integer> families, double standing) {

    /** How far from what the club wants the share may be. */
    static final double NEAR = 0.15;

    /** The mix at a rank. */
    public static Balance of(Ladder ladder, String rankId, GrapplingMap map) {
        Map<Family, Integer> families = new EnumMap<>(Family.class);
        int all = 0;
        int standing = 0;
        for (String id : ladder.knownBy(rankId, map)) {
            Technique technique = map.technique(id).orElseThrow();
            if (!technique.family().isSolo()) {
                all++;
                families.merge(technique.family(), 1, Integer::sum);
                standing += isStanding(id, map) ? 1 : 0;
            }
        }
        return new Balance(Map.copyOf(families), all == 0 ? 0 : (double) standing / all);
    }

    private static boolean isStanding(String technique, GrapplingMap map) {
        long all = map.links().stream()
                .filter(link -> !link.retired() && link.technique().equals(technique))
                .count();
        long up = map.links().stream()
                .filter(link -> !link.retired() && link.technique().equals(technique))
                .filter(link -> map.stageOf(link.from()).compareTo(Stage.GRIPPED) <= 0)
                .count();
        return 2 * up > all;
    }
}

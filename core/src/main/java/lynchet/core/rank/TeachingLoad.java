package lynchet.core.rank;

import java.util.Map;
import lynchet.core.chain.Chain;
import lynchet.core.chain.TeachingMinutes;
import lynchet.core.map.GrapplingMap;

/** How much of a rank's time its syllabus takes; what ranks below have taught is not counted again. */
public final class TeachingLoad {

    /** Share above which it is heavy, and above which it is too much. */
    public static final double HEAVY = 0.85;

    public static final double TOO_MUCH = 1.1;

    private TeachingLoad() {}

    /** Minutes needed and available. */
    public record Load(double needed, double available) {
        public double share() {
            return available == 0 ? 0 : needed / available;
        }
    }

    /** @param chains the club's chains by id */
    public static Load of(Ladder ladder, Rank rank, GrapplingMap map, Map<String, Chain> chains) {
        TeachingMinutes minutes = new TeachingMinutes(map);
        double needed = 0;
        for (Rank each : ladder.ranks().subList(0, ladder.indexOf(rank.id()) + 1)) {
            needed = each.items()
                    .mapToDouble(item -> minutes(item, minutes, map, chains))
                    .sum();
        }
        return new Load(needed, available(ladder.policy(), rank));
    }

    private static double minutes(Item item, TeachingMinutes minutes, GrapplingMap map, Map<String, Chain> chains) {
        boolean both = item.sides() == Sides.BOTH;
        if (item.kind() == Item.Kind.CHAIN) {
            Chain chain = chains.get(item.ref());
            return chain == null ? 0 : minutes.of(chain, item.standard(), both);
        }
        return Ladder.techniqueOf(item, map)
                .flatMap(map::technique)
                .map(technique -> minutes.of(technique, item.standard(), both))
                .orElse(0.0);
    }

    private static double available(Policy policy, Rank rank) {
        if (policy.stripes() == Policy.Stripes.BY_CLASSES) {
            return (double) policy.classesForRank(rank) * policy.techniqueMinutes();
        }
        return rank.minWeeks() * policy.classesAWeek() * policy.techniqueMinutes() * policy.attendanceShare();
    }
}

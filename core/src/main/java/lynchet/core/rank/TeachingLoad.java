package lynchet.core.rank;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import lynchet.core.chain.Chain;
import lynchet.core.chain.TeachingMinutes;
import lynchet.core.map.GrapplingMap;

/**
 * How much of a rank's time its syllabus takes; what ranks below have taught is not counted again. Where n of several items
 * are chosen, the n that take least are counted, so it is at least that much. Worked: two of ten throws at 46 minutes each: 92.
 */
public final class TeachingLoad {

    /** Share above which it is heavy, and above which it is too much. */
    public static final double HEAVY = 0.85;

    public static final double TOO_MUCH = 1.1;

    private final TeachingMinutes minutes;
    private final GrapplingMap map;
    private final Map<String, Chain> chains;

    private TeachingLoad(GrapplingMap map, Map<String, Chain> chains) {
        this.minutes = new TeachingMinutes(map);
        this.map = map;
        this.chains = chains;
    }

    /**
     * Minutes needed and available.
     *
     * @param atLeast whether some of it is chosen, so that it may be more
     */
    public record Load(double needed, double available, boolean atLeast) {

        /** Needed of what there is, 0 or more; infinite where something is needed and there is no time. */
        public double share() {
            return needed == 0 ? 0 : needed / available;
        }
    }

    /** @param chains the club's chains by id */
    public static Load of(Ladder ladder, Rank rank, GrapplingMap map, Map<String, Chain> chains) {
        TeachingLoad load = new TeachingLoad(map, chains);
        double needed = 0;
        for (Rank each : ladder.ranks().subList(0, ladder.indexOf(rank.id()) + 1)) {
            needed = load.of(each);
        }
        return new Load(
                needed,
                available(ladder.policy(), rank),
                rank.syllabus().stream().anyMatch(SyllabusGroup::choosesSome));
    }

    /** What has to be taught stands first: what is chosen may share some of it. */
    private double of(Rank rank) {
        double all = rank.syllabus().stream()
                .filter(group -> !group.choosesSome())
                .flatMap(group -> group.items().stream())
                .mapToDouble(item -> minutes(item, minutes))
                .sum();
        return all
                + rank.syllabus().stream()
                        .filter(SyllabusGroup::choosesSome)
                        .mapToDouble(this::cheapest)
                        .sum();
    }

    private double cheapest(SyllabusGroup group) {
        List<Item> left = new ArrayList<>(group.items());
        double sum = 0;
        for (int n = 0; n < group.needed(); n++) {
            Item least = Collections.min(left, Comparator.comparingDouble(item -> minutes(item, minutes.copy())));
            left.remove(least);
            sum += minutes(least, minutes);
        }
        return sum;
    }

    private double minutes(Item item, TeachingMinutes counted) {
        boolean both = item.sides() == Sides.BOTH;
        if (item.kind() == Item.Kind.CHAIN) {
            Chain chain = chains.get(item.ref());
            return chain == null ? 0 : counted.of(chain, item.standard(), both);
        }
        return Ladder.techniqueOf(item, map)
                .flatMap(map::technique)
                .map(technique -> counted.of(technique, item.standard(), both))
                .orElse(0.0);
    }

    private static double available(Policy policy, Rank rank) {
        if (policy.stripes() == Policy.Stripes.BY_CLASSES) {
            return (double) policy.classesForRank(rank) * policy.techniqueMinutes();
        }
        return rank.minWeeks() * policy.classesAWeek() * policy.techniqueMinutes() * policy.attendanceShare();
    }
}

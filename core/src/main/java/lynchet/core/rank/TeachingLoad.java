package lynchet.core.rank;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Technique;
import lynchet.core.mat.Standard;

/**
 * How much of a rank's time its syllabus takes.
 *
 * <p>Minutes of an item = introduction by {@code learn} (8, 12, 16, 20, 25) + 6 for both sides + practice by standard
 * (0, 15, 30, 45, 60) · (0.7 + 0.1·{@code master}); a technique counts once.
 */
public final class TeachingLoad {

    private static final int[] INTRODUCTION = {8, 12, 16, 20, 25};
    private static final int[] PRACTICE = {0, 15, 30, 45, 60};
    private static final int BOTH_SIDES = 6;

    private TeachingLoad() {}

    /** Minutes needed and available; above a share of 0.85 it is heavy, above 1.1 too much. */
    public record Load(double needed, double available) {
        public double share() {
            return available == 0 ? 0 : needed / available;
        }
    }

    public static Load of(Ladder ladder, Rank rank, GrapplingMap map) {
        Set<String> counted = new HashSet<>();
        double needed = 0;
        List<Item> items = rank.items().toList();
        for (Item item : items) {
            Optional<Technique> technique = Ladder.techniqueOf(item, map).flatMap(map::technique);
            if (technique.isPresent() && counted.add(technique.get().id())) {
                needed += minutes(technique.get(), item.standard(), item.sides() == Sides.BOTH);
            }
        }
        return new Load(needed, available(ladder.policy(), rank));
    }

    static double minutes(Technique technique, Standard standard, boolean bothSides) {
        return INTRODUCTION[technique.learn() - 1]
                + (bothSides ? BOTH_SIDES : 0)
                + PRACTICE[standard.ordinal()] * (0.7 + 0.1 * technique.master());
    }

    private static double available(Policy policy, Rank rank) {
        if (policy.stripes() == Policy.Stripes.BY_CLASSES) {
            return (double) policy.classesForRank(rank) * policy.techniqueMinutes();
        }
        return rank.minWeeks() * policy.classesAWeek() * policy.techniqueMinutes() * policy.attendanceShare();
    }
}

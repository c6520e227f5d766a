package lynchet.core.chain;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.mat.Standard;

/**
 * Minutes of teaching (design: time), counted on over one item after the other: what an earlier one had is not counted
 * again.
 *
 * <p>Introduction by {@code learn} (8, 12, 16, 20, 25) + 6 for both sides + 6 for each turn-off of a chain + practice by
 * standard (0, 15, 30, 45, 60) · (0.7 + 0.1·{@code master}). Worked: learn 3, master 3, both sides, SHOWN: 16 + 6 + 30 =
 * 52; asked for again, MOVING: 15 more.
 */
public final class TeachingMinutes {

    private static final int[] INTRODUCTION = {8, 12, 16, 20, 25};
    private static final int[] PRACTICE = {0, 15, 30, 45, 60};
    private static final int BOTH_SIDES = 6;
    private static final int TURN_OFF = 6;

    private final GrapplingMap map;
    private final Set<String> introduced = new HashSet<>();
    private final Set<String> onBothSides = new HashSet<>();
    private final Set<String> turnedOff = new HashSet<>();
    private final Map<String, Double> practised = new HashMap<>();

    public TeachingMinutes(GrapplingMap map) {
        this.map = map;
    }

    /** As much counted as in this one; counting on in either leaves the other alone. */
    public TeachingMinutes copy() {
        TeachingMinutes copy = new TeachingMinutes(map);
        copy.introduced.addAll(introduced);
        copy.onBothSides.addAll(onBothSides);
        copy.turnedOff.addAll(turnedOff);
        copy.practised.putAll(practised);
        return copy;
    }

    /** Minutes to introduce a chain to somebody who knows none of it. */
    static double toIntroduce(Chain chain, GrapplingMap map) {
        return new TeachingMinutes(map).of(chain, Standard.INTRODUCED, false);
    }

    /** Minutes of a technique that are not counted yet. */
    public double of(Technique technique, Standard standard, boolean bothSides) {
        return introduced(technique)
                + (bothSides && onBothSides.add(technique.id()) ? BOTH_SIDES : 0)
                + practice(technique.id(), technique.master(), standard);
    }

    /** Minutes of a chain that are not counted yet: what is new in it, and practice of the whole by its hardest part. */
    public double of(Chain chain, Standard standard, boolean bothSides) {
        Set<Technique> techniques = new HashSet<>();
        double minutes = chain.first() == null ? 0 : walk(chain.first(), techniques);
        minutes += techniques.stream().mapToDouble(this::introduced).sum();
        minutes += bothSides && onBothSides.add(chain.id()) ? BOTH_SIDES : 0;
        int hardest = techniques.stream().mapToInt(Technique::master).max().orElse(1);
        return minutes + practice(chain.id(), hardest, standard);
    }

    private double walk(ChainStep step, Set<Technique> techniques) {
        map.link(step.link()).map(Link::technique).flatMap(map::technique).ifPresent(techniques::add);
        double minutes = 0;
        for (Turn turn : step.next()) {
            boolean isNew = turn.reaction() != null
                    && turnedOff.add(turn.reaction() + " " + turn.step().link());
            minutes += (isNew ? TURN_OFF : 0) + walk(turn.step(), techniques);
        }
        return minutes;
    }

    private double introduced(Technique technique) {
        return introduced.add(technique.id()) ? INTRODUCTION[technique.learn() - 1] : 0;
    }

    private double practice(String what, int master, Standard standard) {
        double needed = PRACTICE[standard.ordinal()] * (0.7 + 0.1 * master);
        double more = Math.max(0, needed - practised.getOrDefault(what, 0.0));
        practised.merge(what, needed, Math::max);
        return more;
    }
}

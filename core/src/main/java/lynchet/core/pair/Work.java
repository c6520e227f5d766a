package lynchet.core.pair;

import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Block;
import lynchet.core.mat.Leads;
import lynchet.core.people.Restriction;

/**
 * What a block asks of two people.
 *
 * @param throwing whether somebody is thrown or taken down
 * @param live whether both try
 * @param closes limits with which this is not done to somebody, as the hazards of its techniques say
 * @param falls breakfalls that the receiver needs
 * @param hardFalls those of them that are needed on the move or live, where a coach here must have seen them
 * @param leads how their stances are to meet
 * @param drills whether some of it is drilled, so that somebody who does not go live has a part in it
 * @param grounds whether in some of it nobody is thrown, so that those who may not be thrown have a part in it
 */
public record Work(
        boolean throwing,
        boolean live,
        Set<Restriction.Kind> closes,
        Set<String> falls,
        Set<String> hardFalls,
        Leads leads,
        boolean drills,
        boolean grounds) {

    /** One block: drilled, or live. */
    public Work(boolean throwing, boolean live, Set<Restriction.Kind> closes, Set<String> falls, Leads leads) {
        this(throwing, live, closes, falls, live ? falls : Set.of(), leads, !live, !throwing);
    }

    /** Nothing that asks for care: movement and groundwork on each other's terms. */
    public static final Work EASY = new Work(false, false, Set.of(), Set.of(), Leads.ANY);

    private static final int FULL = 3;
    /** From this resistance on one does not only go along. */
    private static final int MOVING = 2;

    /** Whether a block is done in pairs. */
    public static boolean pairs(Block block) {
        return switch (block.kind()) {
            case WARM_UP, BREAKFALLS, EXPLAIN, COOL_DOWN -> false;
            case PART_DRILL, WHOLE_DRILL, TIMED_ROUNDS, POSITIONAL_ROUNDS, FREE_ROUNDS -> true;
        };
    }

    /** What one block asks. */
    public static Work of(Block block, GrapplingMap map) {
        if (!pairs(block)) {
            return EASY;
        }
        boolean isLive = block.kind() == Block.Kind.FREE_ROUNDS
                || block.kind() == Block.Kind.POSITIONAL_ROUNDS
                || (block.dose() != null && block.dose().resistance() == FULL);
        Technique technique = block.technique() == null
                ? null
                : map.technique(block.technique()).orElse(null);
        if (technique == null) {
            return new Work(false, isLive, Set.of(), Set.of(), block.leads());
        }
        boolean isHard = isLive || (block.dose() != null && block.dose().resistance() >= MOVING);
        return drilling(technique, isLive, isHard, block.leads());
    }

    /** What drilling some techniques asks, one after the other. */
    public static Work drilling(Collection<Technique> techniques) {
        return techniques.stream()
                .map(technique -> drilling(technique, false, false, Leads.ANY))
                .reduce(Work::and)
                .orElse(EASY);
    }

    private static Work drilling(Technique technique, boolean isLive, boolean isHard, Leads leads) {
        return new Work(
                !isOnGround(technique),
                isLive,
                closedBy(technique),
                Set.copyOf(technique.receiverFalls()),
                isHard ? Set.copyOf(technique.receiverFalls()) : Set.of(),
                leads,
                !isLive,
                isOnGround(technique));
    }

    private static boolean isOnGround(Technique technique) {
        return !technique.family().bringsDown() && technique.receiverFalls().isEmpty();
    }

    private static Set<Restriction.Kind> closedBy(Technique technique) {
        return Arrays.stream(Restriction.Kind.values())
                .filter(kind -> !Collections.disjoint(kind.hazards(), technique.hazards()))
                .collect(Collectors.toSet());
    }

    /** What a whole evening asks: all that one of its blocks asks. */
    public static Work of(List<Block> blocks, GrapplingMap map) {
        return blocks.stream()
                .filter(Work::pairs)
                .map(block -> of(block, map))
                .reduce(Work::and)
                .orElse(EASY);
    }

    private Work and(Work other) {
        return new Work(
                throwing || other.throwing,
                live || other.live,
                both(closes, other.closes),
                both(falls, other.falls),
                both(hardFalls, other.hardFalls),
                leads == Leads.ANY ? other.leads : leads,
                drills || other.drills,
                grounds || other.grounds);
    }

    private static <T extends Comparable<T>> Set<T> both(Set<T> one, Set<T> other) {
        Set<T> both = new TreeSet<>(one);
        both.addAll(other);
        return both;
    }
}

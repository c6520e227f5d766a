package lynchet.core.term.plan;

import ai.timefold.solver.core.api.score.buildin.hardmediumsoft.HardMediumSoftScore;
import ai.timefold.solver.core.api.score.stream.ConstraintProvider;
import ai.timefold.solver.core.api.solver.SolverFactory;
import ai.timefold.solver.core.config.constructionheuristic.ConstructionHeuristicPhaseConfig;
import ai.timefold.solver.core.config.constructionheuristic.ConstructionHeuristicType;
import ai.timefold.solver.core.config.localsearch.LocalSearchPhaseConfig;
import ai.timefold.solver.core.config.localsearch.LocalSearchType;
import ai.timefold.solver.core.config.solver.EnvironmentMode;
import ai.timefold.solver.core.config.solver.SolverConfig;
import ai.timefold.solver.core.config.solver.termination.TerminationConfig;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Plans a term: which items are met in which class. One thread, fixed seeds, a limit of looks and none of time: the same
 * question has the same answer.
 */
public final class Planner {

    private static final int TRIES = 10;
    private static final int SLICES = 6;
    private static final int LOOKS = 30_000;
    private static final int FEW_LOOKS = 6_000;

    /** Slices for what is only mended. */
    private static final int MENDING = 3;

    private static final String NOTHING_OWED = "0hard/0medium/-1000000soft";

    /** Looks on while it is planned. */
    @FunctionalInterface
    public interface Watch {

        /** Nobody watches. */
        Watch NOBODY = (best, slice, of) -> {};

        /**
         * Told of the best so far; whatever it throws ends the planning.
         *
         * @param slice how many of the {@code of} slices of work are done
         */
        void best(Placing best, int slice, int of);
    }

    /**
     * Where items stand.
     *
     * @param at by item, places of the classes it is met in; an item that stands nowhere is missing
     * @param owed {@link PlanningTask#owed how many meetings} of what must be there found no place; 0: the plan holds
     */
    public record Placing(Map<String, SortedSet<Integer>> at, int owed) {

        /** Items as they stand, with what is owed then. */
        public static Placing of(PlanningTask asked, Map<String, SortedSet<Integer>> at) {
            return new Placing(at, asked.owed(at));
        }

        public Placing {
            Map<String, SortedSet<Integer>> sorted = new TreeMap<>(at);
            at = java.util.Collections.unmodifiableMap(sorted);
        }

        /** Places of the classes in which an item is met. */
        public SortedSet<Integer> of(String item) {
            return at.getOrDefault(item, new TreeSet<>());
        }
    }

    private Planner() {}

    /** Plans what is asked; a rule that cannot be kept leaves something owed, never a rule broken. */
    public static Placing plan(PlanningTask asked, Watch watch) {
        return plan(asked, watch, SLICES);
    }

    /** A plan that keeps every rule, found in one look; wishes may be left open. */
    public static Placing quickly(PlanningTask asked) {
        Placing found = placing(
                asked, bettered(asked, needed(asked, Watch.NOBODY, FEW_LOOKS), Set.of(), Watch.NOBODY, 1, FEW_LOOKS));
        return FillFreeMinutes.used(asked, found, lesson -> true);
    }

    static Placing plan(PlanningTask asked, Watch watch, int slices) {
        if (!asked.was().isEmpty()) {
            Placing was = Placing.of(asked, asked.was());
            Set<String> still = untouched(asked);
            boolean isAnyTouched = still.size() < asked.items().size();
            for (Set<String> left :
                    isAnyTouched && !still.isEmpty() ? List.of(still, Set.<String>of()) : List.of(Set.<String>of())) {
                Timetable mended = bettered(asked, was, left, watch, Math.min(MENDING, slices), LOOKS);
                if (isWhole(mended)) {
                    Placing found = placing(asked, mended);
                    return FillFreeMinutes.used(asked, found, lesson -> isChanged(asked, found, lesson));
                }
            }
        }
        Placing found = placing(asked, bettered(asked, needed(asked, watch, LOOKS), Set.of(), watch, slices, LOOKS));
        return FillFreeMinutes.used(asked, found, lesson -> true);
    }

    /** Items that lost nothing and owe nothing, nor build on one that did: a replan tries to leave them alone. */
    private static Set<String> untouched(PlanningTask asked) {
        Set<String> still = asked.items().stream()
                .filter(item -> isWhole(asked, item))
                .map(Item::id)
                .collect(Collectors.toSet());
        boolean grows = true;
        while (grows) {
            grows = asked.items().stream()
                    .filter(item -> item.fresh() && !still.containsAll(item.needs()))
                    .map(item -> still.remove(item.id()))
                    .reduce(false, (one, other) -> one || other);
        }
        return still;
    }

    private static boolean isWhole(PlanningTask asked, Item item) {
        SortedSet<Integer> was = asked.was().getOrDefault(item.id(), new TreeSet<>());
        SortedSet<Integer> stands = new TreeSet<>(asked.set().getOrDefault(item.id(), new TreeSet<>()));
        was.stream().filter(n -> asked.lessons().get(n).open()).forEach(stands::add);
        return stands.size() >= (item.must() ? Item.MEETINGS : 1) && stands.containsAll(was);
    }

    private static boolean isChanged(PlanningTask asked, Placing now, Lesson lesson) {
        return asked.items().stream()
                .anyMatch(item -> now.of(item.id()).contains(lesson.index())
                        != asked.was().getOrDefault(item.id(), new TreeSet<>()).contains(lesson.index()));
    }

    /** The best that is found from where a plan stands. */
    private static Timetable bettered(
            PlanningTask asked, Placing from, Set<String> still, Watch watch, int slices, int looks) {
        Timetable best = new Setting(asked, from, still, asked.meetings()).timetable(ordered(asked.items()));
        HardMediumSoftScore before = null;
        for (int slice = 0; slice < slices; slice++) {
            watch.best(placing(asked, best), TRIES + slice, TRIES + slices);
            best = solver(PlanRules.class, slice, looks, new TerminationConfig())
                    .solve(best);
            boolean isSettled = best.score().equals(before);
            before = best.score();
            if (isSettled) {
                break;
            }
        }
        return best;
    }

    /** Whether every rule is kept and nothing is owed. */
    private static boolean isWhole(Timetable timetable) {
        return timetable.score().hardScore() == 0 && timetable.score().mediumScore() == 0;
    }

    /**
     * Only what must be there, before anything else takes its room; in another order, and without a thought for where it stood,
     * where one leaves something owed.
     */
    private static Placing needed(PlanningTask asked, Watch watch, int looks) {
        int tries = Impossible.of(asked).isEmpty() ? TRIES : 2;
        Timetable best = null;
        for (int attempt = 0; attempt < tries && (best == null || !isWhole(best)); attempt++) {
            List<Item> order = ordered(asked.items());
            if (attempt > 0) {
                Collections.shuffle(order, new Random(attempt));
            }
            order.sort(Comparator.comparing(item -> !item.must()));
            Timetable found = solver(
                            PlanRules.Must.class,
                            attempt,
                            looks,
                            new TerminationConfig().withBestScoreLimit(NOTHING_OWED))
                    .solve(new Setting(attempt == 0 ? asked : asked.anew(), null, Set.of(), Item.MEETINGS)
                            .timetable(order));
            best = best == null || found.score().compareTo(best.score()) > 0 ? found : best;
            watch.best(placing(asked, best), attempt, TRIES + SLICES);
        }
        return placing(asked, best);
    }

    private static ai.timefold.solver.core.api.solver.Solver<Timetable> solver(
            Class<? extends ConstraintProvider> rules, int seed, int looks, TerminationConfig until) {
        return SolverFactory.<Timetable>create(new SolverConfig()
                        .withSolutionClass(Timetable.class)
                        .withEntityClasses(Meeting.class)
                        .withConstraintProviderClass(rules)
                        .withEnvironmentMode(EnvironmentMode.NO_ASSERT)
                        .withRandomSeed((long) seed)
                        .withPhases(
                                new ConstructionHeuristicPhaseConfig()
                                        .withConstructionHeuristicType(ConstructionHeuristicType.FIRST_FIT),
                                new LocalSearchPhaseConfig()
                                        .withLocalSearchType(LocalSearchType.LATE_ACCEPTANCE)
                                        .withTerminationConfig(until.withScoreCalculationCountLimit((long) looks))))
                .buildSolver();
    }

    /** What is needed by others first, what must be there before the rest, else by id. */
    private static List<Item> ordered(List<Item> items) {
        Map<String, Item> byId = new HashMap<>();
        items.forEach(item -> byId.put(item.id(), item));
        Map<String, Integer> depth = new HashMap<>();
        items.forEach(item -> depth(item, byId, depth));
        return items.stream()
                .sorted(Comparator.comparing((Item item) -> !item.must())
                        .thenComparing(item -> depth.get(item.id()))
                        .thenComparing(Item::id))
                .collect(Collectors.toCollection(ArrayList::new));
    }

    /** How many items have to come before it, one after the other; a cycle ends where it closes. */
    static int depth(Item item, Map<String, Item> byId, Map<String, Integer> known) {
        Integer already = known.get(item.id());
        if (already != null) {
            return already;
        }
        known.put(item.id(), 0);
        int deep = 0;
        for (String need : item.needs()) {
            Item other = byId.get(need);
            if (other != null && other.fresh()) {
                deep = Math.max(deep, 1 + depth(other, byId, known));
            }
        }
        known.put(item.id(), deep);
        return deep;
    }

    private static Placing placing(PlanningTask asked, Timetable timetable) {
        Map<String, SortedSet<Integer>> at = new TreeMap<>();
        for (Meeting meeting : timetable.meetings()) {
            @Nullable Lesson lesson = meeting.getLesson();
            if (lesson != null) {
                at.computeIfAbsent(meeting.item().id(), id -> new TreeSet<>()).add(lesson.index());
            }
        }
        return Placing.of(asked, at);
    }
}

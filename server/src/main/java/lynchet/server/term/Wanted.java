package lynchet.server.term;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import lynchet.core.club.Parts;
import lynchet.core.map.Stage;
import lynchet.core.mat.Role;
import lynchet.core.mat.Standard;
import lynchet.core.people.Fading;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.core.term.Teaching;
import lynchet.core.term.TermPlan;
import lynchet.server.club.Snapshot;
import org.jspecify.annotations.Nullable;

/**
 * What a track needs next: from the syllabuses of the ranks its people hold, by how many of them lack it and in how many it has
 * rusted.
 *
 * @param need how many lack it for what comes next
 * @param rusty how many have it and have lost most of it
 * @param ranks names of the ranks that ask for it
 */
record Wanted(
        @Nullable String technique,
        @Nullable String chain,
        String name,
        Stage stage,
        int need,
        int rusty,
        Set<String> ranks) {

    static List<Wanted> of(String track, Map<Student, StudentState> people, Snapshot now, LocalDate today) {
        Teaching teaching = now.teaching();
        List<Ladder> ladders = now.taught().all(Parts.LADDERS).stream()
                .filter(ladder -> ladder.tracks().isEmpty() || ladder.tracks().contains(track))
                .toList();
        Map<String, Counted> counted = new TreeMap<>();
        people.forEach((student, state) -> ladders.forEach(ladder -> state.heldOn(ladder.id())
                .map(HeldRank::rank)
                .flatMap(ladder::rank)
                .ifPresent(rank -> count(ladder, rank, state, today, counted))));
        return counted.values().stream()
                .filter(one -> one.need + one.rusty > 0)
                .sorted(Comparator.comparing((Counted one) -> -(2 * one.need + one.rusty))
                        .thenComparing(one -> one.goal.subject()))
                .map(one -> new Wanted(
                        one.goal.technique(),
                        one.goal.chain(),
                        teaching.name(one.goal),
                        teaching.stage(one.goal),
                        one.need,
                        one.rusty,
                        one.ranks))
                .toList();
    }

    private static void count(
            Ladder ladder, Rank rank, StudentState state, LocalDate today, Map<String, Counted> counted) {
        rank.items().forEach(item -> goal(item).ifPresent(goal -> {
            Counted one = counted.computeIfAbsent(goal.subject(), subject -> new Counted(goal));
            one.ranks.add(rank.name());
            Standard best = state.marks()
                    .best(goal.subject(), Role.PERFORMER, null, item.version())
                    .orElse(null);
            boolean isPassed = best != null && best.compareTo(item.standard()) >= 0;
            if (!isPassed) {
                one.need++;
            } else if (state.on(goal.subject(), null)
                    .filter(fading -> fading.stateOn(today) == Fading.State.RUSTY)
                    .isPresent()) {
                one.rusty++;
            }
        }));
    }

    private static Optional<TermPlan.Goal> goal(Item item) {
        return switch (item.kind()) {
            case TECHNIQUE ->
                item.role() == Role.PERFORMER
                        ? Optional.of(new TermPlan.Goal(item.ref(), null, true, null, false))
                        : Optional.empty();
            case CHAIN -> Optional.of(new TermPlan.Goal(null, item.ref(), true, null, false));
            case COUNTER, WORDS, FORM, POSITION_GOAL, LIVE_ROUNDS, HELPING_HOURS -> Optional.empty();
        };
    }

    private static final class Counted {
        private final TermPlan.Goal goal;
        private final Set<String> ranks = new TreeSet<>();
        private int need;
        private int rusty;

        Counted(TermPlan.Goal goal) {
            this.goal = goal;
        }
    }
}

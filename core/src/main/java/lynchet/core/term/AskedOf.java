package lynchet.core.term;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.mat.Role;
import lynchet.core.mat.Standard;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import org.jspecify.annotations.Nullable;

/**
 * What the ranks of somebody ask that can be taught: the techniques and chains of the rank they stand on and of those below.
 *
 * @param lines by subject; what their own rank asks and they have not passed is lacking
 */
public record AskedOf(Map<String, Line> lines) {

    /**
     * One of them.
     *
     * @param rank name of the highest rank that asks for it
     * @param lacks whether it stands between them and the next rank
     * @param from first day on which they have been in that rank long enough to leave it; null: they do not lack it
     */
    public record Line(
            TermPlan.Goal goal,
            String rank,
            boolean lacks,
            @Nullable LocalDate from) {}

    /**
     * @param ladders all of the club
     * @param track the track whose ladders count; the person who stands on none of them begins on the first that suits their age
     */
    public static AskedOf of(Student student, StudentState state, List<Ladder> ladders, String track, LocalDate day) {
        List<Ladder> counting = ladders.stream()
                .filter(ladder -> ladder.tracks().isEmpty() || ladder.tracks().contains(track))
                .sorted(Comparator.comparing(Ladder::id))
                .toList();
        Map<String, Line> lines = new LinkedHashMap<>();
        boolean stands =
                counting.stream().anyMatch(ladder -> state.heldOn(ladder.id()).isPresent());
        for (Ladder ladder : counting) {
            Optional<HeldRank> holds = state.heldOn(ladder.id());
            Optional<Rank> held = holds.map(HeldRank::rank).flatMap(ladder::rank);
            if (held.isPresent()) {
                add(lines, ladder, held.get(), holds.orElseThrow().since(), state);
            } else if (!stands && lines.isEmpty() && ladder.suits(student.ageOn(day))) {
                add(lines, ladder, ladder.ranks().get(0), student.joined(), state);
            }
        }
        return new AskedOf(lines);
    }

    private static void add(Map<String, Line> lines, Ladder ladder, Rank held, LocalDate since, StudentState state) {
        for (Rank rank : ladder.ranks()) {
            rank.items().forEach(item -> goal(item).ifPresent(goal -> {
                boolean lacks = rank.equals(held) && !isPassed(state, goal, item);
                LocalDate from = lacks ? since.plusWeeks(rank.minWeeks()) : null;
                lines.merge(
                        goal.subject(),
                        new Line(goal, rank.name(), lacks, from),
                        (one, other) -> new Line(
                                goal, other.rank(), one.lacks() || other.lacks(), earlier(one.from(), other.from())));
            }));
            if (rank.equals(held)) {
                return;
            }
        }
    }

    private static @Nullable LocalDate earlier(@Nullable LocalDate one, @Nullable LocalDate other) {
        return one == null || (other != null && other.isBefore(one)) ? other : one;
    }

    private static boolean isPassed(StudentState state, TermPlan.Goal goal, Item item) {
        return state.marks()
                .best(goal.subject(), Role.PERFORMER, null, item.version())
                .filter((Standard best) -> best.compareTo(item.standard()) >= 0)
                .isPresent();
    }

    /** What an item of a syllabus has taught; empty where it asks for no technique or chain to be done. */
    public static Optional<TermPlan.Goal> goal(Item item) {
        return switch (item.kind()) {
            case TECHNIQUE ->
                item.role() == Role.PERFORMER
                        ? Optional.of(new TermPlan.Goal(item.ref(), null, true, null, false))
                        : Optional.empty();
            case CHAIN -> Optional.of(new TermPlan.Goal(null, item.ref(), true, null, false));
            case COUNTER, WORDS, FORM, POSITION_GOAL, LIVE_ROUNDS, HELPING_HOURS -> Optional.empty();
        };
    }

    /** Subjects that stand between them and the next rank. */
    public Set<String> lacking() {
        return lines.values().stream()
                .filter(Line::lacks)
                .map(line -> line.goal().subject())
                .collect(Collectors.toSet());
    }
}

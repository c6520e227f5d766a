package lynchet.core.term;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import lynchet.core.card.Technique;
import lynchet.core.map.Stage;
import lynchet.core.mat.Track;
import lynchet.core.people.Fading;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import org.jspecify.annotations.Nullable;

/**
 * What a track needs next: from the syllabuses of the ranks its people hold, by how many of them lack it and in how many it has
 * rusted.
 *
 * @param need how many lack it for what comes next
 * @param soon how many of those will have been in their rank long enough by the next exam; all where none is planned
 * @param rusty how many have it and have lost most of it
 * @param weight need, by when, and rust in one: see {@link #weight} and {@link #of}
 * @param ranks names of the ranks that ask for it
 */
public record Demand(
        @Nullable String technique,
        @Nullable String chain,
        String name,
        Stage stage,
        int need,
        int soon,
        int rusty,
        double weight,
        Set<String> ranks) {

    private static final double PASSED = 0.5;
    private static final double LATER = 0.5;

    /**
     * What somebody counts for: as much as they have lost or never had of it, 0 to 1; half of that where it is passed, and
     * nothing where a pass has no practice in our books. Worked: lacks it and never met it 1; lacks it, recall 0.57: 0.43;
     * passed, recall 0.57: 0.215.
     *
     * @param fading what they have of it; null: no practice logged
     */
    public static double weight(boolean lacks, @Nullable Fading fading, LocalDate day) {
        double lost = 1 - (fading == null ? 0 : fading.recallOn(day));
        return lacks ? lost : fading == null ? 0 : PASSED * lost;
    }

    /**
     * What a track wants: what it is about first, then the most wanted; what nobody lacks or has lost is left out. Those who
     * cannot be examined by the next exam count for half.
     *
     * @param exam day of the next exam; null: none is planned
     */
    public static List<Demand> of(
            Track track,
            Map<Student, StudentState> people,
            List<Ladder> ladders,
            Teaching teaching,
            LocalDate day,
            @Nullable LocalDate exam) {
        Map<String, Counted> counted = new TreeMap<>();
        people.forEach((student, state) -> AskedOf.of(student, state, ladders, track.id(), day)
                .lines()
                .forEach((subject, line) -> counted.computeIfAbsent(subject, id -> new Counted(line.goal()))
                        .add(line, state.on(subject, null).orElse(null), day, exam)));
        return counted.values().stream()
                .filter(one -> one.need + one.rusty > 0)
                .sorted(Comparator.comparing((Counted one) -> !isOf(track, one.goal, teaching))
                        .thenComparing(one -> -one.weight)
                        .thenComparing(one -> one.goal.subject()))
                .map(one -> new Demand(
                        one.goal.technique(),
                        one.goal.chain(),
                        teaching.name(one.goal),
                        teaching.stage(one.goal),
                        one.need,
                        one.soon,
                        one.rusty,
                        one.weight,
                        one.ranks))
                .toList();
    }

    private static boolean isOf(Track track, TermPlan.Goal goal, Teaching teaching) {
        return teaching.techniques(goal).stream().map(Technique::family).anyMatch(track::teaches);
    }

    private static final class Counted {
        private final TermPlan.Goal goal;
        private final Set<String> ranks = new TreeSet<>();
        private int need;
        private int soon;
        private int rusty;
        private double weight;

        Counted(TermPlan.Goal goal) {
            this.goal = goal;
        }

        void add(AskedOf.Line line, @Nullable Fading fading, LocalDate day, @Nullable LocalDate exam) {
            boolean isLater = exam != null && line.from() != null && line.from().isAfter(exam);
            ranks.add(line.rank());
            need += line.lacks() ? 1 : 0;
            soon += line.lacks() && !isLater ? 1 : 0;
            rusty += !line.lacks() && fading != null && fading.stateOn(day) == Fading.State.RUSTY ? 1 : 0;
            weight += weight(line.lacks(), fading, day) * (isLater ? LATER : 1);
        }
    }
}

package lynchet.core.promote;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lynchet.core.map.GrapplingMap;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Progress;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;

/**
 * Somebody who grows out of a ladder and goes on at another one, at the rank that the table gives; the head coach confirms.
 *
 * @param on the birthday on which they are old enough
 * @param rank the rank held on the ladder they leave
 * @param toRank where the table lands them; null: it says nothing for that rank
 * @param never what the ranks below that one ask and they have not passed, to be caught up on
 */
public record HandOver(
        String student, LocalDate on, String ladder, String rank, String toLadder, String toRank, List<Item> never) {

    /**
     * @param until who is old enough on this day is told
     * @return empty for somebody who is too young, of unknown age, or goes on there already
     */
    public static Optional<HandOver> of(
            Student student,
            StudentState state,
            Ladder from,
            Optional<Ladder> next,
            GrapplingMap map,
            LocalDate until) {
        Optional<HeldRank> held = state.heldOn(from.id());
        if (held.isEmpty() || next.isEmpty() || from.toAge() == 0 || student.born() == null) {
            return Optional.empty();
        }
        LocalDate on = student.born().plusYears(from.toAge());
        if (on.isAfter(until) || state.heldOn(next.get().id()).isPresent()) {
            return Optional.empty();
        }
        String rank = held.get().rank();
        String to = from.handOver().get(rank);
        return Optional.of(new HandOver(
                student.id(),
                on,
                from.id(),
                rank,
                next.get().id(),
                to,
                to == null ? List.of() : never(next.get(), to, state, map, until)));
    }

    /** What was asked before a rank and is not met; of what may be chosen, as much as is short. */
    private static List<Item> never(Ladder ladder, String rank, StudentState state, GrapplingMap map, LocalDate today) {
        List<Item> never = new ArrayList<>();
        Progress progress = new Progress(state, map);
        for (int i = 0; i < ladder.indexOf(rank); i++) {
            for (Progress.GroupProgress group : progress.of(ladder.ranks().get(i), today)) {
                group.items().stream()
                        .filter(item -> !item.met())
                        .limit(Math.max(0, group.needed() - group.met()))
                        .forEach(item -> never.add(item.item()));
            }
        }
        return never;
    }
}

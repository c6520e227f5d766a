package lynchet.core.term.tonight;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.pair.Partner;
import lynchet.core.people.Fading;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.core.term.AskedOf;

/**
 * Somebody who is here tonight.
 *
 * @param called the name used on the mat
 * @param body as pairing sees them: age, limits, falls passed
 * @param asked what their ranks ask
 * @param memory what they have practised and still have, by subject
 * @param met subjects they were shown once, whether that was logged in our books or is only known by a pass
 */
public record Here(String called, Partner body, AskedOf asked, Map<String, Fading> memory, Set<String> met) {

    /**
     * Somebody as they stand on a day.
     *
     * @param ladders all of the club
     * @param falls breakfalls that anything may ask for
     */
    public static Here of(
            Student student,
            StudentState state,
            List<Ladder> ladders,
            String track,
            LocalDate day,
            Collection<String> falls,
            ClubNumbers numbers) {
        Map<String, Fading> memory = new HashMap<>();
        state.remembered().forEach(subject -> state.on(subject, null).ifPresent(fading -> memory.put(subject, fading)));
        Set<String> met = new java.util.HashSet<>(memory.keySet());
        met.addAll(state.marks().subjects());
        return new Here(
                student.calledBy(),
                Partner.of(student, state, ladders, day, falls, numbers),
                AskedOf.of(student, state, ladders, track, day),
                memory,
                met);
    }

    boolean lacks(String subject) {
        AskedOf.Line line = asked.lines().get(subject);
        return line != null && line.lacks();
    }

    boolean isTaught(String subject) {
        return asked.lines().containsKey(subject);
    }

    boolean isRusty(String subject, LocalDate day) {
        Fading fading = memory.get(subject);
        return fading != null && fading.stateOn(day) == Fading.State.RUSTY;
    }
}

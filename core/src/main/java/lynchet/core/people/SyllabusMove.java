package lynchet.core.people;

import java.time.LocalDate;
import lynchet.core.rank.Ladder;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * Somebody who was moved to another version of the syllabus than that of the day on which they got their rank. It holds while
 * they hold that rank; with the next one they stand on what is asked then.
 *
 * @param to a day on which the version they stand on now was in force
 */
public record SyllabusMove(String id, String student, String ladder, String rank, LocalDate to) {

    public SyllabusMove {
        Require.id("a move to another syllabus", id);
        Require.present("the student of this move", student);
        Require.present("the ladder of this move", ladder);
        Require.present("the rank of this move", rank);
        Require.present("the day of this move", to);
    }

    /**
     * The ladder as its syllabus is asked of somebody who holds a rank on it.
     *
     * @param joined the day they joined: those who came with a rank stand on what was asked here on that day
     * @param move of this person on this ladder; null: none
     */
    public static Ladder asked(Ladder ladder, HeldRank held, LocalDate joined, @Nullable SyllabusMove move) {
        boolean isMoved = move != null && move.rank().equals(held.rank());
        return ladder.asOf(day(held, joined, isMoved ? move.to() : null));
    }

    /**
     * A day on which the version was in force that is asked of somebody.
     *
     * @param moved the day they were moved to while they hold this rank; null: they were not
     */
    public static LocalDate day(HeldRank held, LocalDate joined, @Nullable LocalDate moved) {
        if (moved != null) {
            return moved;
        }
        return held.fromBefore() && joined.isAfter(held.since()) ? joined : held.since();
    }
}

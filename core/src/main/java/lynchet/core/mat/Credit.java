package lynchet.core.mat;

import java.time.Instant;
import java.time.LocalDate;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Stamped;
import org.jspecify.annotations.Nullable;

/**
 * Practice from before the club, or elsewhere, that a coach lets count: once for each student and subject, with a note. It
 * is one day of practice, so it fades like any other.
 *
 * @param subject id of the technique, chain or syllabus item
 * @param reps repetitions on each side named, 1 to 1000
 * @param on the day it was last done
 * @param note where and how the coach knows
 */
public record Credit(
        String id,
        String student,
        String subject,
        Side side,
        int reps,
        LocalDate on,
        @Most(200) String note,
        @Nullable Instant at,
        @Most(40) @Nullable String by)
        implements Stamped<Credit> {

    public Credit {
        Require.id("a credit", id);
        Require.present("the student of this credit", student);
        Require.present("the subject of this credit", subject);
        side = side == null ? Side.BOTH : side;
        Require.within("the reps of this credit", reps, 1, 1000);
        Require.present("the day of this credit", on);
        Require.text("the note of this credit", note);
    }

    /** The same credit, as the house writes down who gave it and when. */
    @Override
    public Credit stamped(@Nullable Instant when, @Nullable String account) {
        return new Credit(id, student, subject, side, reps, on, note, when, account);
    }

    /** The same credit about another subject. */
    public Credit about(String otherSubject) {
        return new Credit(id, student, otherSubject, side, reps, on, note, at, by);
    }
}

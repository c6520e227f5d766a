package lynchet.core.promote;

import java.time.Instant;
import java.time.LocalDate;
import lynchet.core.people.StandingThen;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * A coach puts somebody forward for the next rank of a ladder at a window; the head coach decides.
 *
 * @param rank id of the rank they hold while they are put forward; once they hold another one it is over
 * @param window the first day of the window's month
 * @param stood how they stood at that moment, as the house writes it down
 * @param at when it was said
 * @param by account of the coach who said so
 */
public record Nomination(
        String id,
        String student,
        String ladder,
        String rank,
        LocalDate window,
        @Most(300) String note,
        @Nullable StandingThen stood,
        @Nullable Instant at,
        @Most(40) @Nullable String by) {

    public Nomination {
        Require.id("a nomination", id);
        Require.present("the student of this nomination", student);
        Require.present("the ladder of this nomination", ladder);
        Require.present("the rank of this nomination", rank);
        Require.present("the window of this nomination", window);
        if (window.getDayOfMonth() != 1) {
            throw new IllegalArgumentException("the window of this nomination is the first of a month");
        }
        note = note == null ? "" : note;
    }

    /** The same nomination, as the house writes down how they stood, who said so and when. */
    public Nomination stamped(@Nullable StandingThen standing, @Nullable Instant when, @Nullable String account) {
        return new Nomination(id, student, ladder, rank, window, note, standing, when, account);
    }
}

package lynchet.core.people;

import java.time.LocalDate;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * Something a student asked to work on, or a coach noted for them: it waits until a class can take it up.
 *
 * @param on the day it was asked
 * @param by account of the coach who wrote it down
 * @param words what was asked, as it was said
 * @param subject id of the technique or chain that answers it; null: no answer yet
 * @param done the day it was taken up; null: it still waits
 */
public record Ask(
        String id,
        String student,
        LocalDate on,
        @Most(40) @Nullable String by,
        @Most(200) String words,
        @Nullable String subject,
        @Nullable LocalDate done) {

    public Ask {
        Require.id("an ask", id);
        Require.present("the student of this ask", student);
        Require.present("the day of this ask", on);
        Require.text("what is asked in this ask", words);
        if (done != null && done.isBefore(on)) {
            throw new IllegalArgumentException("this ask was taken up before it was asked");
        }
    }

    /** The same ask, as the house writes down who asked and when. */
    public Ask stamped(LocalDate day, @Nullable String account) {
        return new Ask(id, student, day, account, words, subject, done);
    }

    /** The same ask about another subject. */
    public Ask about(String otherSubject) {
        return new Ask(id, student, on, by, words, otherSubject, done);
    }
}

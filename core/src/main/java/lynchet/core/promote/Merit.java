package lynchet.core.promote;

import java.time.Instant;
import java.time.LocalDate;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Stamped;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * Something outside the classes that counts towards a rank where the ladder's policy says so: a home chart or conduct that a
 * coach saw, a seminar that counts as classes. Of a chart nothing is kept but that it was seen.
 *
 * @param classes as how many classes a seminar counts, 1 to 50; 0 for the others
 * @param words which seminar; may be empty
 */
public record Merit(
        String id,
        String student,
        Kind kind,
        LocalDate on,
        @Usual("0") int classes,
        @Most(120) String words,
        @Nullable Instant at,
        @Most(40) @Nullable String by)
        implements Stamped<Merit> {

    /** What it is. */
    public enum Kind {
        CHART,
        CONDUCT,
        SEMINAR
    }

    public Merit {
        Require.id("a merit", id);
        Require.present("the student of this merit", student);
        Require.present("the kind of this merit", kind);
        Require.present("the day of this merit", on);
        boolean isSeminar = kind == Kind.SEMINAR;
        Require.within("the classes of this merit", classes, isSeminar ? 1 : 0, isSeminar ? 50 : 0);
        words = words == null ? "" : words;
    }

    /** The same merit, as the house writes down who saw it and when. */
    @Override
    public Merit stamped(@Nullable Instant when, @Nullable String account) {
        return new Merit(id, student, kind, on, classes, words, when, account);
    }
}

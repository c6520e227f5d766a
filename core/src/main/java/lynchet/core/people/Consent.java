package lynchet.core.people;

import java.time.LocalDate;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * Somebody, or the person who stands for them, agreed to something; coaches only see it.
 *
 * @param given the day it was agreed to
 * @param until the last day it holds; null: until it is taken back
 * @param by who agreed, where it was not themselves
 */
public record Consent(
        Kind kind,
        LocalDate given,
        @Nullable LocalDate until,
        @Most(120) @Nullable String by) {

    /** What is agreed to. */
    public enum Kind {
        FIRST_AID,
        PICTURES,
        OUTSIDE_EVENTS,
        LETTERS
    }

    public Consent {
        Require.present("the kind of a consent", kind);
        Require.present("the day of a consent", given);
        if (until != null && until.isBefore(given)) {
            throw new IllegalArgumentException("a consent to " + kind + " ends before it was given");
        }
    }

    public boolean holdsOn(LocalDate day) {
        return !day.isBefore(given) && (until == null || !day.isAfter(until));
    }
}

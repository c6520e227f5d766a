package lynchet.core.people;

import java.time.LocalDate;
import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Say;
import org.jspecify.annotations.Nullable;

/**
 * A temporary limit; planning, pairing and grading obey it.
 *
 * @param until the last day; null: until it is lifted
 * @param note what a coach on the mat needs to know, nothing more
 */
public record Restriction(
        Kind kind,
        LocalDate from,
        @Nullable LocalDate until,
        @Most(200) @Nullable String note) {

    /** Later than any day: for what has no last day of its own. */
    public static final LocalDate UNTIL_LIFTED = LocalDate.of(9999, 12, 31);

    /** What must not be done. */
    public enum Kind {
        NO_THROWS_TAKEN("no throws taken"),
        NO_NECK("nothing on the neck"),
        ONE_SIDE_ONLY("one side only"),
        NO_LIVE("no live rounds"),
        HEAD_KNOCK("suspected concussion: no live, no throws, until cleared by a medical professional");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Restriction {
        Say.there("the kind of a restriction", kind);
        Say.there("the start of a restriction", from);
    }

    /** The same limit with a last day; {@code clearedBy} is added to its note where somebody is named. */
    public Restriction endedOn(LocalDate last, @Nullable String clearedBy) {
        String cleared = clearedBy == null || clearedBy.isBlank() ? "" : "cleared by " + clearedBy.strip();
        String both = note == null || note.isBlank() ? cleared : cleared.isEmpty() ? note : note + "; " + cleared;
        return new Restriction(kind, from, last, both.isEmpty() ? null : both);
    }

    /**
     * Checks what somebody sets by hand.
     *
     * @throws Nonsense if it ends before it begins, or is a head knock with a last day
     */
    public void mustBeSound() {
        if (kind == Kind.HEAD_KNOCK && until != null) {
            throw new Nonsense(
                    Nonsense.Rule.HEAD_KNOCK_OPEN,
                    "/until",
                    "a head knock names no day by itself: it holds until the head coach lifts it");
        }
        if (until != null && until.isBefore(from)) {
            throw new Nonsense(Nonsense.Rule.LIMIT_DAYS, "/until", "the last day of the limit is before its first");
        }
    }

    public boolean holdsOn(LocalDate day) {
        return !day.isBefore(from) && (until == null || !day.isAfter(until));
    }
}

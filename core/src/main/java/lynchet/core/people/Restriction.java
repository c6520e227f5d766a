package lynchet.core.people;

import java.time.LocalDate;
import java.util.Set;
import lynchet.core.card.Hazard;
import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * A temporary limit; planning, pairing and grading obey it. Several add up: a day is limited by all that hold on it.
 *
 * @param until the last day; null: until it is lifted
 * @param note what a coach on the mat needs to know, nothing more
 * @param step where it is part of a way back: which step; null: a limit of its own
 */
public record Restriction(
        Kind kind,
        LocalDate from,
        @Nullable LocalDate until,
        @Most(200) @Nullable String note,
        @Nullable StepNumber step) {

    /**
     * Which step of a way back a limit belongs to.
     *
     * @param number from 1 on
     * @param of how many steps it has, at most {@value WayBack#MOST}
     */
    public record StepNumber(int number, int of) {

        public StepNumber {
            Require.within("the number of steps of a way back", of, 1, WayBack.MOST);
            Require.within("the step of a way back", number, 1, of);
        }
    }

    /** Later than any day: for what has no last day of its own. */
    public static final LocalDate UNTIL_LIFTED = LocalDate.of(9999, 12, 31);

    /** What must not be done. What it closes on the ground is told by the hazards of the cards. */
    public enum Kind {
        NO_THROWS_TAKEN("no throws taken"),
        NO_THROWS("no throws, neither thrown nor throwing"),
        NO_NECK(
                "nothing on the neck",
                Hazard.CHOKE,
                Hazard.FRONT_CHOKE,
                Hazard.NECK_CRANK,
                Hazard.NECK_LOAD,
                Hazard.HEAD_DIVE),
        NO_ARM_LOCKS("no arm or shoulder locks", Hazard.ARM_LOCK, Hazard.SHOULDER_LOCK, Hazard.ARM_STANDING_FALL),
        NO_LEG_LOCKS(
                "no leg locks, nothing on the knee",
                Hazard.LEG_LOCK,
                Hazard.TWISTING_LEG_LOCK,
                Hazard.KNEE_SIDE_FALL,
                Hazard.KNEE_LOAD,
                Hazard.REAR_SIT),
        ONE_SIDE_ONLY("one side only"),
        LIGHT_ONLY("light work only, no live rounds"),
        NO_LIVE("no live rounds"),
        HEAD_KNOCK("suspected concussion: no live, no throws, until cleared by a medical professional");

        private final String words;
        private final Set<Hazard> hazards;

        Kind(String words, Hazard... hazards) {
            this.words = words;
            this.hazards = Set.of(hazards);
        }

        public String words() {
            return words;
        }

        /** What must not be done to somebody with this limit: techniques that carry one of these. */
        public Set<Hazard> hazards() {
            return hazards;
        }

        /** Whether somebody with this limit is not thrown. */
        public boolean stopsFalls() {
            return this == NO_THROWS_TAKEN || this == NO_THROWS || this == HEAD_KNOCK;
        }

        /** Whether somebody with this limit takes no part in live work. */
        public boolean stopsLive() {
            return this == NO_LIVE || this == LIGHT_ONLY || this == HEAD_KNOCK;
        }
    }

    /** A limit of its own. */
    public Restriction(Kind kind, LocalDate from, @Nullable LocalDate until, @Nullable String note) {
        this(kind, from, until, note, null);
    }

    public Restriction {
        Require.present("the kind of a restriction", kind);
        Require.present("the start of a restriction", from);
    }

    /** The same limit with a last day; {@code clearedBy} is added to its note where somebody is named. */
    public Restriction endedOn(LocalDate last, @Nullable String clearedBy) {
        String cleared = clearedBy == null || clearedBy.isBlank() ? "" : "cleared by " + clearedBy.strip();
        String both = note == null || note.isBlank() ? cleared : cleared.isEmpty() ? note : note + "; " + cleared;
        return new Restriction(kind, from, last, both.isEmpty() ? null : both, step);
    }

    /** "Step 2 of 4: no live yet" for the coach on the mat; null where it is a limit of its own. */
    public @Nullable String stepWords() {
        return step == null
                ? null
                : "Step " + step.number() + " of " + step.of() + (note == null || note.isBlank() ? "" : ": " + note);
    }

    /** The same limit from another day on to another last day. */
    Restriction over(LocalDate first, @Nullable LocalDate last) {
        return new Restriction(kind, first, last, note, step);
    }

    /** Whether it holds on a day from {@code day} on. */
    public boolean holdsFrom(LocalDate day) {
        return until == null || !until.isBefore(day);
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

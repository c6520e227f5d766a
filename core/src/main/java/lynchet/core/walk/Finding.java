package lynchet.core.walk;

import org.jspecify.annotations.Nullable;

/**
 * Something that a set of techniques leaves open.
 *
 * @param severity 3 blocks, 2 warns, 1 notes
 * @param position position id it is about; may be null
 * @param technique technique id it is about; may be null
 * @param reaction reaction id nobody has answered; may be null
 * @param sentence what a coach would say
 * @param mend the smallest mend of a severity-3 finding; null where none is needed or none exists
 * @param item id of the item, or name of the group, of the rank's syllabus that it is about; null: all that is taught
 * @param since id of the earlier rank from which on it has been open; null where what is looked at opens it itself
 */
public record Finding(
        Code code,
        int severity,
        @Nullable String position,
        @Nullable String technique,
        @Nullable String reaction,
        String sentence,
        @Nullable Mend mend,
        @Nullable String item,
        @Nullable String since) {

    public Finding(
            Code code,
            int severity,
            @Nullable String position,
            @Nullable String technique,
            @Nullable String reaction,
            String sentence,
            @Nullable Mend mend) {
        this(code, severity, position, technique, reaction, sentence, mend, null, null);
    }

    /** A finding about one item, or one group, of what a rank asks for. */
    public static Finding ofItem(
            Code code, int severity, @Nullable String technique, String item, String sentence, @Nullable Mend mend) {
        return new Finding(code, severity, null, technique, null, sentence, mend, item, null);
    }

    /** What is open. */
    public enum Code {
        NO_ANSWER,
        NO_ESCAPE,
        TAP,
        ONE_ANSWER,
        OPEN_REACTION,
        NO_FINISH,
        NO_WAY_IN,
        LEFT_OUT,
        NEED_NOT_MADE,
        ONE_SIDED,
        FALL_ORDER,
        ORDER,
        VERSION_CLASH,
        TOO_EARLY,
        DUPLICATE,
        STANDARD_DROP,
        CHAIN_ORPHAN,
        CHOOSE_IMPOSSIBLE,
        BALANCE,
        OVERLOAD,
        LADDER_GAP
    }

    /** What tells one finding from another, whatever rank it is looked at from. */
    public record About(
            Code code,
            @Nullable String position,
            @Nullable String technique,
            @Nullable String reaction) {}

    public About about() {
        return new About(code, position, technique, reaction);
    }

    public Finding with(Mend newMend) {
        return new Finding(code, severity, position, technique, reaction, sentence, newMend, item, since);
    }

    /** The same finding, open since an earlier rank; null: not since an earlier one. */
    public Finding openSince(@Nullable String rank) {
        return new Finding(code, severity, position, technique, reaction, sentence, mend, item, rank);
    }

    /** The same finding, no more severe than {@code most}. */
    public Finding atMost(int most) {
        return new Finding(code, Math.min(severity, most), position, technique, reaction, sentence, mend, item, since);
    }
}

package lynchet.core.walk;

import java.time.Instant;
import java.util.Objects;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * A finding that a coach has decided to leave as it is, and why.
 *
 * @param rank id of the rank through whose eyes it was seen; null: not a rank's
 * @param student id of the student through whose eyes it was seen; null: not a student's
 * @param position position of the finding; may be null
 * @param technique technique of the finding; may be null
 * @param reaction reaction of the finding; may be null
 * @param reason why it is left, 1 to 300 characters
 * @param by account name of the coach
 */
public record IgnoredGap(
        String id,
        @Nullable String rank,
        @Nullable String student,
        Finding.Code code,
        @Nullable String position,
        @Nullable String technique,
        @Nullable String reaction,
        @Most(300) String reason,
        Instant at,
        @Most(40) String by) {

    public IgnoredGap {
        Require.id("an ignored gap", id);
        Require.present("the code of this ignored gap", code);
        Require.text("the reason to leave this gap", reason);
    }

    /** Whether it is this finding, seen through these eyes. */
    public boolean covers(Finding finding, String ofRank, String ofStudent) {
        return code == finding.code()
                && Objects.equals(rank, ofRank)
                && Objects.equals(student, ofStudent)
                && Objects.equals(position, finding.position())
                && Objects.equals(technique, finding.technique())
                && Objects.equals(reaction, finding.reaction());
    }

    /** Whether it is the same decision, whenever and by whom it was made. */
    public boolean covers(IgnoredGap other) {
        return new IgnoredGap(other.id, rank, student, code, position, technique, reaction, reason, other.at, other.by)
                .equals(other);
    }

    /** The same decision about another technique. */
    public IgnoredGap about(String otherTechnique) {
        return new IgnoredGap(id, rank, student, code, position, otherTechnique, reaction, reason, at, by);
    }
}

package lynchet.core.mat;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Stamped;
import org.jspecify.annotations.Nullable;

/**
 * A coach's judgement. Never edited: a later mark supersedes an earlier one of the same key.
 *
 * @param subject id of the technique, chain or syllabus item judged
 * @param version version id judged; null: none in particular
 * @param standard {@code SHOWN}, {@code MOVING} or {@code LIVE}
 * @param faults fault ids seen
 * @param withdraws id of a mark that this one takes back; then {@code passed} is false
 */
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
public record Mark(
        String id,
        String student,
        String subject,
        Role role,
        Side side,
        @Nullable String version,
        Standard standard,
        boolean passed,
        @Most(20) List<String> faults,
        @Nullable String classId,
        Instant at,
        @Most(40) String by,
        @Nullable String withdraws)
        implements Stamped<Mark> {

    public Mark {
        Require.id("a mark", id);
        Require.present("the student of this mark", student);
        Require.present("the subject of this mark", subject);
        role = role == null ? Role.PERFORMER : role;
        side = side == null ? Side.BOTH : side;
        Require.present("the standard of this mark", standard);
        if (!standard.isMarked()) {
            throw new IllegalArgumentException("this mark: " + standard + " is computed from practice, not marked");
        }
        faults = Require.list(faults);
    }

    /** The same judgement about another subject, in a version of it, with the faults as that one names them. */
    public Mark about(String otherSubject, String otherVersion, List<String> otherFaults) {
        return MarkBuilder.builder(this)
                .subject(otherSubject)
                .version(otherVersion)
                .faults(otherFaults)
                .build();
    }

    @Override
    public Mark stamped(Instant when, String account) {
        return MarkBuilder.builder(this).at(when).by(account).build();
    }
}

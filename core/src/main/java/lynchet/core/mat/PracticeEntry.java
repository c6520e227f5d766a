package lynchet.core.mat;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Stamped;
import lynchet.core.rule.Usual;
import org.jspecify.annotations.Nullable;

/**
 * Something was drilled in a class.
 *
 * @param student who drilled it; null: everyone who was there, late arrivals included, but {@code except}
 * @param technique what; null when it was a chain
 * @param reps repetitions on each side named, 1 to 1000
 * @param part whether only a part of it was drilled
 * @param except student ids who sat it out
 * @param withdrawn whether it was taken back
 */
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
public record PracticeEntry(
        String id,
        String classId,
        @Nullable String blockId,
        @Nullable String student,
        @Nullable String technique,
        @Nullable String chain,
        Side side,
        int reps,
        @Usual("false") boolean part,
        Role role,
        @Most(200) List<String> except,
        Instant at,
        @Most(40) String by,
        @Usual("false") boolean withdrawn)
        implements Stamped<PracticeEntry> {

    public PracticeEntry {
        Require.id("a practice entry", id);
        Require.present("the class of this practice entry", classId);
        if ((technique == null) == (chain == null)) {
            throw new IllegalArgumentException("this practice entry names a technique or a chain, one of the two");
        }
        side = side == null ? Side.BOTH : side;
        Require.within("the reps of this practice entry", reps, 1, 1000);
        role = role == null ? Role.PERFORMER : role;
        except = Require.list(except);
    }

    /** Whether it counts for a student who was in the class. */
    public boolean countsFor(String studentId) {
        return !withdrawn && (student == null ? !except.contains(studentId) : student.equals(studentId));
    }

    /** Id of the technique or chain that was drilled. */
    public String subject() {
        return technique != null ? technique : chain;
    }

    /** The same entry about another technique. */
    public PracticeEntry of(String otherTechnique) {
        return PracticeEntryBuilder.builder(this).technique(otherTechnique).build();
    }

    @Override
    public PracticeEntry stamped(Instant when, String account) {
        return PracticeEntryBuilder.builder(this).at(when).by(account).build();
    }

    /** The same entry, taken back or not. */
    public PracticeEntry withdrawn(boolean isBack) {
        return PracticeEntryBuilder.builder(this).withdrawn(isBack).build();
    }
}

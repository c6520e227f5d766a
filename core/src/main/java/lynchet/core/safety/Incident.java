package lynchet.core.safety;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import lynchet.core.rule.Stamped;
import org.jspecify.annotations.Nullable;

/**
 * Somebody was hurt, or might have been; what an insurer asks for afterwards, and nothing that a doctor would write.
 *
 * @param partner id of the person they worked with; null: nobody, or not known
 * @param classId the class it happened in; null: outside any
 * @param time when on that day; null: not known
 * @param what how it happened, as it was seen
 * @param done what was done about it on the mat
 * @param seenBy who else saw it
 * @param at when it was written down
 * @param by account of the person who wrote it down
 */
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
public record Incident(
        String id,
        String student,
        @Nullable String partner,
        @Nullable String classId,
        LocalDate on,
        @Nullable LocalTime time,
        Kind kind,
        @Nullable BodyPart part,
        @Most(1000) String what,
        @Most(1000) String done,
        @Most(120) @Nullable String seenBy,
        @Nullable Outcome outcome,
        @Nullable Instant at,
        @Most(40) @Nullable String by)
        implements Stamped<Incident> {

    /** What happened, in the fewest words. */
    public enum Kind {
        INJURY,
        COLLISION,
        HEAD_KNOCK
    }

    /** Where it hurts. */
    public enum BodyPart {
        HEAD,
        NECK,
        SHOULDER,
        ELBOW,
        HAND,
        RIBS,
        BACK,
        HIP,
        KNEE,
        FOOT
    }

    /** How they went on. */
    public enum Outcome {
        WENT_ON("went on"),
        SAT_OUT("sat out"),
        WENT_HOME("went home, fetched or by themselves"),
        TO_DOCTOR("to a doctor"),
        EMERGENCY("emergency services were called");

        private final String words;

        Outcome(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public Incident {
        Require.id("an incident", id);
        Require.present("the student of this incident", student);
        Require.present("the day of this incident", on);
        Require.present("the kind of this incident", kind);
        if (student.equals(partner)) {
            throw new IllegalArgumentException("this incident names one person twice");
        }
        what = what == null ? "" : what;
        done = done == null ? "" : done;
    }

    /** The same incident, as the house writes down who said so and when. */
    @Override
    public Incident stamped(@Nullable Instant when, @Nullable String account) {
        return IncidentBuilder.builder(this).at(when).by(account).build();
    }

    /** What stays of it when the person who was hurt is erased: that there was one, of which kind, on which day. */
    public Incident ofNobody(String erased) {
        return IncidentBuilder.builder(this)
                .student(erased)
                .what("")
                .done("")
                .partner(null)
                .classId(null)
                .time(null)
                .part(null)
                .seenBy(null)
                .outcome(null)
                .by(null)
                .build();
    }

    /** The same incident with another partner. */
    public Incident with(@Nullable String otherPartner) {
        return IncidentBuilder.builder(this).partner(otherPartner).build();
    }
}

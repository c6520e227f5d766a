package lynchet.core.people;

import java.time.LocalDate;
import java.time.Period;
import java.util.List;
import java.util.Optional;
import lynchet.core.rule.Most;
import lynchet.core.rule.Say;
import org.jspecify.annotations.Nullable;

/**
 * Somebody who trains.
 *
 * @param calledBy the name used on the mat; the full name when missing
 * @param card number of the attendance card; may be null
 * @param weightKg weight in kilograms, 10 to 300; null: unknown
 * @param heightCm height in centimetres, 60 to 250; null: unknown
 * @param priorClasses classes credited from before the club; they count for the rank held then, not for later ones
 * @param left the day they left; null: still enrolled
 * @param guest what is known of somebody who only visits or tries a class; null: they train here
 */
public record Student(
        String id,
        String name,
        @Most(40) String calledBy,
        @Most(40) @Nullable String card,
        @Nullable LocalDate born,
        LocalDate joined,
        @Nullable LocalDate left,
        @Nullable Guest guest,
        @Nullable Double weightKg,
        @Nullable LocalDate weighed,
        @Nullable Integer heightCm,
        Lead lead,
        List<String> tracks,
        int priorClasses,
        @Nullable LocalDate memberUntil,
        @Nullable Contacts contacts,
        @Most(200) List<Hold> holds,
        @Most(200) List<Restriction> restrictions,
        List<String> keepApart,
        @Most(2000) String notes) {

    /**
     * Somebody who visits, or tries a class before joining. {@code joined} is then the day they first came; on joining it
     * becomes the day of joining, so that their classes stay theirs and those before it are trials.
     *
     * @param fallsKnown whether somebody has seen that they can fall; where not, nobody throws them
     */
    public record Guest(boolean fallsKnown) {}

    public Student {
        Say.id("a student", id);
        Say.text("the name of student " + id, name);
        calledBy = calledBy == null || calledBy.isBlank() ? firstWord(name) : calledBy;
        Say.text("the called-by name of student " + id, calledBy);
        Say.there("the day student " + id + " joined", joined);
        if (born != null && born.isAfter(joined)) {
            throw new IllegalArgumentException("student " + id + " joined before being born");
        }
        if (weightKg != null && !(weightKg >= 10 && weightKg <= 300)) {
            throw new IllegalArgumentException(
                    "the weight of student " + id + " must be 10 to 300 kg, not " + weightKg);
        }
        if (heightCm != null) {
            Say.within("the height in cm of student " + id, heightCm, 60, 250);
        }
        lead = lead == null ? Lead.RIGHT : lead;
        tracks = Say.list(tracks);
        Say.within("the prior classes of student " + id, priorClasses, 0, 100_000);
        holds = Say.list(holds);
        restrictions = Say.list(restrictions);
        keepApart = Say.list(keepApart);
        notes = notes == null ? "" : notes;
    }

    /** The same person under another id. */
    public Student as(String otherId) {
        return with(otherId, notes);
    }

    /** The same person with other notes. */
    public Student withNotes(String others) {
        return with(id, others);
    }

    private Student with(String otherId, String otherNotes) {
        return new Student(
                otherId,
                name,
                calledBy,
                card,
                born,
                joined,
                left,
                guest,
                weightKg,
                weighed,
                heightCm,
                lead,
                tracks,
                priorClasses,
                memberUntil,
                contacts,
                holds,
                restrictions,
                keepApart,
                otherNotes);
    }

    /** Age in whole years on a day; empty when the birth date is not known. */
    public Optional<Integer> ageOn(LocalDate day) {
        return Optional.ofNullable(born).map(b -> Period.between(b, day).getYears());
    }

    private static String firstWord(String name) {
        String word = name.strip().split("\\s+")[0];
        return word.substring(0, Math.min(40, word.length()));
    }

    /** What somebody sees who may not see health, contacts and notes. */
    public Student withoutPrivate() {
        return new Student(
                id,
                name,
                calledBy,
                card,
                null,
                joined,
                left,
                guest,
                null,
                null,
                null,
                lead,
                tracks,
                priorClasses,
                memberUntil,
                null,
                List.of(),
                List.of(),
                List.of(),
                "");
    }
}

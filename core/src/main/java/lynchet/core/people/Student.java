package lynchet.core.people;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.time.Period;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lynchet.core.rule.Most;
import lynchet.core.rule.Nonsense;
import lynchet.core.rule.Require;
import lynchet.core.rule.Usual;
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
 * @param prefers ids of those they work with best; pairing leans that way
 * @param beltSize as belts are sold, such as 3 or 240; null: not known
 */
@RecordBuilder
@RecordBuilder.Options(inheritComponentAnnotations = false)
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
        @Usual("0") int priorClasses,
        @Nullable LocalDate memberUntil,
        @Nullable Contacts contacts,
        @Most(200) List<Hold> holds,
        @Most(200) List<Restriction> restrictions,
        List<String> keepApart,
        @Most(2000) String notes,
        @Most(12) List<Consent> consents,
        @Most(12) @Nullable String beltSize,
        @Most(200) List<String> prefers) {

    /**
     * Somebody who visits, or tries a class before joining. {@code joined} is then the day they first came; on joining it
     * becomes the day of joining, so that their classes stay theirs and those before it are trials.
     *
     * @param fallsKnown whether somebody has seen that they can fall; where not, nobody throws them
     * @param age how old they said they are on the day they first came, 3 to 99; {@link #GROWN_UP} also for the older;
     *     null: nobody asked
     */
    public record Guest(boolean fallsKnown, @Nullable Integer age) {

        /** Who says no more than that they are grown up. */
        public static final int GROWN_UP = 18;

        public Guest {
            if (age != null) {
                Require.within("the age of a guest", age, 3, 99);
            }
        }

        public Guest(boolean fallsKnown) {
            this(fallsKnown, null);
        }
    }

    /** Nobody joins a club at a greater age. */
    private static final int OLDEST = 110;

    public Student {
        Require.id("a student", id);
        name = Require.text("the name of this student", name).strip().replaceAll("[\\t\\r\\n]+", " ");
        calledBy = calledBy == null || calledBy.isBlank() ? firstWord(name) : calledBy.strip();
        card = card == null || card.isBlank() ? null : card.strip();
        Require.text("the called-by name of this student", calledBy);
        Require.present("the day this student joined", joined);
        if (born != null && born.isAfter(joined)) {
            throw new IllegalArgumentException("this student joined before being born");
        }
        if (born != null && Period.between(born, joined).getYears() > OLDEST) {
            throw new IllegalArgumentException("this student would have been "
                    + Period.between(born, joined).getYears() + " on joining; is the birth date right?");
        }
        if (weightKg != null && !(weightKg >= 10 && weightKg <= 300)) {
            throw new IllegalArgumentException("the weight of this student must be 10 to 300 kg, not " + weightKg);
        }
        if (heightCm != null) {
            Require.within("the height in cm of this student", heightCm, 60, 250);
        }
        lead = lead == null ? Lead.RIGHT : lead;
        tracks = Require.list(tracks);
        Require.within("the prior classes of this student", priorClasses, 0, 100_000);
        holds = Require.list(holds);
        restrictions = Require.list(restrictions);
        keepApart = Require.list(keepApart);
        prefers = Require.list(prefers);
        notes = notes == null ? "" : notes;
        consents = Require.list(consents);
        if (consents.stream().map(Consent::kind).distinct().count() != consents.size()) {
            throw new Nonsense(Nonsense.Rule.TOO_MANY, "the consents of this student name one thing twice");
        }
    }

    /** The same person under another id. */
    public Student as(String otherId) {
        return StudentBuilder.builder(this).id(otherId).build();
    }

    /**
     * The same guest knowing what they answered since.
     *
     * @param number whom to call; null or blank: not said
     */
    public Student answering(Guest said, @Nullable String number) {
        boolean isCalled = number != null && !number.isBlank();
        return StudentBuilder.builder(this)
                .guest(said)
                .contacts(isCalled ? Contacts.calling(contacts, number.strip()) : contacts)
                .build();
    }

    /** What somebody is called of whom nothing personal is kept any more. */
    public static final String ERASED = "Erased person";

    /** What stays of somebody who is erased, so that counts stay: when they came, when they went, and nothing else. */
    public static Student erased(String id, Student of, LocalDate today) {
        return StudentBuilder.builder()
                .id(id)
                .name(ERASED)
                .joined(of.joined)
                .left(of.left == null ? today : of.left)
                .priorClasses(of.priorClasses)
                .build();
    }

    /** The same person, neither kept apart from somebody any more nor working best with them. */
    public Student withoutMate(String other) {
        return StudentBuilder.builder(this)
                .keepApart(keepApart.stream().filter(one -> !one.equals(other)).toList())
                .prefers(prefers.stream().filter(one -> !one.equals(other)).toList())
                .build();
    }

    /** The same person with other notes. */
    public Student withNotes(String others) {
        return StudentBuilder.builder(this).notes(others).build();
    }

    /** The same person on other tracks. */
    public Student onTracks(List<String> others) {
        return StudentBuilder.builder(this).tracks(others).build();
    }

    /** The same person, weighed on a day; a weighing that is older than the last one changes nothing. */
    public Student weighing(double kg, LocalDate day) {
        return weighed != null && day.isBefore(weighed)
                ? this
                : StudentBuilder.builder(this).weightKg(kg).weighed(day).build();
    }

    /** The same person with other limits. */
    public Student limited(List<Restriction> others) {
        return StudentBuilder.builder(this).restrictions(others).build();
    }

    /**
     * The same person with one limit more. Limits add up: what holds on a day is never less than before. One of the same
     * kind that the new one goes on from ends the day before, so each day names it once; a head knock that holds stays.
     */
    public Student limitedBy(Restriction limit) {
        if (restrictions.contains(limit) || holdsAlready(limit)) {
            return this;
        }
        List<Restriction> all = new ArrayList<>();
        for (Restriction one : restrictions) {
            boolean goesOn = one.kind() == limit.kind()
                    && one.step() == null
                    && limit.step() == null
                    && one.holdsOn(limit.from())
                    && (limit.until() == null
                            || one.until() != null && !one.until().isAfter(limit.until()));
            if (!goesOn) {
                all.add(one);
            } else if (one.from().isBefore(limit.from())) {
                all.add(one.over(one.from(), limit.from().minusDays(1)));
            }
        }
        all.add(limit);
        return limited(all);
    }

    private boolean holdsAlready(Restriction limit) {
        return limit.kind() == Restriction.Kind.HEAD_KNOCK
                && restrictions.stream()
                        .anyMatch(
                                one -> one.kind() == limit.kind() && one.until() == null && one.holdsOn(limit.from()));
    }

    /** What must not be done with them on a day: each kind of limit that holds. */
    public Set<Restriction.Kind> limitsOn(LocalDate day) {
        return restrictions.stream()
                .filter(limit -> limit.holdsOn(day))
                .map(Restriction::kind)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Restriction.Kind.class)));
    }

    /** Which step of a way back holds on a day, in words; empty: none. */
    public Optional<String> stepOn(LocalDate day) {
        return restrictions.stream()
                .filter(limit -> limit.step() != null && limit.holdsOn(day))
                .map(Restriction::stepWords)
                .findFirst();
    }

    /** Whether a way back is not over yet on a day. */
    public boolean isOnWayBack(LocalDate day) {
        return restrictions.stream().anyMatch(limit -> limit.step() != null && limit.holdsFrom(day));
    }

    /**
     * The same person with their limits lifted.
     *
     * @param which those that are lifted; one that does not hold yet is gone, one that holds ended yesterday
     * @param clearedBy added to the note of those that held; may be null
     */
    public Student lifting(Predicate<Restriction> which, LocalDate today, @Nullable String clearedBy) {
        List<Restriction> left = new ArrayList<>();
        for (Restriction one : restrictions) {
            if (!which.test(one) || !one.holdsFrom(today)) {
                left.add(one);
            } else if (one.from().isBefore(today)) {
                left.add(one.endedOn(today.minusDays(1), clearedBy));
            }
        }
        return limited(left);
    }

    /** The same person, staying longer on the step of their way back that holds; the steps after it come later. */
    public Student wayBackLater(LocalDate today, int days) {
        return limited(restrictions.stream()
                .map(one -> {
                    if (one.step() == null || !one.holdsFrom(today)) {
                        return one;
                    }
                    LocalDate first = one.from().isAfter(today) ? one.from().plusDays(days) : one.from();
                    return one.over(
                            first, one.until() == null ? null : one.until().plusDays(days));
                })
                .toList());
    }

    /** The same person with other holds. */
    public Student holding(List<Hold> others) {
        return StudentBuilder.builder(this).holds(others).build();
    }

    /** Age in whole years on a day; empty when the birth date is not known. */
    public Optional<Integer> ageOn(LocalDate day) {
        if (born == null && guest != null && guest.age() != null) {
            return Optional.of(
                    guest.age() + Math.max(0, Period.between(joined, day).getYears()));
        }
        return Optional.ofNullable(born).map(b -> Period.between(b, day).getYears());
    }

    /** Month and day of birth as one number, 101 for the first of January; empty when the birth date is not known. */
    public Optional<Integer> birthday() {
        return Optional.ofNullable(born).map(day -> day.getMonthValue() * 100 + day.getDayOfMonth());
    }

    /** The last day on which one of their limits holds; one that must be lifted has none. Empty: there is no limit. */
    public Optional<LocalDate> limitedUntil() {
        return restrictions.stream()
                .map(limit -> limit.until() == null ? Restriction.UNTIL_LIFTED : limit.until())
                .max(LocalDate::compareTo);
    }

    /** Whether somebody keeps them at their rank on purpose, until that is lifted. */
    public boolean staysHeld() {
        return holds.stream().anyMatch(hold -> hold.ended() == null);
    }

    private static String firstWord(String name) {
        String word = name.strip().split("\\s+")[0];
        return word.substring(0, Math.min(40, word.length()));
    }

    /**
     * What somebody sees who may not see health, contacts and notes. It names what is shown, so that a field to come is
     * hidden until somebody decides otherwise.
     */
    public Student withoutPrivate() {
        return StudentBuilder.builder()
                .id(id)
                .name(name)
                .calledBy(calledBy)
                .card(card)
                .joined(joined)
                .left(left)
                .guest(guest == null ? null : new Guest(guest.fallsKnown()))
                .lead(lead)
                .tracks(tracks)
                .priorClasses(priorClasses)
                .memberUntil(memberUntil)
                .build();
    }
}

package lynchet.core.pair;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.people.Lead;
import lynchet.core.people.Restriction;
import lynchet.core.people.Student;
import lynchet.core.people.StudentState;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import org.jspecify.annotations.Nullable;

/**
 * Somebody on the mat, as far as pairing asks.
 *
 * @param age whole years; null: not known
 * @param weightKg kilograms; null: not known
 * @param heightCm centimetres; null: not known
 * @param ladder id of the ladder they stand on; null: none
 * @param place their rank's place on it, 0 the first
 * @param days days since they joined; below 0 for a guest
 * @param fallsSeen whether a guest was seen to fall well; their falls are in no book
 * @param falls breakfalls they have passed, or came with as a grown-up
 * @param unseen those of them that nobody here has seen yet: enough to be lowered or thrown with care
 * @param limits what limits them today
 * @param knockedToday whether they knocked their head today
 * @param apart whom they are kept apart from
 * @param prefers whom they work with best
 */
public record Partner(
        String id,
        @Nullable Integer age,
        @Nullable Double weightKg,
        @Nullable Integer heightCm,
        Lead lead,
        @Nullable String ladder,
        int place,
        int days,
        boolean fallsSeen,
        Set<String> falls,
        Set<String> unseen,
        Set<Restriction.Kind> limits,
        boolean knockedToday,
        Set<String> apart,
        Set<String> prefers) {

    /** Somebody credited with so many classes from elsewhere is not new. */
    private static final int PRIOR = 30;

    /**
     * Somebody as they stand on a day.
     *
     * @param ladders those whose ranks count in the class, the first that they stand on is taken
     * @param falls breakfalls that are asked for
     * @param numbers from which age on somebody is grown up, and for how long they are new
     */
    public static Partner of(
            Student student,
            StudentState state,
            List<Ladder> ladders,
            LocalDate day,
            Collection<String> falls,
            ClubNumbers numbers) {
        Optional<Ladder> ladder = ladders.stream()
                .filter(one -> state.heldOn(one.id()).isPresent())
                .findFirst();
        int place = ladder.map(one -> {
                    String held = state.heldOn(one.id()).orElseThrow().rank();
                    return one.ranks().stream().map(Rank::id).toList().indexOf(held);
                })
                .orElse(0);
        boolean isGuest = student.guest() != null;
        Integer age = student.ageOn(day).orElse(null);
        Set<String> unseen = falls.stream().filter(state.marks()::isOnlyBrought).collect(Collectors.toSet());
        boolean isGrownUp = age != null && age >= numbers.juniorsBelow();
        int since = (int) ChronoUnit.DAYS.between(student.joined(), day);
        return new Partner(
                student.id(),
                age,
                student.weightKg(),
                student.heightCm(),
                student.lead() == null ? Lead.RIGHT : student.lead(),
                ladder.map(Ladder::id).orElse(null),
                place,
                isGuest ? -1 : student.priorClasses() >= PRIOR ? Math.max(since, numbers.newDays()) : since,
                isGuest && student.guest().fallsKnown(),
                falls.stream()
                        .filter(fall -> state.marks().isSeenHere(fall) || isGrownUp && unseen.contains(fall))
                        .collect(Collectors.toSet()),
                isGrownUp ? unseen : Set.of(),
                student.limitsOn(day),
                student.restrictions().stream()
                        .anyMatch(limit -> limit.kind() == Restriction.Kind.HEAD_KNOCK
                                && limit.from().equals(day)
                                && limit.holdsOn(day)),
                Set.copyOf(student.keepApart()),
                Set.copyOf(student.prefers()));
    }

    boolean is(Restriction.Kind limit) {
        return limits.contains(limit);
    }

    public boolean isNew(ClubNumbers numbers) {
        return days < numbers.newDays();
    }

    /** Whether they are known to be a junior. */
    public boolean isJunior(ClubNumbers numbers) {
        return age != null && age < numbers.juniorsBelow();
    }

    /** Whether they may be thrown as the work asks. */
    public boolean mayBeThrown(Work work) {
        return !takesNoThrows() && lacks(work).isEmpty();
    }

    /** Whether a limit keeps them from being thrown; a fall that is passed changes nothing of it. */
    boolean takesNoThrows() {
        return limits.stream().anyMatch(Restriction.Kind::stopsFalls);
    }

    /** The breakfalls that the work asks for and they have not passed, or that have to be seen here first, in order of id. */
    public List<String> lacks(Work work) {
        return fallsSeen
                ? List.of()
                : work.falls().stream()
                        .filter(fall ->
                                !falls.contains(fall) || work.hardFalls().contains(fall) && unseen.contains(fall))
                        .sorted()
                        .toList();
    }

    /** Whether they visit, and nobody knows how old or how heavy they are: the coach puts them where they belong. */
    boolean isUnknownGuest() {
        return days < 0 && (age == null || weightKg == null);
    }

    /** Whether the live part of the work is not for them. */
    boolean skipsLive(Work work) {
        return work.live() && (isUnknownGuest() || hasLimitOnLive());
    }

    private boolean hasLimitOnLive() {
        return limits.stream().anyMatch(Restriction.Kind::stopsLive);
    }

    /** Why they take no part in this work at all; null where they do. */
    @Nullable
    public Why sitsOut(Work work) {
        if (knockedToday) {
            return Why.KNOCKED;
        }
        boolean knocked = is(Restriction.Kind.HEAD_KNOCK);
        if (!work.drills() && skipsLive(work)) {
            return hasLimitOnLive() ? Why.NO_LIVE : Why.GUEST_UNKNOWN;
        }
        if (work.throwing() && knocked) {
            return Why.KNOCKED;
        }
        boolean onlyThrows = work.throwing() && !work.grounds();
        return onlyThrows && is(Restriction.Kind.NO_THROWS) ? Why.NO_THROWS : null;
    }
}

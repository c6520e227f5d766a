package lynchet.core.term.tonight;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lynchet.core.numbers.Ages;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.pair.Work;
import lynchet.core.people.Fading;
import lynchet.core.people.Restriction;
import lynchet.core.rule.Phrases;
import lynchet.core.term.Demand;
import lynchet.core.term.Teaching;
import lynchet.core.term.TermPlan;

/** Whether something suits who is here, and what it adds up to. */
final class Suits {

    /** One in four may be left out of something, by falls, limits or rank; of more it is not proposed. */
    private static final int ONE_IN = 4;

    private static final int LATELY_DAYS = 6;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private final Room room;
    private final List<Here> here;
    private final LocalDate day;
    private final Teaching teaching;
    private final ClubNumbers numbers;
    private final int unknown;

    Suits(Room room, Teaching teaching) {
        this.room = room;
        this.here = room.here();
        this.day = room.training().date();
        this.teaching = teaching;
        this.numbers = room.numbers();
        this.unknown = unknown();
    }

    /** What something adds up to; its {@code left} says why it is not for tonight. */
    Way.Suggested of(TermPlan.Goal goal) {
        String subject = goal.subject();
        int need = count(one -> one.lacks(subject));
        int rusty = count(one -> one.isRusty(subject, day));
        int unmet = count(one -> !one.met().contains(subject));
        boolean isNew = 2 * unmet > here.size();
        Work work = Work.drilling(teaching.techniques(goal));
        int waves = work.throwing() ? waves() : 1;
        int minutes = (isNew ? teaching.first(goal) : teaching.again(goal)) + teaching.waiting(goal, waves);
        int falls = (int) Math.ceil(teaching.falls(goal));
        List<String> notes = new ArrayList<>();
        Optional<String> left = left(goal, work, isNew, notes);
        boolean isPlanned = room.isPlanned(subject);
        double weight = here.stream()
                .mapToDouble(one -> weight(one, subject, isPlanned))
                .sum();
        return new Way.Suggested(
                goal,
                teaching.name(goal),
                need,
                rusty,
                here.size(),
                minutes,
                falls,
                isNew,
                weight,
                List.copyOf(notes),
                left.orElse(null),
                sentence(teaching.name(goal), need, isPlanned, rusty, isNew ? unmet : 0, minutes, waves, falls));
    }

    /** What is in the term's plan counts for half where no rank asks for it. */
    private double weight(Here one, String subject, boolean isPlanned) {
        Fading fading = one.memory().get(subject);
        double asked = Demand.weight(one.lacks(subject), fading, day);
        return isPlanned ? Math.max(asked, Demand.weight(true, fading, day) / 2) : asked;
    }

    private int count(Predicate<Here> which) {
        return (int) here.stream().filter(which).count();
    }

    /** Pairs throw in waves where the mat has not room for all of them. */
    private int waves() {
        int pairs = (here.size() + 1) / 2;
        int lanes = room.training().lanes();
        return lanes == 0 ? 1 : Math.max(1, (pairs + lanes - 1) / lanes);
    }

    private String sentence(
            String name, int need, boolean isPlanned, int rusty, int unmet, int minutes, int waves, int falls) {
        String wanted = need == 0
                ? isPlanned ? "in the term's plan" : "nobody needs it for the next rank"
                : need + " of " + here.size() + (need == 1 ? " needs" : " need") + " it for the next rank";
        return name + ": " + wanted
                + (unmet > 0 ? ", new to " + unmet : "")
                + (rusty > 0 ? ", rusty in " + rusty : "")
                + "; " + minutes + " min"
                + (waves > 1 ? " in " + waves + " waves" : "")
                + (falls > 0 ? "; " + Phrases.count(falls, "fall", "falls") + " each" : "")
                + ".";
    }

    /** Why it is not for tonight; what is to be minded is noted. */
    private Optional<String> left(TermPlan.Goal goal, Work work, boolean isNew, List<String> notes) {
        return young(goal, notes)
                .or(() -> above(goal, notes))
                .or(() -> limited(work, notes))
                .or(() -> isNew ? unready(goal) : Optional.empty())
                .or(() -> lately(goal, notes));
    }

    private Optional<String> young(TermPlan.Goal goal, List<String> notes) {
        Ages ages = teaching.techniques(goal).stream().map(numbers::ages).reduce(Ages.ANY, Ages::and);
        if (ages.never()) {
            return Optional.of("It is not trained.");
        }
        List<Here> young = here.stream().filter(one -> age(one) < ages.from()).toList();
        List<Here> shown =
                here.stream().filter(one -> age(one) < ages.shownBelow()).toList();
        if (!shown.isEmpty()) {
            notes.add(named(shown) + (shown.size() == 1 ? " is" : " are") + " under " + ages.shownBelow()
                    + ": shown, not tried live.");
        }
        return young.isEmpty()
                ? Optional.empty()
                : Optional.of(named(young) + (young.size() == 1 ? " is" : " are") + " under " + ages.from() + ".");
    }

    /** Somebody of unknown age counts as the youngest where most of those known are juniors, else as grown up. */
    private int age(Here one) {
        Integer age = one.body().age();
        return age == null ? unknown : age;
    }

    private int unknown() {
        List<Integer> known = here.stream()
                .map(one -> one.body().age())
                .filter(age -> age != null)
                .sorted()
                .toList();
        long young = known.stream().filter(age -> age < numbers.juniorsBelow()).count();
        return 2 * young > known.size() ? known.get(0) : numbers.juniorsBelow();
    }

    private Optional<String> above(TermPlan.Goal goal, List<String> notes) {
        List<Here> above = here.stream()
                .filter(one -> !room.isPlanned(goal.subject()) && !one.isTaught(goal.subject()))
                .toList();
        return few(above, "It is above the rank of " + named(above) + ".", notes);
    }

    private Optional<String> limited(Work work, List<String> notes) {
        List<Here> out =
                here.stream().filter(one -> one.body().sitsOut(work) != null).toList();
        List<Here> unthrown = here.stream()
                .filter(one ->
                        work.throwing() && !out.contains(one) && !one.body().mayBeThrown(work))
                .toList();
        return few(out, named(out) + (out.size() == 1 ? " sits" : " sit") + " it out.", notes)
                .or(() -> few(unthrown, named(unthrown) + " cannot be thrown yet, or not now.", notes))
                .or(() -> work.closes().stream()
                        .sorted()
                        .map(kind -> closed(kind, notes))
                        .flatMap(Optional::stream)
                        .findFirst());
    }

    private Optional<String> closed(Restriction.Kind kind, List<String> notes) {
        List<Here> some =
                here.stream().filter(one -> one.body().limits().contains(kind)).toList();
        String what = kind.words();
        return few(some, Character.toUpperCase(what.charAt(0)) + what.substring(1) + ": " + named(some) + ".", notes);
    }

    /** What builds on something that most of those here were never shown waits for it. */
    private Optional<String> unready(TermPlan.Goal goal) {
        Set<String> open = teaching.needs(goal).stream()
                .filter(need -> here.stream().anyMatch(one -> one.isTaught(need)))
                .filter(need -> 2 * count(one -> !one.met().contains(need)) > here.size())
                .collect(Collectors.toCollection(java.util.TreeSet::new));
        return open.isEmpty()
                ? Optional.empty()
                : Optional.of("It builds on " + name(open.iterator().next()) + ", which most here were never shown.");
    }

    private String name(String subject) {
        return teaching.map()
                .technique(subject)
                .map(technique -> technique.name().toLowerCase(Locale.ROOT))
                .orElse(subject);
    }

    /** What was met this week is not proposed again, unless most of those here were not there, or met it for the first time. */
    private Optional<String> lately(TermPlan.Goal goal, List<String> notes) {
        List<Fading> had = here.stream()
                .map(one -> one.memory().get(goal.subject()))
                .filter(one -> one != null && one.isPractised() && !one.last().isBefore(day.minusDays(LATELY_DAYS)))
                .toList();
        Optional<LocalDate> last = had.stream().map(Fading::last).max(LocalDate::compareTo);
        if (last.isEmpty()) {
            return Optional.empty();
        }
        String when = last.get().format(DAY);
        int missed = here.size() - had.size();
        if (2 * missed > here.size()) {
            notes.add("Met this week, " + when + ", but " + missed + " of " + here.size() + " were not there.");
            return Optional.empty();
        }
        if (last.get().isBefore(day)
                && had.stream().filter(one -> one.sessions() == 1).count() * 2 > had.size()) {
            notes.add("Shown for the first time on " + when + ": met again within the week, it stays.");
            return Optional.empty();
        }
        return Optional.of(had.size() + " of " + here.size() + " met it this week, on " + when + ".");
    }

    private Optional<String> few(List<Here> some, String sentence, List<String> notes) {
        if (some.isEmpty()) {
            return Optional.empty();
        }
        if (some.size() * ONE_IN > here.size()) {
            return Optional.of(sentence);
        }
        notes.add(sentence);
        return Optional.empty();
    }

    private static String named(List<Here> some) {
        List<String> names = some.stream().map(Here::called).sorted().toList();
        return names.size() <= 4
                ? Phrases.and(names)
                : Phrases.and(List.of(names.get(0), names.get(1), (names.size() - 2) + " more"));
    }
}

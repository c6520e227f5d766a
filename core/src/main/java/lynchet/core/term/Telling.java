package lynchet.core.term;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import lynchet.core.mat.TrainingClass;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.people.Contacts;
import lynchet.core.people.Student;
import lynchet.core.rule.Phrases;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * Who has to be told that a class is called off, or takes place after all: a letter where there is an e-mail address, else
 * a call, else nothing but the coach's word at the door. One letter and one call for all of a family.
 *
 * @param letters in order of the names they are about
 * @param calls in order of the names they are about
 * @param unreached those of whom neither is known
 */
public record Telling(List<Letter> letters, List<Call> calls, List<Person> unreached) {

    /** Somebody by id and the name used on the mat. */
    public record Person(String id, String calledBy) {}

    /**
     * A letter.
     *
     * @param to e-mail address
     * @param about whom it concerns
     */
    public record Letter(String to, List<Person> about, String subject, String text) {}

    /**
     * Somebody to phone.
     *
     * @param whom the guardian's name; null: the student
     */
    public record Call(String phone, @Nullable String whom, List<Person> about) {}

    /** What is said of the class. */
    public enum News {
        CALLED_OFF,
        AFTER_ALL
    }

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);

    public Telling {
        letters = Require.list(letters);
        calls = Require.list(calls);
        unreached = Require.list(unreached);
    }

    /** How somebody is reached: by letter if there is an address. */
    private record Way(
            @Nullable String email,
            @Nullable String phone,
            @Nullable String whom) {}

    /**
     * @param people those who train on the class's track; who left and guests are passed over
     * @param reason why; may be blank
     */
    public static Telling of(
            TrainingClass trained,
            String track,
            String club,
            List<Student> people,
            News news,
            String reason,
            ClubNumbers numbers) {
        Map<String, Letter> letters = new LinkedHashMap<>();
        Map<String, Call> calls = new LinkedHashMap<>();
        List<Person> unreached = new ArrayList<>();
        String subject = subject(trained, track, news);
        people.stream()
                .filter(s -> s.tracks().contains(trained.track()) && s.left() == null && s.guest() == null)
                .sorted(Comparator.comparing(Student::calledBy).thenComparing(Student::id))
                .forEach(student -> {
                    Person person = new Person(student.id(), student.calledBy());
                    Way way = way(student, trained.date(), numbers);
                    if (way.email() != null) {
                        letters.merge(
                                way.email().toLowerCase(Locale.ROOT),
                                new Letter(way.email(), List.of(person), subject, ""),
                                (a, b) -> new Letter(a.to(), joined(a.about(), b.about()), subject, ""));
                    } else if (way.phone() != null) {
                        calls.merge(
                                way.phone().replaceAll("[^0-9+]", ""),
                                new Call(way.phone(), way.whom(), List.of(person)),
                                (a, b) -> new Call(a.phone(), a.whom(), joined(a.about(), b.about())));
                    } else {
                        unreached.add(person);
                    }
                });
        return new Telling(
                letters.values().stream()
                        .map(l -> new Letter(
                                l.to(), l.about(), subject, text(trained, track, club, l.about(), news, reason)))
                        .toList(),
                List.copyOf(calls.values()),
                unreached);
    }

    /** The same, where some letters cannot be written after all: whom they are about is told by word. */
    public Telling without(List<Letter> unwritten) {
        List<Person> told = new ArrayList<>(unreached);
        unwritten.forEach(letter -> told.addAll(letter.about()));
        return new Telling(
                letters.stream().filter(letter -> !unwritten.contains(letter)).toList(), calls, told);
    }

    /** A child is reached through the guardian, or as somebody of age when no guardian is known. */
    private static Way way(Student student, LocalDate day, ClubNumbers numbers) {
        Contacts known = student.contacts();
        if (known == null) {
            return new Way(null, null, null);
        }
        boolean isChild = student.ageOn(day).map(age -> age < numbers.ofAge()).orElse(false);
        Way own = new Way(said(known.email()), said(known.phone()), null);
        Way guardian = new Way(said(known.guardianEmail()), said(known.guardianPhone()), said(known.guardian()));
        Way first = isChild ? guardian : own;
        Way second = isChild ? own : guardian;
        return first.email() == null && first.phone() == null ? second : first;
    }

    private static @Nullable String said(@Nullable String text) {
        return Optional.ofNullable(text)
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .orElse(null);
    }

    private static List<Person> joined(List<Person> a, List<Person> b) {
        List<Person> all = new ArrayList<>(a);
        all.addAll(b);
        return List.copyOf(all);
    }

    private static String subject(TrainingClass trained, String track, News news) {
        return "%s on %s at %s %s"
                .formatted(
                        track,
                        trained.date().format(DAY),
                        trained.start(),
                        news == News.CALLED_OFF ? "is called off" : "takes place after all");
    }

    private static String text(
            TrainingClass trained, String track, String club, List<Person> about, News news, String reason) {
        String names = Phrases.and(about.stream().map(Person::calledBy).toList());
        String because = reason == null || reason.isBlank() ? "" : "\n" + reason.strip() + "\n";
        return "Hello,\n\n%s\n%s\nThis is for %s.\n\n%s\n"
                .formatted(subject(trained, track, news) + ".", because, names, club);
    }
}

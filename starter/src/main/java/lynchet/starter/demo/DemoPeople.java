package lynchet.starter.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import lynchet.core.people.Contacts;
import lynchet.core.people.HeldRank;
import lynchet.core.people.Hold;
import lynchet.core.people.Lead;
import lynchet.core.people.Restriction;
import lynchet.core.people.Student;

/** The sixteen made-up people of the demo club. */
final class DemoPeople {

    private DemoPeople() {}

    /**
     * One person and how they train.
     *
     * @param comes chance of coming to a class of one's own, 0 to 1
     * @param passed share of the present rank's syllabus that is passed, 0 to 1
     * @param oneSided whether drills were done on the right side only
     * @param gone weeks since the last class, 0: still coming
     */
    record Person(Student student, double comes, double passed, boolean oneSided, int gone) {}

    static List<Person> of(LocalDate today) {
        return List.of(
                adult(today, 1, "Orla Fenwick", null, 34, 64, 168, Lead.RIGHT, "white", 2, 40, 78, 0.85, 0.7),
                adult(today, 2, "Tobias Marrow", "Tobi", 27, 82, 181, Lead.RIGHT, "white", 3, 44, 90, 0.9, 1.0),
                adult(today, 3, "Ines Calloway", null, 41, 58, 162, Lead.LEFT, "white", 1, 22, 30, 0.6, 0.4),
                adult(today, 4, "Bram Oakhurst", null, 22, 95, 188, Lead.RIGHT, "white", 0, 7, 0, 0.75, 0.15),
                adult(today, 5, "Nadia Thorne", null, 30, 61, 170, Lead.RIGHT, "yellow", 2, 44, 66, 0.8, 0.75),
                adult(today, 6, "Ellis Quayle", null, 38, 77, 176, Lead.LEFT, "yellow", 3, 50, 88, 0.7, 0.95),
                held(
                        adult(today, 7, "Rowan Pettifer", null, 19, 71, 174, Lead.RIGHT, "yellow", 3, 60, 92, 0.9, 1.0),
                        new Hold(
                                today.minusWeeks(5),
                                today.plusWeeks(7),
                                "Lets partners land hard; show calm finishes for two months.",
                                "head",
                                null)),
                adult(today, 8, "Maud Sallow", null, 52, 66, 165, Lead.RIGHT, "orange", 1, 30, 40, 0.65, 0.5),
                limited(
                        adult(today, 9, "Kit Harrowgate", null, 25, 88, 183, Lead.RIGHT, "orange", 2, 48, 70, 0.5, 0.6),
                        new Restriction(
                                Restriction.Kind.NO_THROWS_TAKEN,
                                today.minusWeeks(3),
                                today.plusWeeks(2),
                                "left shoulder")),
                adult(today, 10, "Vera Lindqvist-Poole", "Vera", 45, 70, 172, Lead.BOTH, "green", 1, 70, 52, 0.7, 0.45),
                absent(adult(today, 11, "Jonah Wick", null, 31, 79, 178, Lead.RIGHT, "white", 1, 35, 34, 0.7, 0.3), 6),
                junior(today, 12, "Pia Thorne", 9, 30, 134, "junior-white", 2, 20, 24, 0.85, 0.8),
                junior(today, 13, "Milo Thorne", 12, 41, 151, "junior-white-yellow", 1, 24, 16, 0.85, 0.5),
                junior(today, 14, "Tess Ashgrove", 11, 37, 146, "junior-white-yellow", 3, 36, 44, 0.9, 1.0),
                limited(
                        junior(today, 15, "Odd Farrier", 13, 52, 160, "junior-yellow", 0, 14, 4, 0.6, 0.3),
                        new Restriction(
                                Restriction.Kind.ONE_SIDE_ONLY, today.minusDays(9), today.plusDays(12), "right wrist")),
                junior(today, 16, "Lark Bellweather", 8, 27, 128, "junior-white", 0, 5, 0, 0.7, 0.1));
    }

    private static Person adult(
            LocalDate today,
            int n,
            String name,
            String calledBy,
            int age,
            double kg,
            int cm,
            Lead lead,
            String rank,
            int stripes,
            int weeksInRank,
            int credit,
            double comes,
            double passed) {
        return person(
                today,
                n,
                name,
                calledBy,
                age,
                kg,
                cm,
                lead,
                "adult",
                rank,
                stripes,
                weeksInRank,
                credit,
                comes,
                passed,
                List.of("fundamentals", "throws", "no-jacket"));
    }

    private static Person junior(
            LocalDate today,
            int n,
            String name,
            int age,
            double kg,
            int cm,
            String rank,
            int stripes,
            int weeksInRank,
            int credit,
            double comes,
            double passed) {
        return person(
                today,
                n,
                name,
                null,
                age,
                kg,
                cm,
                Lead.RIGHT,
                "junior",
                rank,
                stripes,
                weeksInRank,
                credit,
                comes,
                passed,
                List.of("juniors"));
    }

    private static Person person(
            LocalDate today,
            int n,
            String name,
            String calledBy,
            int age,
            double kg,
            int cm,
            Lead lead,
            String ladder,
            String rank,
            int stripes,
            int weeksInRank,
            int credit,
            double comes,
            double passed,
            List<String> tracks) {
        String id = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z]+", "-");
        LocalDate since = today.minusWeeks(weeksInRank);
        String surname = name.substring(name.lastIndexOf(' ') + 1);
        Contacts contacts = ladder.equals("junior")
                ? new Contacts(
                        "Parent " + surname, "0555 01" + (10 + n), "Grandparent " + surname, "0555 02" + (10 + n))
                : new Contacts(null, null, "Household " + surname, "0555 03" + (10 + n));
        Student student = new Student(
                id,
                name,
                calledBy,
                String.valueOf(4000 + 7 * n),
                today.minusYears(age).minusDays(31L * n),
                since.minusWeeks(1),
                null,
                kg,
                today.minusWeeks(n),
                cm,
                lead,
                List.of(new HeldRank(ladder, rank, stripes, since)),
                tracks,
                credit,
                today.plusDays(n == 6 ? -8 : 40 + 9L * n),
                contacts,
                List.of(),
                List.of(),
                List.of(),
                n == 3 ? "Prefers to start standing drills on the left." : "");
        return new Person(student, comes, passed, n == 2 || n == 8, 0);
    }

    private static Person held(Person person, Hold hold) {
        return new Person(
                with(person.student(), List.of(hold), List.of()),
                person.comes(),
                person.passed(),
                person.oneSided(),
                0);
    }

    private static Person limited(Person person, Restriction restriction) {
        Student student = with(person.student(), List.of(), List.of(restriction));
        return new Person(student, person.comes(), person.passed(), person.oneSided(), 0);
    }

    private static Person absent(Person person, int weeks) {
        return new Person(person.student(), person.comes(), person.passed(), person.oneSided(), weeks);
    }

    private static Student with(Student s, List<Hold> holds, List<Restriction> restrictions) {
        return new Student(
                s.id(),
                s.name(),
                s.calledBy(),
                s.card(),
                s.born(),
                s.joined(),
                s.left(),
                s.weightKg(),
                s.weighed(),
                s.heightCm(),
                s.lead(),
                s.ranks(),
                s.tracks(),
                s.priorClasses(),
                s.memberUntil(),
                s.contacts(),
                holds,
                restrictions,
                s.keepApart(),
                s.notes());
    }
}

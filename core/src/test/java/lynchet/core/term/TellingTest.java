package lynchet.core.term;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import lynchet.core.mat.TrainingClass;
import lynchet.core.mat.TrainingClassBuilder;
import lynchet.core.numbers.ClubNumbers;
import lynchet.core.people.Contacts;
import lynchet.core.people.Student;
import lynchet.core.people.StudentBuilder;
import org.junit.jupiter.api.Test;

/** Tuesday 3 March 2026, Juniors at five: who is told that it is called off. */
class TellingTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 3);
    private static final TrainingClass JUNIORS = TrainingClassBuilder.builder()
            .id("c")
            .date(DAY)
            .start(LocalTime.of(17, 0))
            .minutes(60)
            .track("juniors")
            .cancelled(true)
            .build();

    private static Student student(String name, Integer age, Contacts contacts) {
        return student(name, age, contacts, null, null);
    }

    private static Student student(String name, Integer age, Contacts contacts, LocalDate left, Student.Guest guest) {
        LocalDate born = age == null ? null : DAY.minusYears(age);
        return StudentBuilder.builder()
                .id(name.toLowerCase(java.util.Locale.ROOT))
                .name(name)
                .born(born)
                .joined(DAY)
                .left(left)
                .guest(guest)
                .tracks(List.of("juniors"))
                .contacts(contacts)
                .build();
    }

    private static Contacts own(String phone, String email) {
        return new Contacts(phone, email, null, null, null, "Aunt", "0999");
    }

    private static Contacts guardian(String phone, String email) {
        return new Contacts("0111", "own@mail.example", "Parent Reed", phone, email, "Aunt", "0999");
    }

    private static Telling told(Student... people) {
        return Telling.of(
                JUNIORS,
                "Juniors",
                "Mill Lane",
                List.of(people),
                Telling.News.CALLED_OFF,
                "The coach is ill.",
                ClubNumbers.USUAL);
    }

    @Test
    void aFamilyGetsOneLetterOrOneCall() {
        Telling told = told(
                student("Zoe", 9, guardian(null, "reed@mail.example")),
                student("Ada", 12, guardian("0555 1", "Reed@mail.example")),
                student("Ben", 9, guardian("0555 2", null)),
                student("Cal", 7, guardian("05552", " ")));
        assertThat(told.letters()).singleElement().satisfies(letter -> {
            assertThat(letter.to()).isEqualTo("Reed@mail.example");
            assertThat(letter.subject()).isEqualTo("Juniors on Tuesday 3 March at 17:00 is called off");
            assertThat(letter.text())
                    .isEqualTo("Hello,\n\nJuniors on Tuesday 3 March at 17:00 is called off.\n\nThe coach is ill.\n\n"
                            + "This is for Ada and Zoe.\n\nMill Lane\n");
        });
        assertThat(told.calls()).singleElement().satisfies(call -> {
            assertThat(call.phone()).isEqualTo("0555 2");
            assertThat(call.whom()).isEqualTo("Parent Reed");
            assertThat(call.about()).extracting(Telling.Person::calledBy).containsExactly("Ben", "Cal");
        });
        assertThat(told.unreached()).isEmpty();
    }

    @Test
    void aChildIsReachedThroughTheGuardianAndSomebodyOfAgeNot() {
        Telling told = told(
                student("Kim", 17, guardian("0555", "reed@mail.example")),
                student("Lou", 18, guardian("0555", "reed@mail.example")));
        assertThat(told.letters())
                .extracting(Telling.Letter::to)
                .containsExactly("reed@mail.example", "own@mail.example");
    }

    @Test
    void whoIsKnownByNeitherIsNamedAndWhoIsGoneOrVisitingIsNotTold() {
        Telling told = told(
                student("Max", null, null),
                student("Ned", 30, own(null, null)),
                student("Ola", 8, own("0777", null)),
                student("Pat", 30, own("0555", "pat@mail.example"), DAY.minusDays(1), null),
                student("Quin", 30, own("0555", "quin@mail.example"), null, new Student.Guest(true)));
        assertThat(told.letters()).isEmpty();
        assertThat(told.calls())
                .singleElement()
                .returns(null, Telling.Call::whom)
                .returns("0777", Telling.Call::phone);
        assertThat(told.unreached()).extracting(Telling.Person::id).containsExactly("max", "ned");
    }

    @Test
    void thatItTakesPlaceAfterAllIsAnotherLetter() {
        Telling told = Telling.of(
                JUNIORS,
                "Juniors",
                "Mill Lane",
                List.of(student("Ada", 30, own(null, "ada@mail.example"))),
                Telling.News.AFTER_ALL,
                "",
                ClubNumbers.USUAL);
        assertThat(told.letters().get(0).text())
                .startsWith("Hello,\n\nJuniors on Tuesday 3 March at 17:00 takes place after all.\n\nThis is for Ada.");
    }
}

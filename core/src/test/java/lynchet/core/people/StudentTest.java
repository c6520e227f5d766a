package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class StudentTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private static Student student(LocalDate born) {
        return student(born, null);
    }

    private static Student student(LocalDate born, Student.Guest guest) {
        return StudentBuilder.builder()
                .id("ana")
                .name("Ana Maria Test")
                .card("11")
                .born(born)
                .joined(DAY)
                .guest(guest)
                .weightKg(61.5)
                .weighed(DAY)
                .heightCm(170)
                .tracks(List.of("all"))
                .priorClasses(4)
                .memberUntil(DAY)
                .contacts(new Contacts("0557", "ana@mail.example", "Parent", "0555", null, "Aunt", "0556"))
                .holds(List.of(new Hold(DAY, null, "calm down first", "coach", null, null)))
                .restrictions(List.of(new Restriction(Restriction.Kind.NO_NECK, DAY, null, "left shoulder")))
                .keepApart(List.of("ben"))
                .notes("Prefers to start seated")
                .build();
    }

    /** Who said "twelve" at the door is thirteen a year later; a birth date, once known, counts instead. */
    @Test
    void aGuestIsAsOldAsTheySaid() {
        Student guest = guest(null, 12);
        assertThat(guest.ageOn(DAY)).hasValue(12);
        assertThat(guest.ageOn(DAY.plusYears(1))).hasValue(13);
        assertThat(guest(LocalDate.of(2000, 1, 1), 12).ageOn(DAY)).hasValue(26);
        assertThat(guest(null, null).ageOn(DAY)).isEmpty();
        assertThat(guest.withoutPrivate().guest()).isEqualTo(new Student.Guest(true));
    }

    private static Student guest(LocalDate born, Integer age) {
        return student(born, new Student.Guest(true, age));
    }

    @Test
    void anAgeIsReachedOnTheBirthdayAndNotADaySooner() {
        Student leap = student(LocalDate.of(2012, 2, 29));
        assertThat(leap.ageOn(LocalDate.of(2025, 2, 27))).hasValue(12);
        assertThat(leap.ageOn(LocalDate.of(2025, 3, 1))).hasValue(13);
        assertThat(student(null).ageOn(DAY)).isEmpty();
        assertThat(leap.calledBy()).isEqualTo("Ana");
    }

    @Test
    void nothingPrivateIsLeftForWhoeverMayNotSeeIt() {
        Student shown = student(LocalDate.of(2012, 2, 29)).withoutPrivate();
        assertThat(shown.toString())
                .contains("ana", "all", "11")
                .doesNotContain(
                        "2012",
                        "61.5",
                        "170",
                        "0555",
                        "0557",
                        "mail.example",
                        "Aunt",
                        "calm down",
                        "shoulder",
                        "ben",
                        "seated");
    }

    @Test
    void aRestrictionHoldsOnItsFirstAndItsLastDay() {
        Restriction limited = new Restriction(Restriction.Kind.NO_LIVE, DAY, DAY.plusDays(2), null);
        assertThat(limited.holdsOn(DAY.minusDays(1))).isFalse();
        assertThat(limited.holdsOn(DAY)).isTrue();
        assertThat(limited.holdsOn(DAY.plusDays(2))).isTrue();
        assertThat(limited.holdsOn(DAY.plusDays(3))).isFalse();
        assertThat(new Restriction(Restriction.Kind.HEAD_KNOCK, DAY, null, null).holdsOn(DAY.plusYears(3)))
                .isTrue();
    }

    @Test
    void aHoldStandsUntilTheDayItIsLifted() {
        Hold hold = new Hold(DAY, null, "wait", "coach", DAY.plusDays(5), null);
        assertThat(hold.standsOn(DAY.minusDays(1))).isFalse();
        assertThat(hold.standsOn(DAY.plusDays(4))).isTrue();
        assertThat(hold.standsOn(DAY.plusDays(5))).isFalse();
    }
}

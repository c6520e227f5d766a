package lynchet.format.ics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import lynchet.core.mat.TrainingClass;
import lynchet.core.mat.TrainingClassBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Calendar files in and out, and such as are no calendar. */
class IcsTest {

    private static String ics(String... lines) {
        return "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//A school//EN\r\n" + String.join("\r\n", lines)
                + "\r\nEND:VCALENDAR\r\n";
    }

    private static String event(String... lines) {
        return "BEGIN:VEVENT\r\nUID:one\r\nDTSTAMP:20260101T000000Z\r\n" + String.join("\r\n", lines)
                + "\r\nEND:VEVENT";
    }

    private static DaysOff.Off off(String name, String from, String until) {
        return new DaysOff.Off(name, LocalDate.parse(from), LocalDate.parse(until));
    }

    @Test
    void wholeDaysAreTakenAndWhatHasATimeIsNot() {
        DaysOff read = DaysOff.of(ics(
                event("SUMMARY:Winter\\, long", "DTSTART;VALUE=DATE:20261221", "DTEND;VALUE=DATE:20270104"),
                event("SUMMARY:One day", "DTSTART;VALUE=DATE:20261031"),
                event("SUMMARY:Parents' evening", "DTSTART:20261105T180000Z", "DTEND:20261105T200000Z"),
                event(
                        "SUMMARY:Hall shut",
                        "DTSTART;VALUE=DATE:20261102",
                        "RRULE:FREQ=WEEKLY;COUNT=3",
                        "EXDATE;VALUE=DATE:20261109")));
        assertThat(read.off())
                .containsExactly(
                        off("One day", "2026-10-31", "2026-10-31"),
                        off("Hall shut", "2026-11-02", "2026-11-02"),
                        off("Hall shut", "2026-11-16", "2026-11-16"),
                        off("Winter, long", "2026-12-21", "2027-01-03"));
        assertThat(read.timed()).isEqualTo(1);
    }

    /** Other programs write zones that they do not describe; when a day's hours are is nobody's question here. */
    @Test
    void aTimeInAZoneThatNobodyKnowsIsATime() {
        DaysOff read = DaysOff.of(ics(
                event(
                        "SUMMARY:Evening",
                        "DTSTART;TZID=Customized Time Zone:20270105T100000",
                        "DTEND;TZID=Customized Time Zone:20270105T120000"),
                event(
                        "SUMMARY:Hall",
                        "DTSTART;VALUE=DATE:20261102",
                        "RRULE:FREQ=WEEKLY;COUNT=2",
                        "EXDATE;TZID=Customized Time Zone:20261109T100000")));
        assertThat(read.timed()).isEqualTo(1);
        assertThat(read.off()).hasSize(2);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SUMMARY:Ever,DTSTART;VALUE=DATE:20261221,RRULE:FREQ=YEARLY | ICS_ENDLESS | Event 1, Ever, recurs without an end",
                "SUMMARY:Back,DTSTART;VALUE=DATE:20261221,DTEND;VALUE=DATE:20261201 | ICS_DAY | ends before it begins",
                "SUMMARY:Long,DTSTART;VALUE=DATE:20261221,DTEND;VALUE=DATE:20291201 | ICS_DAY | longer than a year",
                "SUMMARY:No day | ICS_DAY | Event 1, No day, has no DTSTART",
                "SUMMARY:Many,DTSTART;VALUE=DATE:20261221,RRULE:FREQ=DAILY;COUNT=100000 | ICS_MANY | more than 500",
                "SUMMARY:Quick,DTSTART;VALUE=DATE:20261221,RRULE:FREQ=SECONDLY;COUNT=90000000 | ICS_NONSENSE | recurs in a way",
                "SUMMARY:Odd,DTSTART;VALUE=DATE:2026-13-45 | ICS_NONSENSE | not iCalendar",
            })
    void whatCannotBeTakenSaysWhatAndWhere(String lines, String code, String says) {
        assertThatThrownBy(() -> DaysOff.of(ics(event(lines.strip().split(",")))))
                .isInstanceOfSatisfying(BadCalendar.class, bad -> {
                    assertThat(bad.code()).isEqualTo(code);
                    assertThat(bad.getMessage()).contains(says);
                });
    }

    @Test
    void nonsenseIsRefused() {
        for (String text : List.of(
                "",
                "hello",
                "BEGIN:VCALENDAR",
                "BEGIN:VCALENDAR\r\nEND:VEVENT\r\n",
                "{\"a\":1}",
                "\u0000\u0001",
                "END:VCALENDAR",
                "BEGIN:VEVENT\r\n".repeat(100_000))) {
            assertThatThrownBy(() -> DaysOff.of(text))
                    .as(text.substring(0, Math.min(20, text.length())))
                    .isInstanceOf(BadCalendar.class);
        }
    }

    @Test
    void whatIsWrittenIsReadAgain() {
        TrainingClass training = TrainingClassBuilder.builder()
                .id("tue-2026-11-24")
                .date(LocalDate.of(2026, 11, 24))
                .start(LocalTime.of(18, 30))
                .minutes(90)
                .track("all")
                .slot("tue")
                .area("Long; mat")
                .theme("Hip throw, sweep")
                .cancelled(true)
                .build();
        String written = new ClassesIcs(Instant.parse("2026-11-20T10:00:00Z"))
                .classes(List.of(training), track -> "Everybody")
                .days("winter", "Winter", LocalDate.of(2026, 12, 21), LocalDate.of(2027, 1, 3))
                .toString();
        assertThat(written)
                .contains("UID:tue-2026-11-24@lynchet")
                .contains("DTSTART:20261124T183000\r\n")
                .contains("DTEND:20261124T200000\r\n")
                .contains("SUMMARY:Everybody")
                .contains("LOCATION:Long\\; mat")
                .contains("DESCRIPTION:Hip throw\\, sweep")
                .contains("STATUS:CANCELLED")
                .contains("DTSTAMP:20261120T100000Z");
        assertThat(DaysOff.of(written).off()).containsExactly(off("Winter", "2026-12-21", "2027-01-03"));
    }
}

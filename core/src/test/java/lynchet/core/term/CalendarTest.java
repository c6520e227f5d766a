package lynchet.core.term;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import lynchet.core.mat.Track;
import lynchet.core.mat.TrainingClass;
import org.junit.jupiter.api.Test;

class CalendarTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

    private static Track.Slot slot(String id, LocalDate from, LocalDate until, DayOfWeek day, int hour) {
        return new Track.Slot(id, from, until, day, LocalTime.of(hour, 0), 60, "Long Mat", "coach", 0);
    }

    private final Track throwing = new Track(
            "throws",
            "Throws",
            null,
            List.of(
                    slot("throws-mon", null, null, DayOfWeek.MONDAY, 19),
                    slot("throws-wed", MONDAY, MONDAY.plusDays(10), DayOfWeek.WEDNESDAY, 19)),
            List.of());
    private final Track juniors = new Track(
            "juniors", "Juniors", null, List.of(slot("juniors", null, null, DayOfWeek.MONDAY, 17)), List.of());

    private List<String> ids(List<Term> terms, LocalDate from, LocalDate to) {
        return Calendar.of(List.of(throwing, juniors), terms, List.of()).between(from, to).stream()
                .map(TrainingClass::id)
                .toList();
    }

    @Test
    void aSlotGivesAClassOnItsWeekdayWhileItHolds() {
        assertThat(ids(List.of(), MONDAY, MONDAY.plusDays(9)))
                .containsExactly(
                        "juniors-2026-03-02",
                        "throws-mon-2026-03-02",
                        "throws-wed-2026-03-04",
                        "juniors-2026-03-09",
                        "throws-mon-2026-03-09",
                        "throws-wed-2026-03-11");
        assertThat(ids(List.of(), MONDAY.minusDays(5), MONDAY.minusDays(5)))
                .as("a Wednesday before the slot began")
                .isEmpty();
        assertThat(ids(List.of(), MONDAY.plusDays(16), MONDAY.plusDays(16)))
                .as("and one after it ended")
                .isEmpty();
    }

    @Test
    void aTermUsesSomeSlotsAndIsClosedOnSomeDays() {
        Term spring = new Term(
                "spring",
                "Spring",
                MONDAY,
                MONDAY.plusDays(13),
                List.of("throws-mon", "throws-wed"),
                List.of(MONDAY.plusDays(2)),
                null);
        assertThat(ids(List.of(spring), MONDAY, MONDAY.plusDays(14)))
                .containsExactly(
                        "throws-mon-2026-03-02",
                        "throws-mon-2026-03-09",
                        "throws-wed-2026-03-11",
                        "juniors-2026-03-16",
                        "throws-mon-2026-03-16");
        TrainingClass first = Calendar.of(List.of(throwing), List.of(spring), List.of())
                .between(MONDAY, MONDAY)
                .get(0);
        assertThat(first)
                .returns("spring", TrainingClass::term)
                .returns("throws-mon", TrainingClass::slot)
                .returns("coach", TrainingClass::coach)
                .returns(LocalTime.of(19, 0), TrainingClass::start);
    }

    @Test
    void aClosureTakesItsDaysFromItsTracks() {
        LocalDate next = MONDAY.plusDays(7);
        Closure hall = new Closure("hall", "Hall let out", MONDAY, MONDAY.plusDays(2), List.of("throws"));
        Closure feast = new Closure("feast", "Feast", next, next, List.of());
        assertThat(Calendar.of(List.of(throwing, juniors), List.of(), List.of(hall, feast))
                        .between(MONDAY, next.plusDays(2)))
                .extracting(TrainingClass::id)
                .containsExactly("juniors-2026-03-02", "throws-wed-2026-03-11");
    }

    @Test
    void aClassIsFoundByItsIdOnlyOnADayThatItsSlotHas() {
        Calendar calendar = Calendar.of(List.of(throwing, juniors), List.of(), List.of());
        assertThat(calendar.find("throws-wed-2026-03-04")).isPresent();
        assertThat(calendar.find("throws-wed-2026-03-05")).isEmpty();
        assertThat(calendar.find("throws-wed-2026-04-01"))
                .as("the slot has ended")
                .isEmpty();
        assertThat(calendar.find("throws-wed-soon")).isEmpty();
        assertThat(calendar.find("seminar")).isEmpty();
    }
}

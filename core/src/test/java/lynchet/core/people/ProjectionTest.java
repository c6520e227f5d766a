package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class ProjectionTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);
    private static final LocalDate MONDAY = LocalDate.of(2026, 11, 23);

    private static ClubPace open(int weeks, double classesAWeek) {
        Set<LocalDate> mondays = new TreeSet<>();
        for (int i = 0; i < weeks; i++) {
            mondays.add(MONDAY.minusWeeks(i));
        }
        return new ClubPace(mondays, classesAWeek);
    }

    /**
     * The worked figures, 9 to go at 1.7 a week, against a table of chi squared with 18 degrees: 12.857, 17.338 and 22.760
     * halved and divided by 1.7 are 3.78, 5.10 and 6.69 weeks, so 27, 36 and 47 days.
     */
    @Test
    void theDaysAreThoseOfTheTable() {
        Projection projection =
                Projection.of(9, 14, TODAY.minusYears(1), open(8, 1.5), TODAY).orElseThrow();
        assertThat(projection.perWeek()).isCloseTo(1.7, within(1e-12));
        assertThat(projection.early()).isEqualTo(TODAY.plusDays(27));
        assertThat(projection.median()).isEqualTo(TODAY.plusDays(36));
        assertThat(projection.late()).isEqualTo(TODAY.plusDays(47));
    }

    /** (6 + 2 · 1.5)/(w + 2): only weeks in which the club was open and they were here; the week of joining is one. */
    @Test
    void onlyWeeksThatCouldBeTrainedCount() {
        assertThat(perWeek(open(8, 1.5), TODAY.minusYears(1))).isCloseTo(9.0 / 10, within(1e-12));
        assertThat(perWeek(open(5, 1.5), TODAY.minusYears(1))).isCloseTo(9.0 / 7, within(1e-12));
        assertThat(perWeek(open(8, 1.5), MONDAY.minusWeeks(2).plusDays(6))).isCloseTo(9.0 / 5, within(1e-12));
        assertThat(perWeek(open(8, 1.5), MONDAY.minusWeeks(1))).isCloseTo(9.0 / 4, within(1e-12));
        assertThat(perWeek(open(9, 1.5), TODAY.minusYears(1)))
                .as("eight weeks may touch nine Mondays")
                .isCloseTo(9.0 / 10, within(1e-12));
    }

    private static double perWeek(ClubPace pace, LocalDate joined) {
        return Projection.of(5, 6, joined, pace, TODAY).orElseThrow().perWeek();
    }

    @Test
    void nothingToGoIsTodayAndNobodyThereIsNoDate() {
        assertThat(Projection.of(0, 0, TODAY, open(8, 1), TODAY)).hasValue(new Projection(0, TODAY, TODAY, TODAY));
        assertThat(Projection.of(1, 0, TODAY, open(8, 1), TODAY)).isEmpty();
        assertThat(Projection.of(10_000, 1, TODAY.minusYears(1), open(8, 0), TODAY)
                        .orElseThrow()
                        .late())
                .as("a hundred years at most")
                .isEqualTo(TODAY.plusDays(36_400));
    }

    /** 24 and 8 classes in four open weeks are 6 and 2 a week: 4 in the mean. */
    @Test
    void thePaceIsThatOfOpenWeeks() {
        List<LocalDate> days = List.of(
                MONDAY,
                MONDAY.minusDays(1),
                MONDAY.minusDays(9),
                MONDAY.minusWeeks(3),
                MONDAY.minusWeeks(3).plusDays(2));
        ClubPace pace = ClubPace.of(days, List.of(24, 8));
        assertThat(pace.openWeeks())
                .containsExactly(MONDAY.minusWeeks(3), MONDAY.minusWeeks(2), MONDAY.minusWeeks(1), MONDAY);
        assertThat(pace.classesAWeek()).isEqualTo(4);
        assertThat(ClubPace.of(List.of(), List.of())).isEqualTo(new ClubPace(Set.of(), 0));
        assertThat(ClubPace.of(List.of(), List.of(3)).classesAWeek()).isEqualTo(3);
        List<LocalDate> nine = java.util.stream.IntStream.range(0, 9)
                .mapToObj(MONDAY::minusWeeks)
                .toList();
        assertThat(ClubPace.of(nine, List.of(16)).classesAWeek()).isEqualTo(2);
        assertThat(ClubPace.from(TODAY)).isEqualTo(TODAY.minusWeeks(8));
    }
}

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
        Projection projection = told(9, 14, TODAY.minusYears(1), open(8, 1.5)).projection();
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
        return told(5, 6, joined, pace).projection().perWeek();
    }

    /** As somebody who has come for weeks and months before these. */
    private static Projection.Answer told(int toGo, int recent, LocalDate joined, ClubPace pace) {
        return Projection.of(toGo, new Recent(recent, TODAY.minusWeeks(8)), recent + 50, joined, pace, TODAY);
    }

    @Test
    void nothingToGoIsTodayAndNobodyThereIsNoDate() {
        assertThat(told(0, 0, TODAY, open(8, 1)))
                .isEqualTo(new Projection.Answer(new Projection(0, TODAY, TODAY, TODAY), null));
        assertThat(Projection.of(1, Recent.NONE, 50, TODAY, open(8, 1), TODAY))
                .isEqualTo(new Projection.Answer(null, Projection.Silence.NOT_ATTENDING));
    }

    /** At one class a week 100 more take two years less four weeks, 110 two years and some; 2031 is told to nobody. */
    @Test
    void beyondTwoYearsNothingIsTold() {
        ClubPace weekly = open(8, 1);
        assertThat(told(100, 8, TODAY.minusYears(1), weekly).silence()).isNull();
        assertThat(told(110, 8, TODAY.minusYears(1), weekly))
                .isEqualTo(new Projection.Answer(null, Projection.Silence.TOO_FAR));
    }

    /** Four weeks from the first class that counted, and four classes. */
    @Test
    void untilThereIsAPaceItIsTooEarlyToSay() {
        assertThat(silence(4, TODAY.minusWeeks(4), 4)).isNull();
        assertThat(silence(4, TODAY.minusWeeks(4).plusDays(1), 4)).isEqualTo(Projection.Silence.TOO_EARLY);
        assertThat(silence(3, TODAY.minusWeeks(7), 3)).isEqualTo(Projection.Silence.TOO_EARLY);
        assertThat(silence(2, TODAY.minusWeeks(1), 12))
                .as("came before, was away")
                .isNull();
        assertThat(silence(12, TODAY.minusWeeks(8), 1))
                .as("was promoted last week")
                .isNull();
    }

    private static Projection.Silence silence(int recent, LocalDate first, int sinceRank) {
        return Projection.of(9, new Recent(recent, first), sinceRank, TODAY.minusYears(1), open(8, 1.5), TODAY)
                .silence();
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

package lynchet.core.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Policy;
import org.junit.jupiter.api.Test;

/** What of the classes somebody was in counts on a ladder. */
class RecentTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);
    private static final Map<LocalDate, List<String>> SEEN = Map.of(
            MONDAY,
            List.of("wrestling"),
            MONDAY.plusDays(1),
            List.of("adults", "adults", "wrestling"),
            MONDAY.plusDays(3),
            List.of("adults"));

    private static Ladder ladder(boolean oneADay, String... tracks) {
        Policy policy = new Policy(null, null, 0, oneADay, null, 0, 0, 0, null, false, false, false);
        return new Ladder("adult", "Adult", 0, 0, null, false, List.of(), policy, null, null, List.of(tracks), null);
    }

    @Test
    void whatCountsIsOfItsTracksAndOneADayWhereThePolicySaysSo() {
        assertThat(Recent.of(ladder(false), SEEN)).isEqualTo(new Recent(5, MONDAY));
        assertThat(Recent.of(ladder(true), SEEN)).isEqualTo(new Recent(3, MONDAY));
        assertThat(Recent.of(ladder(false, "adults"), SEEN)).isEqualTo(new Recent(3, MONDAY.plusDays(1)));
        assertThat(Recent.of(ladder(true, "adults"), SEEN)).isEqualTo(new Recent(2, MONDAY.plusDays(1)));
        assertThat(Recent.of(ladder(true, "juniors"), SEEN)).isEqualTo(Recent.NONE);
    }
}

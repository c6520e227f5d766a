package lynchet.core.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import lynchet.core.map.Family;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.TinyMap;
import lynchet.core.round.Round.Event;
import lynchet.core.round.Round.Intent;
import lynchet.core.round.Round.Outcome;
import lynchet.core.round.Round.Who;
import lynchet.core.walk.Chance;
import org.junit.jupiter.api.Test;

class RoundEvidenceTest {

    private static final GrapplingMap MAP = new TinyMap()
            .add(TinyMap.card("one", Family.SWEEP, 1, 3, null, null, null, null))
            .add(TinyMap.card("other", Family.SWEEP, 1, 5, null, null, null, null))
            .link("tried", "s", "one", "s")
            .link("rest", "s", "one", "s")
            .link("hard", "s", "other", "s")
            .map();

    private static List<Event> events(String link, Outcome outcome, int n) {
        return Collections.nCopies(n, new Event(1, Who.FIRST, link, null, null, Intent.TRY, outcome, null, null));
    }

    private static RoundEvidence evidence(List<Event> events) {
        return RoundEvidence.of(
                MAP,
                RoundEvidence.tally(List.of(new Round(
                        "r",
                        Instant.EPOCH,
                        null,
                        "a",
                        "b",
                        null,
                        null,
                        new Round.Ended(Round.How.TIME, null, null, null),
                        events,
                        null))));
    }

    /** The design's figures: a family with 18 of 40 works in 0.43; 9 of 12 with master 3 is 0.622. */
    @Test
    void theWorkedFigures() {
        List<Event> events = new ArrayList<>(events("tried", Outcome.WORKED, 9));
        events.addAll(events("tried", Outcome.STOPPED, 3));
        events.addAll(events("rest", Outcome.WORKED, 9));
        events.addAll(events("rest", Outcome.COUNTERED, 19));
        Chance chance = evidence(events).of(MAP.link("tried").orElseThrow());
        assertThat(chance.estimate()).isCloseTo(0.622, within(1e-9));
        assertThat(chance.tries()).isEqualTo(12);
        assertThat(evidence(events).estimate(MAP.link("tried").orElseThrow())).isEqualTo(chance.estimate());
        assertThat(chance.low()).isBetween(0.45, 0.50);
        assertThat(chance.high()).isBetween(0.74, 0.78);
        assertThat(evidence(events).of(MAP.link("hard").orElseThrow()).estimate())
                .isCloseTo(0.43 * 0.7, within(1e-9));
    }

    @Test
    void withoutRoundsItIsWhatIsUsualForTheFamily() {
        Chance chance = evidence(List.of()).of(MAP.link("tried").orElseThrow());
        assertThat(chance.estimate()).isCloseTo(0.35, within(1e-9));
        assertThat(chance.isTooFew()).isTrue();
    }

    @Test
    void aPartialIsHalfAndAThreatIsNothing() {
        List<Event> half = events("tried", Outcome.PARTIAL, 4);
        Chance partial = evidence(half).of(MAP.link("tried").orElseThrow());
        double mean = (2 + 3.5) / 14;
        assertThat(partial.estimate()).isCloseTo((8 * mean + 2) / 12, within(1e-9));
        Event threat = new Event(1, Who.FIRST, "tried", null, null, Intent.THREAT, Outcome.STOPPED, null, null);
        assertThat(evidence(List.of(threat)).of(MAP.link("tried").orElseThrow()).tries())
                .isZero();
    }

    @Test
    void aRoundRefusesNonsense() {
        assertThatThrownBy(() -> new Event(1, Who.FIRST, null, null, null, null, null, null, null))
                .hasMessageContaining("names a link or the position");
        List<Event> backwards = new ArrayList<>(events("tried", Outcome.WORKED, 1));
        backwards.add(new Event(0, Who.FIRST, "tried", null, null, null, null, null, null));
        assertThatThrownBy(() -> evidence(backwards)).hasMessageContaining("go back in time");
    }
}

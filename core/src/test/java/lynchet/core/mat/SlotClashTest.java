package lynchet.core.mat;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import lynchet.core.card.Jacket;
import org.junit.jupiter.api.Test;

class SlotClashTest {

    private static Track.Slot slot(String id, DayOfWeek day, String start, int minutes, String area) {
        return new Track.Slot(id, null, null, day, LocalTime.parse(start), minutes, area, null, 0);
    }

    private static Track.Slot during(String id, String from, String until) {
        return new Track.Slot(
                id,
                from == null ? null : LocalDate.parse(from),
                until == null ? null : LocalDate.parse(until),
                DayOfWeek.TUESDAY,
                LocalTime.of(18, 0),
                90,
                "Big mat",
                null,
                0);
    }

    private static Track track(String id, Track.Slot... slots) {
        return new Track(id, id, Jacket.EITHER, List.of(slots), List.of());
    }

    private static boolean clash(Track.Slot a, Track.Slot b) {
        Track first = track("a", a);
        return SlotClash.of(first, List.of(first, track("b", b))).isPresent();
    }

    @Test
    void twoTimesOnOneAreaMeetWhileTheyOverlap() {
        Track.Slot tuesday = slot("a-1", DayOfWeek.TUESDAY, "18:00", 90, "Big mat");
        Track first = track("a", tuesday);
        Track.Slot late = slot("b-1", DayOfWeek.TUESDAY, "19:00", 60, "big mat ");
        assertThat(SlotClash.of(first, List.of(track("b", late)))).hasValueSatisfying(met -> {
            assertThat(met.first().id()).isEqualTo("a-1");
            assertThat(met.other().id()).isEqualTo("b-1");
            assertThat(met.otherTrack().id()).isEqualTo("b");
            assertThat(met.from()).isEqualTo("19:00");
            assertThat(met.to()).isEqualTo("19:30");
        });
        assertThat(clash(tuesday, slot("b-1", DayOfWeek.TUESDAY, "19:30", 60, "Big mat")))
                .as("one after the other")
                .isFalse();
        assertThat(clash(tuesday, slot("b-1", DayOfWeek.TUESDAY, "17:00", 60, "Big mat")))
                .as("one before the other")
                .isFalse();
        assertThat(clash(tuesday, slot("b-1", DayOfWeek.WEDNESDAY, "18:00", 90, "Big mat")))
                .isFalse();
        assertThat(clash(tuesday, slot("b-1", DayOfWeek.TUESDAY, "18:00", 90, "Small mat")))
                .isFalse();
        assertThat(clash(tuesday, slot("b-1", DayOfWeek.TUESDAY, "18:00", 90, null)))
                .isFalse();
        assertThat(clash(
                        slot("a-1", DayOfWeek.TUESDAY, "18:00", 90, null),
                        slot("b-1", DayOfWeek.TUESDAY, "18:00", 90, null)))
                .as("nobody said where")
                .isFalse();
        assertThat(clash(
                        slot("a-1", DayOfWeek.TUESDAY, "23:00", 120, "Big mat"),
                        slot("b-1", DayOfWeek.TUESDAY, "23:30", 20, "Big mat")))
                .as("over midnight")
                .isTrue();
    }

    @Test
    void aTimeThatHasEndedMakesRoomForAnother() {
        assertThat(clash(during("a-1", null, "2026-12-31"), during("b-1", "2027-01-01", null)))
                .isFalse();
        assertThat(clash(during("a-1", "2027-01-01", null), during("b-1", null, "2026-12-31")))
                .isFalse();
        assertThat(clash(during("a-1", null, "2026-12-31"), during("b-1", "2026-12-31", null)))
                .isTrue();
    }

    @Test
    void aTrackDoesNotMeetItselfAsItWasButDoesMeetItselfAsItIs() {
        Track.Slot one = slot("a-1", DayOfWeek.TUESDAY, "18:00", 90, "Big mat");
        Track was = track("a", one);
        assertThat(SlotClash.of(track("a", slot("a-1", DayOfWeek.TUESDAY, "18:30", 90, "Big mat")), List.of(was)))
                .isEmpty();
        assertThat(SlotClash.of(track("a", one, slot("a-2", DayOfWeek.TUESDAY, "19:00", 30, "Big mat")), List.of(was)))
                .isPresent();
    }
}

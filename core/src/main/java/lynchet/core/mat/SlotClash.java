package lynchet.core.mat;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Two weekly times that want one area at once. Times without an area take none; one that ends when the other begins is
 * next to it.
 *
 * @param first the slot of the track that is looked at
 * @param other the slot it meets
 * @param otherTrack the track of that slot
 * @param from the later of their starts
 * @param to the earlier of their ends
 */
public record SlotClash(Track.Slot first, Track.Slot other, Track otherTrack, LocalTime from, LocalTime to) {

    private record Placed(Track track, Track.Slot slot) {}

    /** The first clash of a track's slots with each other or with those of other tracks; the track itself among them or not. */
    public static Optional<SlotClash> of(Track track, List<Track> tracks) {
        List<Placed> placed = new ArrayList<>();
        track.slots().forEach(slot -> placed.add(new Placed(track, slot)));
        tracks.stream().filter(other -> !other.id().equals(track.id())).forEach(other -> other.slots()
                .forEach(slot -> placed.add(new Placed(other, slot))));
        for (int i = 0; i < track.slots().size(); i++) {
            for (int j = i + 1; j < placed.size(); j++) {
                Track.Slot a = placed.get(i).slot();
                Track.Slot b = placed.get(j).slot();
                if (meet(a, b)) {
                    return Optional.of(new SlotClash(
                            a, b, placed.get(j).track(), later(a.start(), b.start()), earlier(end(a), end(b))));
                }
            }
        }
        return Optional.empty();
    }

    private static boolean meet(Track.Slot a, Track.Slot b) {
        return a.day() == b.day()
                && isSameArea(a.area(), b.area())
                && a.start().isBefore(end(b))
                && b.start().isBefore(end(a))
                && !endsBefore(a.until(), b.from())
                && !endsBefore(b.until(), a.from());
    }

    private static boolean isSameArea(@Nullable String a, @Nullable String b) {
        return a != null
                && b != null
                && !a.isBlank()
                && a.strip().toLowerCase(Locale.ROOT).equals(b.strip().toLowerCase(Locale.ROOT));
    }

    private static boolean endsBefore(@Nullable LocalDate until, @Nullable LocalDate from) {
        return until != null && from != null && until.isBefore(from);
    }

    /** A class does not run past midnight. */
    private static LocalTime end(Track.Slot slot) {
        LocalTime end = slot.start().plusMinutes(slot.minutes());
        return end.isBefore(slot.start()) ? LocalTime.MAX : end;
    }

    private static LocalTime later(LocalTime a, LocalTime b) {
        return a.isAfter(b) ? a : b;
    }

    private static LocalTime earlier(LocalTime a, LocalTime b) {
        return a.isBefore(b) ? a : b;
    }
}

package lynchet.core.people;

import java.time.LocalDate;
import java.util.Optional;

/**
 * How far one student has practised one technique on one side: the days that are over, folded, and the latest day as it
 * stands.
 *
 * @param settled what came of the days before {@code latest}; null: no session yet
 * @param liveCounted whether a live pass has stretched the half-life already
 * @param latest the latest day on which anything was done
 */
public record Skill(Fading settled, boolean liveCounted, PracticeDay latest) {

    /** What is known after a first day. */
    public static Skill begun(PracticeDay day) {
        return new Skill(null, false, day);
    }

    /** Whether something of this day can be added without looking at the days before again. */
    public boolean takes(PracticeDay more) {
        return !more.day().isBefore(latest.day());
    }

    /**
     * The skill with something more done on the latest day or a later one.
     *
     * @throws IllegalArgumentException for an earlier day: that takes all its days again
     */
    public Skill after(PracticeDay more) {
        if (!takes(more)) {
            throw new IllegalArgumentException(more.day() + " is before " + latest.day());
        }
        if (more.day().equals(latest.day())) {
            return new Skill(settled, liveCounted, latest.and(more));
        }
        return new Skill(fading().orElse(null), liveCounted || latest.livePass(), more);
    }

    /** What is known of something that was brought from elsewhere and never trained here. */
    public static Skill brought(LocalDate on) {
        return new Skill(Fading.brought(null, on), false, PracticeDay.drilled(on, 0, 0));
    }

    /** The skill once it is known that it was brought: before anything that was done on that day. */
    Skill andBrought(LocalDate on) {
        if (latest.day().isBefore(on)) {
            return new Skill(
                    Fading.brought(fading().orElse(null), on),
                    liveCounted || latest.livePass(),
                    PracticeDay.drilled(on, 0, 0));
        }
        if (latest.day().equals(on)) {
            return new Skill(Fading.brought(settled, on), liveCounted, latest);
        }
        throw new IllegalArgumentException(on + " is before " + latest.day());
    }

    /** Sessions and half-life with the latest day counted; empty when no day was a session. */
    public Optional<Fading> fading() {
        return Optional.ofNullable(Fading.after(settled, liveCounted, latest));
    }
}

package lynchet.core.people;

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

    /** Sessions and half-life with the latest day counted; empty when no day was a session. */
    public Optional<Fading> fading() {
        return Optional.ofNullable(Fading.after(settled, liveCounted, latest));
    }
}

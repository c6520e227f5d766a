package lynchet.core.term;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import lynchet.core.rule.Say;

/**
 * A season with its weekly slots.
 *
 * @param closures days without classes
 * @param gradingDays days on which somebody is examined
 */
public record Term(
        String id,
        String name,
        LocalDate from,
        LocalDate until,
        List<Slot> slots,
        List<LocalDate> closures,
        List<LocalDate> gradingDays) {

    /**
     * A weekly time.
     *
     * @param coach account name of whoever usually gives it; may be null
     */
    public record Slot(String track, DayOfWeek day, LocalTime start, int minutes, String coach, String area) {
        public Slot {
            Say.there("the track of a slot", track);
            Say.there("the day of a slot", day);
            Say.there("the start of a slot", start);
            Say.within("the minutes of a slot", minutes, 5, 480);
        }
    }

    public Term {
        Say.id("a term", id);
        Say.text("the name of term " + id, name, 80);
        Say.there("the first day of term " + id, from);
        Say.there("the last day of term " + id, until);
        if (until.isBefore(from)) {
            throw new IllegalArgumentException("term " + id + " ends before it begins");
        }
        slots = Say.list(slots);
        closures = Say.list(closures);
        gradingDays = Say.list(gradingDays);
    }
}

package lynchet.core.term;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;

/**
 * A season, which uses weekly slots of the tracks.
 *
 * @param slots ids of the slots it uses
 * @param closures days without classes
 * @param gradingDays days on which somebody is examined
 */
public record Term(
        String id,
        String name,
        LocalDate from,
        LocalDate until,
        List<String> slots,
        @Most(400) List<LocalDate> closures,
        List<LocalDate> gradingDays) {

    public Term {
        Require.id("a term", id);
        Require.text("the name of this term", name);
        Require.present("the first day of this term", from);
        Require.present("the last day of this term", until);
        if (until.isBefore(from)) {
            throw new IllegalArgumentException("this term ends before it begins");
        }
        slots = Require.list(slots);
        closures = Require.list(closures);
        gradingDays = Require.list(gradingDays);
    }

    public boolean covers(LocalDate day) {
        return !day.isBefore(from) && !day.isAfter(until);
    }
}

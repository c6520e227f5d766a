package lynchet.core.people;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.rule.Most;
import lynchet.core.rule.Require;
import org.jspecify.annotations.Nullable;

/**
 * A student is kept at a rank on purpose, until a coach lifts it; {@code ended} null: it still stands.
 *
 * @param stood how they stood on their ladders when it was decided
 */
public record Hold(
        LocalDate from,
        @Nullable LocalDate reviewOn,
        @Most(300) String reason,
        @Most(40) @Nullable String by,
        @Nullable LocalDate ended,
        @Most(20) List<StandingThen> stood) {
    public Hold {
        Require.present("the start of a hold", from);
        Require.text("the reason of a hold", reason);
        stood = Require.list(stood);
    }

    /** The same hold, lifted on a day. */
    public Hold endedOn(LocalDate day) {
        return new Hold(from, reviewOn, reason, by, day, stood);
    }

    public boolean standsOn(LocalDate day) {
        return !day.isBefore(from) && (ended == null || day.isBefore(ended));
    }
}

package lynchet.server.round;

import java.time.LocalDate;
import java.time.ZoneId;
import lynchet.core.round.Round;
import lynchet.core.round.RoundFilter;
import org.jspecify.annotations.Nullable;

/**
 * Whose tries a figure is about, and from which rounds; what is left out is not asked.
 *
 * @param by student id
 * @param since first day
 * @param until last day
 * @param kind live, from a bad place, or in competition
 * @param fought ruleset id
 */
public record TriesAsked(
        @Nullable String by,
        @Nullable LocalDate since,
        @Nullable LocalDate until,
        Round.@Nullable Kind kind,
        @Nullable String fought) {

    RoundFilter filter(ZoneId zone) {
        return new RoundFilter(
                by,
                since == null ? null : since.atStartOfDay(zone).toInstant(),
                until == null ? null : until.plusDays(1).atStartOfDay(zone).toInstant(),
                fought,
                kind);
    }
}

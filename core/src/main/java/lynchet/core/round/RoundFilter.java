package lynchet.core.round;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Which rounds are asked about; what is null is not asked.
 *
 * @param student id of the one whose tries are meant; null: everybody's
 * @param from first moment
 * @param until first moment after it
 * @param ruleset id of the ruleset fought under
 * @param kind live, from a bad place, or in competition
 */
public record RoundFilter(
        @Nullable String student,
        @Nullable Instant from,
        @Nullable Instant until,
        @Nullable String ruleset,
        Round.@Nullable Kind kind) {

    /** Every round of everybody. */
    public static final RoundFilter ALL = new RoundFilter(null, null, null, null, null);

    /** Whether a round is among those asked about. */
    public boolean takes(Round round) {
        return (student == null || student.equals(round.first()) || student.equals(round.second()))
                && (from == null || !round.at().isBefore(from))
                && (until == null || round.at().isBefore(until))
                && (ruleset == null || ruleset.equals(round.ruleset()))
                && (kind == null || kind == round.kind());
    }
}

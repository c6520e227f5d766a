package lynchet.core.game;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import lynchet.core.people.Fading;

/**
 * How far somebody is on a day, in figures that can be held against those of another day.
 *
 * @param passed techniques passed
 * @param drilled techniques drilled but not passed
 * @param rusty of both, those gone rusty
 * @param places positions they get into
 * @param coverage of the game plan, 0 to 1
 * @param chains chains of which they have every part
 */
public record Measure(LocalDate day, int passed, int drilled, int rusty, int places, double coverage, int chains) {

    public static Measure of(LocalDate day, Map<String, HowKnown> known, GamePlan plan, List<ChainParts> chains) {
        int passed = (int) known.values().stream().filter(HowKnown::hasPass).count();
        return new Measure(
                day,
                passed,
                known.size() - passed,
                (int) known.values().stream()
                        .filter(how -> how.fading() == Fading.State.RUSTY)
                        .count(),
                plan.places().size(),
                plan.coverage(),
                (int) chains.stream().filter(chain -> chain.missing() == null).count());
    }
}

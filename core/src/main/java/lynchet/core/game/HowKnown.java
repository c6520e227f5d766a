package lynchet.core.game;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import lynchet.core.card.Technique;
import lynchet.core.map.GrapplingMap;
import lynchet.core.mat.Standard;
import lynchet.core.people.Fading;
import lynchet.core.people.StudentState;
import org.jspecify.annotations.Nullable;

/**
 * How well a student knows a technique that is theirs to do: passed, or at least drilled.
 *
 * @param passed the highest standard passed; null: drilled only
 * @param fading how fresh it is; null: passed, but no practice is logged
 */
public record HowKnown(@Nullable Standard passed, Fading.@Nullable State fading) {

    /** What is known of one technique; empty where it is neither passed nor drilled. */
    static Optional<HowKnown> of(String technique, StudentState state, LocalDate today) {
        Optional<Standard> passed = state.marks().known(technique);
        Optional<Fading> practised = state.on(technique, null);
        if (passed.isEmpty() && practised.filter(Fading::isDrilled).isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new HowKnown(
                passed.orElse(null), practised.map(f -> f.stateOn(today)).orElse(null)));
    }

    /** Everything on the map that a student knows, by technique id. */
    public static Map<String, HowKnown> all(GrapplingMap map, StudentState state, LocalDate today) {
        Map<String, HowKnown> known = new TreeMap<>();
        for (Technique technique : map.techniques()) {
            if (!technique.retired()) {
                of(technique.id(), state, today).ifPresent(how -> known.put(technique.id(), how));
            }
        }
        return known;
    }

    public boolean hasPass() {
        return passed != null;
    }

    /** 3 fresh, 2 fading, 1 not logged, 0 rusty. */
    int freshness() {
        return fading == null
                ? 1
                : switch (fading) {
                    case FRESH -> 3;
                    case FADING -> 2;
                    case RUSTY -> 0;
                };
    }
}

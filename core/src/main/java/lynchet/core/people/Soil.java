package lynchet.core.people;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import lynchet.core.map.GrapplingMap;
import lynchet.core.map.Link;
import lynchet.core.map.Position;

/** How a student has worked a plot of the hill: what they know to do from that position. */
public enum Soil {
    BARE,
    PLOUGHED,
    GREEN,
    WEED;

    /**
     * The soil of every position: green where something that starts there is passed, weed where all that is passed
     * there has gone rusty, ploughed where something is drilled or at least met, bare elsewhere. Passes without logged practice
     * are green, never rusty.
     */
    public static Map<String, Soil> of(GrapplingMap map, StudentState state, LocalDate today) {
        Map<String, Soil> soil = new LinkedHashMap<>();
        for (Position position : map.positions()) {
            Soil best = BARE;
            for (Link link : map.linksFrom(position.id())) {
                best = better(best, of(link.technique(), state, today));
            }
            soil.put(position.id(), best);
        }
        return soil;
    }

    /** The soil of one technique. */
    public static Soil of(String technique, StudentState state, LocalDate today) {
        Optional<Fading> fading = state.on(technique, null);
        if (state.marks().known(technique).isPresent()) {
            return fading.filter(f -> f.stateOn(today) == Fading.State.RUSTY).isPresent() ? WEED : GREEN;
        }
        return fading.isPresent() ? PLOUGHED : BARE;
    }

    /** How many passed techniques have faded. */
    public static int rusty(StudentState state, GrapplingMap map, LocalDate today) {
        return (int) state.marks().subjects().stream()
                .filter(subject -> map.technique(subject).isPresent())
                .filter(technique -> of(technique, state, today) == WEED)
                .count();
    }

    private static Soil better(Soil a, Soil b) {
        return rank(b) > rank(a) ? b : a;
    }

    private static int rank(Soil soil) {
        return switch (soil) {
            case BARE -> 0;
            case PLOUGHED -> 1;
            case WEED -> 2;
            case GREEN -> 3;
        };
    }
}

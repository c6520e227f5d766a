package lynchet.starter.demo;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.term.cycle.ThemeCycle;
import lynchet.core.term.cycle.ThemeCycle.Theme;

/** The theme weeks of the no-jacket track, which has its second round. */
final class DemoCycle {

    static final String TRACK = "no-jacket";

    private static final int WEEKS_AGO = 9;
    private static final int MINUTES = 45;

    private DemoCycle() {}

    static ThemeCycle of(LocalDate today) {
        return new ThemeCycle(
                "no-jacket-weeks",
                TRACK,
                today.minusWeeks(WEEKS_AGO),
                MINUTES,
                List.of(
                        theme("One leg", "single-leg", "sprawl"),
                        theme("Snap and go behind", "snap-down", "go-behind"),
                        theme("On the back", "seatbelt-and-hooks", "rear-choke"),
                        theme("Both legs", "double-leg", "circle-out-of-front-choke"),
                        theme("Turtle", "stand-from-turtle", "mat-return"),
                        theme("Arm drag", "arm-drag", "peel-and-face"),
                        theme("Out of the back", "slide-out-of-back", "peel-and-look-up")));
    }

    private static Theme theme(String name, String... techniques) {
        return new Theme(name, List.of(techniques));
    }
}

package lynchet.starter.demo;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import lynchet.core.promote.Belt;
import lynchet.core.promote.Merit;
import lynchet.core.promote.Nomination;
import lynchet.core.rank.Ladder;

/** What stands before the demo club's next window. */
final class DemoWindow {

    private DemoWindow() {}

    static List<Nomination> nominations(LocalDate today, List<Ladder> ladders) {
        LocalDate window = ladders.stream()
                .filter(ladder -> ladder.id().equals("junior"))
                .map(ladder -> ladder.policy().window(today))
                .findFirst()
                .orElseThrow();
        return List.of(new Nomination(
                "nomination-tess",
                "tess-ashgrove",
                "junior",
                "junior-white-yellow",
                window,
                "Calm with smaller partners",
                null,
                today.minusDays(2).atTime(19, 0).toInstant(ZoneOffset.UTC),
                "wren"));
    }

    static List<Merit> merits(LocalDate today) {
        return List.of(
                new Merit(
                        "merit-summer",
                        "noor-tidewell",
                        Merit.Kind.SEMINAR,
                        today.minusWeeks(11),
                        4,
                        "Two days of throws by the sea",
                        null,
                        "head"),
                new Merit("merit-chart", "bo-lindale", Merit.Kind.CHART, today.minusWeeks(3), 0, "", null, "wren"));
    }

    static List<Belt> belts() {
        return List.of(
                new Belt("white-yellow-220", List.of("white", "yellow"), "220", 3),
                new Belt("yellow-260", List.of("yellow"), "260", 2),
                new Belt("yellow-280", List.of("yellow"), "280", 1),
                new Belt("orange-280", List.of("orange"), "280", 2));
    }
}

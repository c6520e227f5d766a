package lynchet.bench.club;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import lynchet.format.Json;
import tools.jackson.databind.JsonNode;

/** Three hundred people who move in with their belts: all of them have what is below it, and it is taken back as one. */
final class BroughtBench {

    private static final int PEOPLE = 300;

    private final User head;
    private final PlanningBench.Report told;

    BroughtBench(User head, PlanningBench.Report told) {
        this.head = head;
        this.told = told;
    }

    void run() {
        JsonNode ladder = head.json("/api/ladders").get(0).path("ladder");
        String top = ladder.path("ranks")
                .get(ladder.path("ranks").size() - 1)
                .path("id")
                .asString();
        List<String> people = new ArrayList<>();
        for (int n = 0; n < PEOPLE; n++) {
            people.add(comes(n, ladder.path("id").asString(), top));
        }
        long from = System.nanoTime();
        head.post("/api/people/brought", Map.of("students", people, "answer", "ALL"));
        told.that("300 people have what is below their belt, ms", "2000", (System.nanoTime() - from) / 1e6);
        from = System.nanoTime();
        head.post("/api/edits/" + head.edit() + "/undo", Map.of());
        told.that("taken back as one, ms", "", (System.nanoTime() - from) / 1e6);
    }

    private String comes(int n, String ladder, String rank) {
        String made = head.post("/api/people", Map.of("id", "x", "name", "Mover " + n, "joined", "2026-01-10"));
        String id = Json.mapper().readTree(made).path("id").asString();
        head.post(
                "/api/promotions",
                Map.of(
                        "id",
                        "moved-" + n,
                        "student",
                        id,
                        "ladder",
                        ladder,
                        "to",
                        rank,
                        "stripes",
                        0,
                        "date",
                        "2020-01-10",
                        "fromBefore",
                        true));
        return id;
    }
}

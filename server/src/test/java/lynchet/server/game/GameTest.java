package lynchet.server.game;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import lynchet.format.Json;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What stands behind one student's figures: their game, their practice, their classes. */
@ExtendWith(RunningClub.class)
class GameTest {

    private static final String ONE = "/api/people/orla-fenwick";

    private final HttpUser coach = RunningClub.as("coach");

    private static List<JsonNode> list(JsonNode nodes) {
        return StreamSupport.stream(nodes.spliterator(), false).toList();
    }

    @Test
    void theGameCoversWhatItSaysAndStandsBesideThreeMonthsAgo() {
        JsonNode game = coach.get(ONE + "/game").expect(200).json();
        List<JsonNode> places = list(game.path("plan").path("places"));
        double covered = places.stream()
                .mapToDouble(place -> Math.min(place.path("answers").asInt(), 2) / 2.0)
                .average()
                .orElseThrow();
        assertThat(game.path("today").path("coverage").asDouble()).isEqualTo(covered, within(1e-9));
        assertThat(game.path("today").path("day").asString()).isEqualTo(RunningClub.TODAY);
        assertThat(game.path("before").path("day").asString()).isEqualTo("2026-08-24");
        assertThat(game.path("before").path("passed").asInt())
                .isLessThan(game.path("today").path("passed").asInt());
        assertThat(game.path("ruleset").asString()).isEqualTo("jacket-ground");
        assertThat(list(game.path("next"))).hasSize(3);
        assertThat(game.path("soilBefore").size()).isEqualTo(102);
        long weed = list(coach.get(ONE + "/progress").json().path("soil")).stream()
                .filter(soil -> soil.asString().equals("WEED"))
                .count();
        assertThat(list(game.path("soilBefore")).stream()
                        .filter(soil -> soil.asString().equals("WEED")))
                .as("more has gone to weed since")
                .hasSizeLessThan((int) weed);
        JsonNode free = coach.get(ONE + "/game?ruleset=wrestling").expect(200).json();
        assertThat(free.path("plan").path("places").size()).isNotEqualTo(places.size());
    }

    @Test
    void itIsForCoachesAndOfSomebodyThere() {
        assertThat(RunningClub.as("viewer").get(ONE + "/game").expect(403).code())
                .isEqualTo("NOT_ALLOWED");
        coach.get("/api/people/nobody/game").expect(404);
        coach.get(ONE + "/game?ruleset=none").expect(404);
        coach.get("/api/people/nobody/memory?subject=hip-escape").expect(404);
        coach.get("/api/people/nobody/attendance?from=2026-01-01&to=2026-01-02").expect(404);
    }

    /** The last half-life told is the one that the state was folded to, and its marks are all there. */
    @Test
    void theMemoryEndsWhereTheProgressStands() {
        JsonNode progress = coach.get(ONE + "/progress").expect(200).json();
        JsonNode item = list(progress.path("ladders").path(0).path("groups")).stream()
                .flatMap(group -> list(group.path("items")).stream())
                .filter(one -> one.path("sessions").asInt() > 3
                        && one.path("item").path("kind").asString().equals("TECHNIQUE"))
                .findFirst()
                .orElseThrow();
        String subject = item.path("subject").asString();
        JsonNode view =
                coach.get(ONE + "/memory?subject=" + subject).expect(200).json();
        List<JsonNode> sides = list(view.path("memory"));
        assertThat(sides).isNotEmpty();
        long most = sides.stream()
                .mapToLong(side -> list(side.path("days")).stream()
                        .filter(day -> day.path("counts").asBoolean())
                        .count())
                .max()
                .orElseThrow();
        assertThat(most).isGreaterThanOrEqualTo(item.path("sessions").asInt());
        assertThat(sides.stream().map(side -> side.path("days")
                        .path(side.path("days").size() - 1)
                        .path("done")
                        .path("day")
                        .asString()))
                .contains(item.path("lastPractised").asString());
        assertThat(coach.get(ONE + "/memory?subject=no-such-thing").expect(200).json())
                .isEqualTo(Json.mapper()
                        .valueToTree(
                                Map.of("memory", List.of(), "marks", List.of(), "credits", List.of(), "received", 0)));
    }

    @Test
    void aYearOfClassesIsToldDayByDay() {
        List<JsonNode> been = list(coach.get(ONE + "/attendance?from=2025-11-24&to=2026-11-24")
                .expect(200)
                .json());
        assertThat(been.size()).isGreaterThan(50);
        assertThat(been).isSortedAccordingTo(java.util.Comparator.comparing(one -> one.path("date")
                .asString()));
        String first = been.get(0).path("date").asString();
        assertThat(coach.get(ONE + "/attendance?from=" + first + "&to=" + first)
                        .json()
                        .size())
                .isPositive();
        assertThat(coach.get(ONE + "/attendance?from=2024-11-24&to=2026-11-24").code())
                .isEqualTo("DAYS_MANY");
    }
}

package lynchet.server.term;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Theme weeks over HTTP: as they come round, laid out from a syllabus, and the classes they fill. */
class CycleTest {

    private static final String CYCLE = "/api/cycles/no-jacket-weeks";

    private static ConfigurableApplicationContext club;
    private static HttpUser coach;

    @BeforeAll
    static void start() {
        club = RunningClub.another();
        coach = RunningClub.user(club, "coach");
    }

    @AfterAll
    static void stop() {
        club.close();
    }

    @Test
    void theClassesOfTheDemoAreWhatTheWeekSays() {
        JsonNode view = coach.get(CYCLE).expect(200).json();
        assertThat(view.path("weeks").size()).isEqualTo(2 * view.path("themes").size());
        int seen = 0;
        for (JsonNode week : view.path("weeks")) {
            for (JsonNode one : week.path("classes")) {
                JsonNode training = coach.get("/api/classes/" + one.path("id").asString())
                        .expect(200)
                        .json()
                        .path("training");
                if (training.path("date")
                                .asString()
                                .compareTo(view.path("today").asString())
                        <= 0) {
                    continue;
                }
                Set<String> drilled = new HashSet<>();
                training.path("blocks")
                        .forEach(block -> drilled.add(block.path("technique").asString("")));
                one.path("shown").forEach(shown -> assertThat(drilled)
                        .contains(shown.path("subject").asString()));
                assertThat(one.path("shown").size()).isPositive();
                seen++;
            }
        }
        assertThat(seen).as("classes looked at").isGreaterThan(10);
        assertThat(view.path("joining").path("met").asInt())
                .isEqualTo(view.path("joining").path("of").asInt());
    }

    @Test
    void aRankIsLaidOutWholeAndKept() {
        ObjectNode cycle = JsonNodeFactory.instance.objectNode();
        cycle.put("id", "throw-weeks")
                .put("track", "throws")
                .put("from", String.valueOf(RunningClub.TODAY))
                .put("minutes", 0);
        cycle.putArray("themes");
        JsonNode ladder = coach.get("/api/ladders/adult").expect(200).json().path("ladder");
        JsonNode rank = ladder.path("ranks").get(0);
        Map<String, Integer> asked = new HashMap<>();
        rank.path("items").forEach(item -> {
            String kind = item.path("kind").asString();
            if (kind.equals("CHAIN")
                    || kind.equals("TECHNIQUE") && item.path("role").asString().equals("PERFORMER")) {
                asked.put(item.path("ref").asString(), 0);
            }
        });
        ObjectNode laying = JsonNodeFactory.instance.objectNode();
        laying.set("cycle", cycle);
        laying.putArray("ranks").add(rank.path("id").asString());
        laying.put("weeks", 0);
        JsonNode laid =
                coach.post("/api/cycles/spread", laying.toString()).expect(200).json();
        laid.path("themes").forEach(theme -> theme.path("subjects")
                .forEach(one -> asked.merge(one.path("subject").asString(), 1, Integer::sum)));
        assertThat(asked).as("each once").isNotEmpty().allSatisfy((id, times) -> assertThat(times)
                .isEqualTo(1));
        assertThat(coach.get("/api/cycles").json().size()).as("nothing is kept").isEqualTo(1);

        coach.post("/api/cycles", laid.path("cycle").toString()).expect(200);
        JsonNode kept = coach.get("/api/cycles/throw-weeks").expect(200).json();
        assertThat(kept.path("cycle")).isEqualTo(laid.path("cycle"));
        ObjectNode second = ((ObjectNode) laid.path("cycle").deepCopy()).put("id", "other");
        assertThat(coach.post("/api/cycles", second.toString()).expect(422).text())
                .contains("CYCLE_TWICE", "theme weeks already");
        coach.delete(
                        "/api/cycles/throw-weeks",
                        coach.get("/api/cycles/throw-weeks").tag())
                .expect(204);
    }

    @Test
    void whatMakesNoSenseIsRefusedWithItsPlace() {
        ObjectNode cycle = (ObjectNode) coach.get(CYCLE).json().path("cycle").deepCopy();
        ObjectNode laying = JsonNodeFactory.instance.objectNode();
        laying.set("cycle", cycle);
        laying.putArray("ranks").add("nobody");
        laying.put("weeks", 3);
        assertThat(coach.post("/api/cycles/spread", laying.toString())
                        .expect(422)
                        .text())
                .contains("/ranks/0", "no such rank");
        laying.putArray("ranks");
        assertThat(coach.post("/api/cycles/spread", laying.toString())
                        .expect(422)
                        .text())
                .contains("SPREAD_EMPTY");
        laying.put("weeks", 53);
        assertThat(coach.post("/api/cycles/spread", laying.toString())
                        .expect(422)
                        .text())
                .contains("/weeks");
        cycle.put("from", "1926-01-01");
        assertThat(coach.put(CYCLE, cycle.toString(), coach.get(CYCLE).tag())
                        .expect(422)
                        .text())
                .contains("CYCLE_FROM");
        cycle.put("from", "2026-11-02").put("track", "nowhere");
        assertThat(coach.put(CYCLE, cycle.toString(), coach.get(CYCLE).tag())
                        .expect(422)
                        .text())
                .contains("CYCLE_TRACK");
        RunningClub.user(club, "viewer").post("/api/cycles", cycle.toString()).expect(403);
        coach.get("/api/cycles/none").expect(404);
    }
}

package lynchet.server.pair;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** Who works with whom, over HTTP: what a room says, what is kept of its pairs, and who is told. */
class PairTest {

    private static final String CLASS = "fundamentals-" + RunningClub.TODAY;

    private static ConfigurableApplicationContext club;
    private static HttpUser coach;

    @BeforeAll
    static void start() {
        club = RunningClub.another();
        coach = RunningClub.user(club, "coach");
        for (String id : List.of("orla-fenwick", "kit-harrowgate", "bram-oakhurst", "devrim-hallow", "nell-corrow")) {
            coach.post("/api/attendance", Map.of("id", "at-" + id, "student", id, "classId", CLASS))
                    .expect(200);
        }
    }

    @AfterAll
    static void stop() {
        club.close();
    }

    private static JsonNode room(String asked) {
        return coach.get("/api/classes/" + CLASS + "/pairs" + asked).expect(200).json();
    }

    private static List<String> texts(JsonNode array) {
        List<String> all = new ArrayList<>();
        array.forEach(one -> all.add(one.asString()));
        return all;
    }

    private static Map<String, Object> pairing(String id, String... group) {
        return Map.of("id", id, "classId", CLASS, "round", 1, "groups", List.of(Map.of("people", List.of(group))));
    }

    /** A chain with a throw in it throws, though the block names no technique. */
    @Test
    void aBlockThatDrillsAChainAsksWhatItsTechniquesAsk() {
        Map<String, Object> dose = Map.of("reps", 4, "sides", "BOTH");
        Map<String, Object> training = Map.of(
                "id",
                "chained",
                "date",
                RunningClub.TODAY,
                "start",
                "20:30",
                "minutes",
                60,
                "track",
                "fundamentals",
                "blocks",
                List.of(
                        Map.of(
                                "id",
                                "thrown",
                                "kind",
                                "WHOLE_DRILL",
                                "title",
                                "Thrown",
                                "minutes",
                                10,
                                "chain",
                                "throw-to-hold",
                                "dose",
                                dose),
                        Map.of(
                                "id",
                                "passed",
                                "kind",
                                "WHOLE_DRILL",
                                "title",
                                "Passed",
                                "minutes",
                                10,
                                "chain",
                                "pass-in-series",
                                "dose",
                                dose)));
        coach.put("/api/classes/chained", training, null).expect(200);
        JsonNode asked = coach.get("/api/classes/chained/pairs").expect(200).json();
        assertThat(texts(asked.path("throwing"))).containsExactly("thrown");
        JsonNode falls = coach.post("/api/classes/sums", training).expect(200).json();
        assertThat(falls.at("/sum/blocks/0/falls").asDouble()).isEqualTo(8);
        assertThat(falls.at("/sum/blocks/1/falls").asDouble()).isZero();
    }

    @Test
    void aRoomPairsWhoIsHereAndKnowsWhoMayCome() {
        JsonNode room = room("");
        List<String> here = new ArrayList<>();
        coach.get("/api/classes/" + CLASS)
                .json()
                .path("attendance")
                .forEach(one -> here.add(one.path("student").asString()));
        List<String> paired = new ArrayList<>(texts(room.path("best").path("alone")));
        room.path("best").path("groups").forEach(group -> paired.addAll(texts(group)));
        assertThat(paired).containsExactlyInAnyOrderElementsOf(here);
        List<String> people = texts(room.path("people"));
        assertThat(people).isSorted().containsAll(here);
        assertThat(people.size()).as("the track as well").isGreaterThan(here.size());
        room.path("couples").forEach(couple -> {
            List<String> bars = texts(room.path("bars"));
            boolean barred = texts(couple.path("why")).stream().anyMatch(bars::contains);
            assertThat(couple.path("cost").isNull()).as(couple.toString()).isEqualTo(barred);
        });
        assertThat(room.path("words").path("WEIGHT").asString()).isEqualTo("too much weight between them");
        JsonNode without = room("?without=orla-fenwick");
        assertThat(without.path("best").toString()).doesNotContain("orla-fenwick");
        assertThat(coach.get("/api/classes/" + CLASS + "/pairs?block=nothing").code())
                .isEqualTo("NOT_FOUND");
    }

    @Test
    void pairsAreKeptChangedAndRememberedInTheNextClass() {
        String path = "/api/pairings/round-one";
        JsonNode kept = coach.put(path, pairing("round-one", "orla-fenwick", "kit-harrowgate"), null)
                .expect(200)
                .json();
        assertThat(kept.path("by").asString()).isEqualTo("coach");
        coach.put(path, pairing("round-one", "orla-fenwick", "bram-oakhurst"), null)
                .expect(200);
        JsonNode rounds = room("").path("rounds");
        assertThat(rounds.size()).isEqualTo(1);
        assertThat(rounds.get(0).path("groups").toString())
                .contains("bram-oakhurst")
                .doesNotContain("kit");
        assertThat(rounds.get(0).path("at")).isEqualTo(kept.path("at"));
        assertThat(why(room(""), "bram-oakhurst", "orla-fenwick")).contains("TONIGHT");
        String next = "fundamentals-" + LocalDate.parse(RunningClub.TODAY).plusWeeks(1);
        assertThat(why(
                        coach.get("/api/classes/" + next + "/pairs").expect(200).json(),
                        "bram-oakhurst",
                        "orla-fenwick"))
                .contains("LAST_CLASS");
    }

    private static List<String> why(JsonNode room, String one, String other) {
        List<String> people = texts(room.path("people"));
        for (JsonNode couple : room.path("couples")) {
            if (couple.path("one").asInt() == people.indexOf(one)
                    && couple.path("other").asInt() == people.indexOf(other)) {
                return texts(couple.path("why"));
            }
        }
        return List.of();
    }

    /** What a coach lifts stands with the pair; a limit of later does not undo what is kept, only what is put together afresh. */
    @Test
    void whatIsLiftedIsKeptWithThePairAndNothingLiftsALimit() {
        Map<String, Object> anyway = Map.of(
                "id",
                "anyway",
                "classId",
                "juniors-" + RunningClub.TODAY,
                "round",
                9,
                "groups",
                List.of(Map.of("people", List.of("orla-fenwick", "kit-harrowgate"), "anyway", List.of("WEIGHT"))));
        JsonNode kept =
                coach.put("/api/pairings/anyway", anyway, null).expect(200).json();
        assertThat(kept.at("/groups/0/anyway/0").asString()).isEqualTo("WEIGHT");
        assertThat(kept.path("by").asString()).isNotEmpty();
        JsonNode room =
                coach.get("/api/classes/" + CLASS + "/pairs").expect(200).json();
        assertThat(room.path("lifts").path("WEIGHT").asString()).isEqualTo("ANYWAY");
        assertThat(room.path("lifts").path("NO_FALLS").asString()).isEqualTo("FALLS");
        assertThat(room.path("lifts").path("AGES").asString()).isEqualTo("NEVER");
        assertThat(texts(room.path("juniors"))).contains("nell-corrow").doesNotContain("orla-fenwick");
    }

    @Test
    void badPairsChangeNothing() {
        assertThat(coach.put("/api/pairings/bad", pairing("bad", "orla-fenwick", "nobody"), null)
                        .code())
                .isEqualTo("RECORD_STUDENT");
        assertThat(coach.put("/api/pairings/bad", pairing("other", "orla-fenwick", "kit-harrowgate"), null)
                        .code())
                .isEqualTo("ID_DIFFERS");
        assertThat(coach.put("/api/pairings/bad", pairing("bad", "orla-fenwick"), null)
                        .code())
                .isEqualTo("GROUP_SMALL");
        assertThat(coach.put("/api/pairings/bad", pairing("bad", "orla-fenwick", "orla-fenwick"), null)
                        .status())
                .isEqualTo(400);
        HttpUser.Answer barred = coach.put(
                        "/api/pairings/barred", pairing("barred", "devrim-hallow", "nell-corrow"), null)
                .expect(422);
        assertThat(barred.code()).isEqualTo("PAIR_BARRED");
        assertThat(barred.json().path("where").asString()).isEqualTo("/groups/0");
        assertThat(barred.text()).contains("Devrim Hallow and Nell Corrow", "juniors work with juniors");
        coach.put("/api/pairings/mine", pairing("mine", "orla-fenwick", "kit-harrowgate"), null)
                .expect(200);
        Map<String, Object> elsewhere =
                Map.of("id", "mine", "classId", "juniors-" + RunningClub.TODAY, "round", 1, "groups", List.of());
        assertThat(coach.put("/api/pairings/mine", elsewhere, null).status()).isEqualTo(409);
        assertThat(room("").path("rounds").toString()).doesNotContain("\"bad\"");
    }

    @Test
    void aViewerIsToldNeitherPairsNorNumbers() {
        HttpUser viewer = RunningClub.user(club, "viewer");
        viewer.get("/api/classes/" + CLASS + "/pairs").expect(403);
        viewer.get("/api/classes/" + CLASS + "/calls").expect(403);
        viewer.put("/api/pairings/v", pairing("v", "orla-fenwick", "kit-harrowgate"), null)
                .expect(403);
        JsonNode calls =
                coach.get("/api/classes/" + CLASS + "/calls").expect(200).json();
        assertThat(calls.toString()).contains("\"student\":\"orla-fenwick\"").contains("emergencyPhone");
    }
}

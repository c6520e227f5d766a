package lynchet.server.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What somebody did last, and the way back from it. */
@ExtendWith(RunningClub.class)
class TakingBackTest {

    private final HttpUser head = RunningClub.as("head");
    private String before;

    @BeforeEach
    void remember() {
        before = map();
    }

    private String map() {
        return head.get("/api/map").expect(200).json().path("map").toString();
    }

    private static Map<String, Object> technique(String id, String name) {
        return Map.of("id", id, "name", name, "family", "PASS", "learn", 2, "master", 2, "sided", true);
    }

    private String add(String part, Map<String, Object> thing) {
        return head.post("/api/map/" + part, thing).expect(200).edit();
    }

    private JsonNode wayBack(String edit) {
        return head.get("/api/edits/" + edit).expect(200).json();
    }

    private static List<String> edits(JsonNode all) {
        return StreamSupport.stream(all.spliterator(), false)
                .map(one -> one.path("edit").asString())
                .toList();
    }

    @Test
    void aTechniqueGoesBackTogetherWithWhatUsesItInOnePress() {
        String technique = add("techniques", technique("over-the-top", "Over the top"));
        String link = add(
                "links",
                Map.of(
                        "id",
                        "over-link",
                        "from",
                        "in-closed-guard",
                        "technique",
                        "over-the-top",
                        "to",
                        "side-control-top"));
        JsonNode way = wayBack(technique);
        assertThat(way.path("not").isNull()).as(way.toString()).isTrue();
        assertThat(edits(way.path("with"))).containsExactly(link);
        assertThat(way.path("with").get(0).path("things").get(0).path("spoken").asString())
                .startsWith("the way Over the top from ")
                .doesNotContain("closed-guard");
        assertThat(map()).as("only looked").contains("over-link");

        head.undo(technique, link).expect(200);
        assertThat(map()).isEqualTo(before);
        JsonNode mine = head.get("/api/edits").expect(200).json();
        assertThat(edits(mine).subList(0, 2))
                .as("the undo itself is not listed")
                .containsExactly(link, technique);
        String undone = mine.get(0).path("undoneBy").asString();
        assertThat(undone).isNotEmpty().isEqualTo(mine.get(1).path("undoneBy").asString());

        head.undo(undone).expect(200);
        assertThat(map()).as("taken back again").contains("over-link");
        JsonNode again = head.get("/api/edits").json();
        assertThat(again.get(0).path("edit").asString()).isEqualTo(link);
        assertThat(again.get(0).path("undoneBy").isNull()).isTrue();
        head.undo(technique, link).expect(200);
    }

    @Test
    void aLaterChangeOfTheSameThingGoesBackWithIt() {
        JsonNode kept =
                head.get("/api/map/techniques/sprawl").expect(200).json().path("technique");
        String first = renamed(kept, "Hips back");
        String second = renamed(kept, "Hips down");
        assertThat(head.undo(first).expect(409).code()).isEqualTo("CHANGED_SINCE");
        assertThat(edits(wayBack(first).path("with"))).containsExactly(second);
        head.undo(second).expect(200);
        assertThat(edits(wayBack(first).path("with")))
                .as("what is taken back already does not stand on it")
                .isEmpty();
        head.undo(first).expect(200);
        assertThat(map()).isEqualTo(before);
    }

    private String renamed(JsonNode kept, String name) {
        ObjectNode card = (ObjectNode) kept.deepCopy();
        card.put("name", name);
        String tag = head.get("/api/map/techniques/sprawl").tag();
        return head.put("/api/map/techniques/sprawl", card.toString(), tag)
                .expect(200)
                .edit();
    }

    @Test
    void whatHappenedIsNeverTakenBackWithItAndRetiringIsOffered() {
        String technique = add("techniques", technique("under-the-arm", "Under the arm"));
        String mark = head.post(
                        "/api/marks",
                        Map.of(
                                "id",
                                "under-mark",
                                "student",
                                "orla-fenwick",
                                "subject",
                                "under-the-arm",
                                "standard",
                                "SHOWN",
                                "passed",
                                true))
                .expect(200)
                .text();
        assertThat(mark).contains("under-mark");
        JsonNode way = wayBack(technique);
        assertThat(way.path("not").asString()).contains("stays");
        assertThat(way.path("with")).isEmpty();
        assertThat(way.path("retire").path("id").asString()).isEqualTo("under-the-arm");
        assertThat(head.get("/api/marks?student=orla-fenwick").status()).isLessThan(500);
        assertThat(map()).contains("under-the-arm");
    }

    @Test
    void aCoachTakesBackTheirOwnAndNobodyElses() {
        HttpUser coach = RunningClub.as("coach");
        String theirs = coach.post(
                        "/api/chains", Map.of("id", "my-own-chain", "name", "My own chain", "start", "in-closed-guard"))
                .expect(200)
                .edit();
        assertThat(edits(coach.get("/api/edits").expect(200).json())).first().isEqualTo(theirs);
        assertThat(edits(head.get("/api/edits").json())).doesNotContain(theirs);
        String mine = add("techniques", technique("round-the-back", "Round the back"));
        assertThat(coach.get("/api/edits/" + mine).expect(403).code()).isEqualTo("NOT_YOURS");
        assertThat(coach.undo(mine).expect(403).code()).isEqualTo("NOT_YOURS");
        coach.undo(theirs).expect(200);
        assertThat(coach.get("/api/chains").text()).doesNotContain("my-own-chain");
        head.undo(mine).expect(200);
        RunningClub.as("viewer").get("/api/edits").expect(403);
    }

    @Test
    void whoIsNoHeadCoachAnyMoreTakesBackOnlyWhatACoachMayWrite() {
        String link = head.post("/api/accounts", "{\"name\":\"Was head\",\"role\":\"HEAD\",\"person\":null}")
                .expect(200)
                .json()
                .path("link")
                .asString();
        HttpUser was = RunningClub.stranger();
        was.post("/api/session/link", Map.of("link", link, "password", "a few words in a row"))
                .expect(200);
        String edit = was.post("/api/map/techniques", technique("past-the-knee", "Past the knee"))
                .expect(200)
                .edit();
        head.put("/api/accounts/Was%20head", "{\"role\":\"COACH\",\"person\":null,\"isOff\":false}", null)
                .expect(200);
        HttpUser now = RunningClub.stranger();
        now.signIn("was head", "a few words in a row");
        assertThat(now.get("/api/edits/" + edit).expect(200).json().path("not").asString())
                .contains("head coach");
        assertThat(now.undo(edit).expect(403).code()).isEqualTo("NOT_YOURS");
        head.undo(edit).expect(200);
    }

    @Test
    void aLadderGoesBackWithWhatItsRanksWereMadeToAsk() {
        JsonNode ladder = head.get("/api/ladders").expect(200).json().get(0).path("ladder");
        String id = ladder.path("id").asString();
        ObjectNode named = (ObjectNode) ladder.deepCopy();
        named.put("name", "Called otherwise");
        String whole = head.put(
                        "/api/ladders/" + id,
                        named.toString(),
                        head.get("/api/ladders").json().get(0).path("tag").asString())
                .expect(200)
                .edit();
        ObjectNode rank = (ObjectNode) ladder.path("ranks").get(0).deepCopy();
        rank.withArray("syllabus").addObject().put("name", "More").putArray("items");
        JsonNode view = head.get("/api/ladders").json().get(0);
        String syllabus = head.put(
                        "/api/ladders/" + id + "/ranks/" + rank.path("id").asString() + "/syllabus",
                        Map.of("groups", rank.path("syllabus")),
                        view.path("tags").path(rank.path("id").asString()).asString())
                .expect(200)
                .edit();
        assertThat(edits(wayBack(whole).path("with"))).containsExactly(syllabus);
        head.undo(whole, syllabus).expect(200);
        assertThat(head.get("/api/ladders").json().get(0).path("ladder")).isEqualTo(ladder);
    }
}

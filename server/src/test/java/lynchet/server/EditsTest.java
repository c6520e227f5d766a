package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import lynchet.format.Json;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Edits of the map: refused ones change nothing, kept ones are told and can be taken back. */
@ExtendWith(RunningClub.class)
class EditsTest {

    private final HttpUser head = RunningClub.as("head");
    private String before;

    @BeforeEach
    void remember() {
        before = map();
    }

    private String map() {
        return head.get("/api/map").expect(200).json().path("map").toString();
    }

    /** Each line: what is bad about it, the rule, where it is sent, and the thing, changed from what is there. */
    @ParameterizedTest(name = "{0}")
    @CsvFileSource(resources = "/bad-edits.csv", delimiter = '|', quoteCharacter = '`', maxCharsPerColumn = 500)
    void aBadEditNamesTheRuleAndChangesNothing(String what, String rule, String path, String change) {
        HttpUser.Answer answer;
        if (path.startsWith("POST ")) {
            answer = head.post("/api/map/" + path.substring(5), expanded(change));
        } else {
            String[] part = path.split("/");
            JsonNode kept = kept(part[0], part[1]);
            JsonNode changed = Json.mapper().readerForUpdating(kept.deepCopy()).readValue(expanded(change));
            answer = head.put("/api/map/" + path, changed.toString(), tag(part[0], part[1]));
        }
        assertThat(answer.status()).as(answer.text()).isIn(400, 409, 422);
        assertThat(answer.code()).as(answer.text()).isEqualTo(rule);
        assertThat(answer.json().path("detail").asString()).as("a sentence").hasSizeGreaterThan(15);
        assertThat(map()).isEqualTo(before);
    }

    private static String expanded(String change) {
        return change.replace("LONG", "x".repeat(10_000));
    }

    private JsonNode kept(String part, String id) {
        if (part.equals("positions")) {
            for (JsonNode pair : head.get("/api/map").json().path("map").path("pairs")) {
                if (pair.path("id").asString().equals(id)) {
                    return pair;
                }
            }
        }
        JsonNode found = head.get("/api/map/" + part + "/" + id).expect(200).json();
        return part.equals("techniques") ? found.path("technique") : found;
    }

    private String tag(String part, String id) {
        String path = part.equals("positions")
                ? kept(part, id).path("first").path("id").asString()
                : id;
        return head.get("/api/map/" + part + "/" + path).tag();
    }

    private String lastEdit(String kind, String id) {
        return head.get("/api/edits/history?kind=" + kind + "&id=" + id)
                .expect(200)
                .json()
                .get(0)
                .path("edit")
                .asString();
    }

    @Test
    void aRenamedTechniqueKeepsItsOldNameIsToldAndCanBeTakenBack() {
        ObjectNode card = (ObjectNode) kept("techniques", "sprawl").deepCopy();
        card.put("name", "Hips back");
        card.withArray("aliases").addObject().put("text", "Sprawl").put("tongue", "plain");
        String tag = tag("techniques", "sprawl");
        head.put("/api/map/techniques/sprawl", card.toString(), tag).expect(200);
        assertThat(head.put("/api/map/techniques/sprawl", card.toString(), tag)
                        .expect(412)
                        .code())
                .isEqualTo("STALE");
        JsonNode told =
                head.get("/api/edits/history?kind=technique&id=sprawl").json().get(0);
        assertThat(told.path("who").asString()).isEqualTo("head");
        assertThat(told.path("fields").toString()).isEqualTo("[\"aliases\",\"name\"]");
        assertThat(head.get("/api/edits/changes?since=" + RunningClub.TODAY).text())
                .contains("Hips back");

        head.undo(told.path("edit").asString()).expect(200);
        assertThat(map()).isEqualTo(before);
        assertThat(head.undo(told.path("edit").asString()).expect(409).code()).isEqualTo("CHANGED_SINCE");
        assertThat(head.get("/api/edits/changes?since=" + RunningClub.TODAY).text())
                .doesNotContain("Hips back");
    }

    /** A page that was left open over the update, or a script, asks where they answered before. */
    @Test
    void historyAndUndoAreFoundWhereTheyWereBefore() {
        HttpUser.Answer history =
                head.get("/api/map/history?kind=technique&id=sprawl").expect(308);
        assertThat(history.headers()).contains("location=[/api/edits/history?kind=technique&id=sprawl]");
        assertThat(head.get("/api/map/changes?since=2026-01-01").expect(308).headers())
                .contains("location=[/api/edits/changes?since=2026-01-01]");
        assertThat(head.post("/api/map/undo/some-edit?with=another", Map.of())
                        .expect(308)
                        .headers())
                .contains("location=[/api/edits/some-edit/undo?with=another]");
    }

    @Test
    void whatWasAddedGoesAgainUnlessSomethingPointsAtIt() {
        head.post(
                        "/api/map/techniques",
                        Map.of(
                                "id", "new-way", "name", "New way", "family", "PASS", "learn", 2, "master", 2, "sided",
                                true))
                .expect(200);
        head.post(
                        "/api/map/links",
                        Map.of(
                                "id",
                                "new-link",
                                "from",
                                "in-closed-guard",
                                "technique",
                                "new-way",
                                "to",
                                "side-control-top"))
                .expect(200);
        String technique = lastEdit("technique", "new-way");
        String link = lastEdit("link", "new-link");
        assertThat(head.undo(technique).expect(422).code()).isEqualTo("LINK_TECHNIQUE");
        head.undo(link).expect(200);
        head.undo(technique).expect(200);
        assertThat(map()).isEqualTo(before);
        head.undo("nothing").expect(404);
    }

    @Test
    void aMergeTakesChainsSyllabusesAndRecordsAlongAndCanBeTakenBack() {
        String archive = head.get("/api/archive").expect(200).text();
        assertThat(archive).contains("\"subject\" : \"hip-bump-sweep\"", "\"technique\" : \"hip-bump-sweep\"");
        head.post("/api/map/techniques/hip-bump-sweep/merge", Map.of("into", "nothing"))
                .expect(422);
        head.post("/api/map/techniques/hip-bump-sweep/merge", Map.of("into", "arm-lock"))
                .expect(422);
        JsonNode look = head.post(
                        "/api/map/techniques/hip-bump-sweep/merge?look=true", Map.of("into", "pendulum-sweep"))
                .expect(200)
                .json();
        assertThat(head.get("/api/archive").text()).isEqualTo(archive);
        JsonNode done = head.post("/api/map/techniques/hip-bump-sweep/merge", Map.of("into", "pendulum-sweep"))
                .expect(200)
                .json();
        assertThat(done.path("changed")).isEqualTo(look.path("changed"));
        assertThat(done.path("changed").propertyNames()).contains("ladder", "link", "mark", "practice", "technique");

        JsonNode after = head.get("/api/archive").json();
        for (String part : List.of("ladders", "marks", "practice", "drills", "words", "classes")) {
            assertThat(after.path(part).toString()).as(part).doesNotContain("\"hip-bump-sweep\"");
        }
        assertThat(head.post("/api/archive/check", after.toString())
                        .expect(200)
                        .json()
                        .path("name")
                        .asString())
                .isNotEmpty();
        head.undo(done.path("edit").asString()).expect(200);
        assertThat(head.get("/api/archive").text()).isEqualTo(archive);
    }

    @Test
    void aGapThatIsLeftIsListedWithItsReasonAndComesBack() {
        String gaps = head.get("/api/map/gaps?rank=white").expect(200).text();
        JsonNode first = Json.mapper().readTree(gaps).get(0);
        ObjectNode decision = Json.mapper().createObjectNode();
        decision.put("id", "later").put("rank", "white").put("reason", "Taught in spring");
        for (String field : List.of("code", "position", "technique", "reaction")) {
            decision.set(field, first.path(field));
        }
        head.post("/api/map/gaps/ignored", decision.toString()).expect(200);
        assertThat(head.get("/api/map/gaps?rank=white").json().size())
                .isEqualTo(Json.mapper().readTree(gaps).size() - 1);
        assertThat(head.get("/api/map/gaps/ignored?rank=white").text()).contains("Taught in spring", "head");
        assertThat(head.get("/api/map/gaps/ignored?rank=yellow").json()).isEmpty();
        assertThat(head.get("/api/archive").text()).contains("Taught in spring");
        decision.put("id", "empty").put("reason", " ");
        assertThat(head.post("/api/map/gaps/ignored", decision.toString())
                        .expect(400)
                        .code())
                .isEqualTo("TEXT_EMPTY");
        assertThat(RunningClub.as("coach").delete("/api/map/gaps/ignored/later").status())
                .isEqualTo(403);
        head.delete("/api/map/gaps/ignored/later").expect(204);
        assertThat(head.get("/api/map/gaps?rank=white").text()).isEqualTo(gaps);
        head.delete("/api/map/gaps/ignored/later").expect(404);
    }

    @Test
    void aRulesetLeavesWhatItAllows() {
        JsonNode legal = head.get("/api/map/legal?jacket=NO_JACKET").expect(200).json();
        assertThat(legal.path("techniques").toString()).doesNotContain("\"sliding-collar-choke\"");
        assertThat(legal.path("positions").size()).isBetween(40, 95);
        head.get("/api/map/legal").expect(422);
        head.get("/api/map/legal?ruleset=none").expect(404);
        JsonNode fitting = head.get("/api/map/suggestions?from=closed-guard&technique=triangle-choke")
                .expect(200)
                .json();
        assertThat(fitting.path("techniques").toString())
                .contains("\"hip-bump-sweep\"")
                .doesNotContain("\"back-fall\"");
        assertThat(fitting.path("targets").size()).isPositive();
        assertThat(head.get("/api/map/evidence").expect(200).json().size()).isGreaterThan(10);
    }
}

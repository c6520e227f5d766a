package lynchet.server.rank;

import static org.assertj.core.api.Assertions.assertThat;

import lynchet.format.Json;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Ladders made and changed by hand. */
@ExtendWith(RunningClub.class)
class LaddersTest {

    private static final String BOATYARD = """
            { "id": "boatyard", "name": "Boatyard", "fromAge": 16, "toAge": 0, "examList": false, "tracks": [],
              "policy": { "stripes": "BY_CLASSES", "belt": "BY_COACH", "classesPerStripe": 20 },
              "ranks": [ { "id": "boatyard-grey", "name": "Grey", "colours": [ "grey" ], "stripes": 4 } ] }
            """;

    private final HttpUser head = RunningClub.as("head");

    private JsonNode view(String id) {
        return head.get("/api/ladders/" + id).expect(200).json();
    }

    private static ObjectNode body(HttpUser.Answer answer) {
        return (ObjectNode) Json.mapper().readTree(answer.text());
    }

    @Test
    void oneIsMadeChangedTakenBackAndTakenOut() {
        HttpUser.Answer made = head.post("/api/ladders", BOATYARD).expect(200);
        assertThat(head.get("/api/ladders/boatyard/check").expect(200).json()).hasSize(1);
        ObjectNode more = body(made);
        ((ArrayNode) more.path("ranks"))
                .addObject()
                .put("id", "boatyard-blue")
                .put("name", "Blue")
                .putArray("colours")
                .add("blue");
        HttpUser.Answer changed =
                head.put("/api/ladders/boatyard", more, made.tag()).expect(200);
        assertThat(view("boatyard").at("/ladder/ranks/1/name").asString()).isEqualTo("Blue");
        assertThat(view("boatyard").path("tag").asString()).isEqualTo(changed.tag());
        assertThat(head.put("/api/ladders/boatyard", more, made.tag()).status())
                .as("an old tag")
                .isEqualTo(412);
        head.undo(changed.edit()).expect(200);
        assertThat(view("boatyard").at("/ladder/ranks")).hasSize(1);
        assertThat(head.delete("/api/ladders/boatyard").status()).isEqualTo(428);
        head.delete("/api/ladders/boatyard", view("boatyard").path("tag").asString())
                .expect(204);
        assertThat(head.get("/api/ladders").text()).doesNotContain("Boatyard");
    }

    @Test
    void aRankThatSomebodyHoldsStays() {
        JsonNode before = view("adult");
        String tag = before.path("tag").asString();
        ObjectNode without = (ObjectNode) before.path("ladder").deepCopy();
        ArrayNode ranks = (ArrayNode) without.path("ranks");
        ranks.removeIf(rank -> rank.path("id").asString().equals("green"));
        assertThat(ranks).hasSize(6);
        HttpUser.Answer refused = head.put("/api/ladders/adult", without, tag).expect(422);
        assertThat(refused.code()).isEqualTo("RANK_HELD");
        assertThat(refused.json().path("detail").asString()).startsWith("Green was given to ");
        assertThat(head.delete("/api/ladders/junior", view("junior").path("tag").asString())
                        .code())
                .isEqualTo("RANK_HELD");
        assertThat(view("adult")).isEqualTo(before);
    }

    @Test
    void whatMakesNoSenseIsRefused() {
        assertThat(head.post("/api/ladders", BOATYARD.replace("\"toAge\": 0", "\"toAge\": 12"))
                        .status())
                .isEqualTo(400);
        assertThat(head.post("/api/ladders", BOATYARD.replace("boatyard-grey", "white"))
                        .code())
                .as("a rank of another ladder")
                .isEqualTo("ID_UNIQUE");
        assertThat(head.get("/api/ladders").text()).doesNotContain("Boatyard");
        RunningClub.as("coach").post("/api/ladders", BOATYARD).expect(403);
        RunningClub.as("coach").delete("/api/ladders/adult").expect(403);
    }
}

package lynchet.server.rules;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Rules of a bout made by hand from shipped ones, with what they change said before. */
@ExtendWith(RunningClub.class)
class RulesTest {

    private final HttpUser head = RunningClub.as("head");

    private ObjectNode shipped(String id) {
        return (ObjectNode) head.get("/api/map/rulesets/" + id).expect(200).json();
    }

    private static List<String> texts(JsonNode list) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(JsonNode::asString)
                .toList();
    }

    @Test
    void theSameUnderAnotherNameChangesNothingAndIsKeptTakenBackAndTakenOut() {
        ObjectNode own = shipped("jacket-ground");
        own.put("id", "our-ground").put("name", "Our ground");
        JsonNode look = head.post("/api/map/rulesets/look?like=jacket-ground", own.toString())
                .expect(200)
                .json();
        for (String part : List.of("forbidden", "allowed", "chains", "ladders")) {
            assertThat(look.path(part)).as(part).isEmpty();
        }
        assertThat(look.path("reachedAfter")).isEqualTo(look.path("reachedBefore"));
        assertThat(look.path("gapsAfter")).isEqualTo(look.path("gapsBefore"));

        String edit = head.post("/api/map/rulesets", own.toString()).expect(200).edit();
        HttpUser.Answer kept = head.get("/api/map/rulesets/our-ground").expect(200);
        assertThat(kept.json()).isEqualTo(own);
        own.put("minutes", 7);
        head.put("/api/map/rulesets/our-ground", own.toString(), "\"old\"").expect(412);
        String changed = head.put("/api/map/rulesets/our-ground", own.toString(), kept.tag())
                .expect(200)
                .edit();
        assertThat(head.get("/api/edits/history?kind=ruleset&id=our-ground")
                        .expect(200)
                        .json())
                .hasSize(2);
        head.undo(edit, changed).expect(200);
        head.get("/api/map/rulesets/our-ground").expect(404);
    }

    @Test
    void whatIsForbiddenIsSaidByNameWithTheChainsAndRanksItCloses() {
        ObjectNode strict = shipped("jacket-ground");
        strict.withArray("illegalTechniques").add("scissor-sweep").add("pendulum-sweep");
        JsonNode look = head.post("/api/map/rulesets/look", strict.toString())
                .expect(200)
                .json();
        assertThat(texts(look.path("forbidden"))).contains("Scissor sweep", "Pendulum sweep");
        assertThat(look.path("allowed")).isEmpty();
        assertThat(look.path("chains")).isNotEmpty().anySatisfy(chain -> {
            assertThat(chain.path("before").path("isLegal").asBoolean()).isTrue();
            assertThat(chain.path("after").path("isLegal").asBoolean()).isFalse();
        });
        assertThat(shipped("jacket-ground").path("illegalTechniques"))
                .as("only looked")
                .isNotEqualTo(strict.path("illegalTechniques"));
    }

    @Test
    void badRulesAreRefusedWholeAndThoseInUseStay() {
        ObjectNode bad = shipped("jacket-ground");
        bad.put("id", "bad-rules");
        ObjectNode negative = bad.deepCopy();
        negative.put("halfThrowPoints", -1);
        assertThat(head.post("/api/map/rulesets", negative.toString())
                        .expect(400)
                        .code())
                .isEqualTo("OUT_OF_RANGE");
        ObjectNode nowhere = bad.deepCopy();
        nowhere.withArray("entries").add("no-such-place");
        assertThat(head.post("/api/map/rulesets", nowhere.toString())
                        .expect(422)
                        .code())
                .isEqualTo("RULESET_ENTRY");
        ObjectNode twice = bad.deepCopy();
        twice.withArray("illegalHazards")
                .addObject()
                .put("hazard", "NECK_CRANK")
                .put("belowAge", 12);
        twice.withArray("illegalHazards")
                .addObject()
                .put("hazard", "NECK_CRANK")
                .put("belowAge", 14);
        assertThat(head.post("/api/map/rulesets", twice.toString()).status()).isEqualTo(400);
        head.get("/api/map/rulesets/bad-rules").expect(404);
        String tag = head.get("/api/map/rulesets/jacket-throwing").tag();
        assertThat(head.delete("/api/map/rulesets/jacket-throwing", tag)
                        .expect(422)
                        .code())
                .isIn("LADDER_RULESET", "CONTROL_RULESET");
        RunningClub.as("coach").post("/api/map/rulesets", bad.toString()).expect(403);
    }
}

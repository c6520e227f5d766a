package lynchet.server.safety;

import static org.assertj.core.api.Assertions.assertThat;

import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The club's own numbers: kept, obeyed where the constants were, taken back; what would loosen them is refused. */
@ExtendWith(RunningClub.class)
class NumbersTest {

    private final HttpUser head = RunningClub.as("head");

    private static ObjectNode own(JsonNode numbers) {
        return (ObjectNode) numbers.path("numbers").deepCopy();
    }

    private String card(String technique) {
        return head.get("/api/map/techniques/" + technique).expect(200).text();
    }

    @Test
    void aRaisedAgeStandsOnEachCardAndGoesBackWithTheEdit() {
        HttpUser.Answer before = head.get("/api/numbers").expect(200);
        assertThat(card("arm-lock")).contains("not under 13, only shown up to 15");
        ObjectNode strict = own(before.json());
        strict.withArray("ages")
                .addObject()
                .put("hazard", "ARM_LOCK")
                .put("from", 15)
                .put("shownBelow", 18);
        String edit = head.put("/api/numbers", strict.toString(), before.tag())
                .expect(200)
                .edit();
        assertThat(card("arm-lock")).contains("not under 15, only shown up to 17");
        assertThat(head.put("/api/numbers", strict.toString(), before.tag())
                        .expect(412)
                        .code())
                .isEqualTo("STALE");
        assertThat(head.get("/api/archive").text()).contains("\"numbers\"");
        head.undo(edit).expect(200);
        assertThat(card("arm-lock")).contains("not under 13, only shown up to 15");
        assertThat(head.get("/api/numbers").json().path("isOwn").asBoolean()).isFalse();
    }

    @Test
    void whatProtectsIsNotLoosened() {
        HttpUser.Answer before = head.get("/api/numbers").expect(200);
        ObjectNode looser = own(before.json());
        looser.put("weightGap", 30);
        HttpUser.Answer refused = head.put("/api/numbers", looser.toString(), before.tag());
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.text()).contains("5 to 20", "/weightGap");
        ObjectNode younger = own(before.json());
        younger.withArray("ages")
                .addObject()
                .put("hazard", "ARM_LOCK")
                .put("from", 10)
                .put("shownBelow", 16);
        assertThat(head.put("/api/numbers", younger.toString(), before.tag()).status())
                .isEqualTo(400);
        RunningClub.as("coach")
                .put("/api/numbers", own(before.json()).toString(), before.tag())
                .expect(403);
        assertThat(head.get("/api/numbers").json()).isEqualTo(before.json());
    }

    @Test
    void moreFallsThanTheClubBearsWantAHeadCoachsWord() {
        String path = "/api/classes/fundamentals-" + RunningClub.TODAY;
        HttpUser coach = RunningClub.as("coach");
        HttpUser.Answer open = coach.get(path).expect(200);
        ObjectNode training = (ObjectNode) open.json().path("training").deepCopy();
        ObjectNode block = training.withArray("blocks").addObject();
        block.put("id", "many-throws")
                .put("kind", "WHOLE_DRILL")
                .put("title", "Throws")
                .put("minutes", 40);
        block.put("technique", "major-hip-throw");
        block.putObject("dose")
                .put("reps", 40)
                .put("sides", "BOTH")
                .put("swaps", 1)
                .put("tempo", "SLOW")
                .put("resistance", 0)
                .put("surface", "MAT")
                .put("explain", 60)
                .put("pace", 6);
        HttpUser.Answer refused = coach.put(path, training.toString(), open.tag());
        assertThat(refused.expect(422).code()).isEqualTo("FALLS_MANY");
        assertThat(refused.json().path("where").asString()).isEqualTo("/fallsReason");
        training.put("fallsReason", "A camp day on crash mats");
        assertThat(coach.put(path, training.toString(), open.tag()).expect(422).code())
                .isEqualTo("FALLS_MANY");
        HttpUser.Answer kept = head.put(path, training.toString(), open.tag()).expect(200);
        training.put("theme", "Camp");
        coach.put(path, training.toString(), kept.tag()).expect(200);
    }
}

package lynchet.server.mat;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Practice from before counts once, fades like any other, and goes when it is taken back. */
@ExtendWith(RunningClub.class)
class CreditTest {

    private final HttpUser coach = RunningClub.as("coach");

    private static Map<String, Object> credit(String id, String on) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "student",
                "roo-tanager",
                "subject",
                "single-leg",
                "side",
                "LEFT",
                "reps",
                80,
                "on",
                on,
                "note",
                "elsewhere"));
    }

    private JsonNode memory() {
        return coach.get("/api/people/roo-tanager/memory?subject=single-leg")
                .expect(200)
                .json()
                .path("memory");
    }

    @Test
    void itCountsOnceAndGoesAgain() {
        assertThat(memory().size()).isZero();
        Map<String, Object> sent = credit("cr-test", "2024-05-02");
        JsonNode kept = coach.post("/api/credits", sent).expect(200).json();
        assertThat(kept.path("by").asString()).isEqualTo("coach");
        assertThat(coach.post("/api/credits", sent).expect(200).json())
                .as("sent again")
                .isEqualTo(kept);
        assertThat(memory().size()).as("on the left alone").isEqualTo(1);
        assertThat(memory().path(0).path("side").asString()).isEqualTo("LEFT");
        assertThat(memory().path(0)
                        .path("days")
                        .path(0)
                        .path("done")
                        .path("wholeReps")
                        .asInt())
                .isEqualTo(80);
        assertThat(coach.post("/api/credits", credit("cr-more", "2024-05-03")).code())
                .isEqualTo("CREDITED_ALREADY");
        coach.delete("/api/credits/cr-test").expect(200);
        assertThat(memory().size()).isZero();
        coach.delete("/api/credits/cr-test").expect(404);
    }

    @Test
    void badOnesAreRefused() {
        assertThat(coach.post("/api/credits", credit("cr-bad", "2026-11-25")).code())
                .isEqualTo("NOT_YET");
        Map<String, Object> nothing = credit("cr-bad", "2024-05-02");
        nothing.put("subject", "no-such-thing");
        assertThat(coach.post("/api/credits", nothing).code()).isEqualTo("RECORD_SUBJECT");
        Map<String, Object> silent = credit("cr-bad", "2024-05-02");
        silent.put("note", " ");
        coach.post("/api/credits", silent).expect(400);
        RunningClub.as("viewer")
                .post("/api/credits", credit("cr-bad", "2024-05-02"))
                .expect(403);
        assertThat(memory().size()).isZero();
    }
}

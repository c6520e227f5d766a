package lynchet.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Each thing done to somebody's limits and holds is answered with how they stand now; nobody lifts their own. */
@ExtendWith(RunningClub.class)
class LimitAnswersTest {

    private final HttpUser head = RunningClub.as("head");
    private String id;

    @BeforeEach
    void somebody() {
        id = head.post("/api/people", "{\"id\":\"x\",\"name\":\"Limit Answers\",\"joined\":\"2026-01-01\"}")
                .expect(200)
                .json()
                .path("id")
                .asString();
    }

    private HttpUser.Answer post(String what, Object body) {
        return head.post("/api/people/" + id + what, body);
    }

    /** What was answered is what is kept. */
    private JsonNode done(String what, Object body) {
        JsonNode answer = post(what, body).expect(200).json();
        assertThat(answer)
                .as(what)
                .isEqualTo(head.get("/api/people/" + id).expect(200).json());
        return answer;
    }

    @Test
    void limitsAreAnsweredAsTheyStand() {
        JsonNode limited = done("/limits", Map.of("kind", "NO_NECK", "from", "2026-11-20", "note", "stiff"));
        assertThat(limited.at("/restrictions/0/kind").asString()).isEqualTo("NO_NECK");
        JsonNode lifted = done("/limits/lift", Map.of("kind", "NO_NECK"));
        assertThat(lifted.at("/restrictions/0/until").asString()).isEqualTo("2026-11-23");
        assertThat(post("/limits/lift", Map.of("kind", "NO_NECK")).status()).isEqualTo(404);
    }

    @Test
    void aWayBackIsAnsweredAsItStandsAndIsMadeLongerByOneToFiftySixDays() {
        assertThat(post("/limits/way-back/lift", "{}").status())
                .as("none is there")
                .isEqualTo(404);
        JsonNode back = done(
                "/limits/way-back",
                Map.of(
                        "steps",
                        List.of(Map.of("from", "2026-11-24", "limits", List.of("NO_LIVE"), "note", "easy")),
                        "full",
                        "2026-12-24"));
        assertThat(back.at("/restrictions/0/until").asString()).isEqualTo("2026-12-23");
        for (int days : List.of(0, 57)) {
            assertThat(post("/limits/way-back/longer", Map.of("days", days)).code())
                    .isEqualTo("OUT_OF_RANGE");
        }
        assertThat(done("/limits/way-back/longer", Map.of("days", 1))
                        .at("/restrictions/0/until")
                        .asString())
                .isEqualTo("2026-12-24");
        done("/limits/way-back/longer", Map.of("days", 56));
        done("/limits", Map.of("kind", "NO_NECK", "from", "2026-11-24"));
        JsonNode ended = done("/limits/way-back/lift", "{}");
        assertThat(ended.path("restrictions")).as("only the way back is over").hasSize(1);
        assertThat(ended.at("/restrictions/0/kind").asString()).isEqualTo("NO_NECK");
    }

    @Test
    void holdsAreAnsweredAsTheyStand() {
        JsonNode held = done("/holds", Map.of("reason", "calm first"));
        assertThat(held.at("/holds/0/ended").isNull()).isTrue();
        assertThat(post("/holds", Map.of("reason", "again")).code()).isEqualTo("HELD_ALREADY");
        assertThat(done("/holds/lift", "{}").at("/holds/0/ended").asString()).isEqualTo("2026-11-24");
        assertThat(post("/holds/lift", "{}").status()).isEqualTo(404);
    }
}

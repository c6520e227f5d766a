package lynchet.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What students ask for waits until a class takes it up. */
@ExtendWith(RunningClub.class)
class AskTest {

    private final HttpUser coach = RunningClub.as("coach");

    private JsonNode asked(String of) {
        return coach.get("/api/asks?" + of).expect(200).json();
    }

    @Test
    void itIsWrittenDownAnsweredAndTakenUp() {
        Map<String, Object> ask =
                new HashMap<>(Map.of("id", "ask-test", "student", "orla-fenwick", "words", "how to stand up"));
        JsonNode kept = coach.post("/api/asks", ask).expect(200).json();
        assertThat(kept.path("by").asString()).as("the house says who").isEqualTo("coach");
        assertThat(kept.path("on").asString()).isEqualTo(RunningClub.TODAY);
        assertThat(coach.post("/api/asks", ask).expect(200).json())
                .as("sent again")
                .isEqualTo(kept);
        ask.put("words", "something else");
        assertThat(coach.post("/api/asks", ask).code()).isEqualTo("ID_TAKEN");
        assertThat(asked("track=fundamentals").toString()).contains("how to stand up");
        assertThat(asked("track=juniors").toString()).doesNotContain("how to stand up");

        JsonNode view = asked("student=orla-fenwick").path(0);
        ObjectNode answered = (ObjectNode) view.path("ask");
        answered.put("subject", "no-such-thing");
        String tag = view.path("tag").asString();
        coach.put("/api/asks/ask-test", answered.toString(), tag).expect(422);
        answered.put("subject", "hip-bump-sweep").put("done", RunningClub.TODAY).put("by", "nobody");
        JsonNode after = coach.put("/api/asks/ask-test", answered.toString(), tag)
                .expect(200)
                .json();
        assertThat(after.path("by").asString()).isEqualTo("coach");
        assertThat(coach.put("/api/asks/ask-test", answered.toString(), tag).status())
                .isEqualTo(412);
        assertThat(asked("track=fundamentals").toString()).doesNotContain("how to stand up");
        assertThat(asked("student=orla-fenwick")
                        .path(0)
                        .path("ask")
                        .path("done")
                        .asString())
                .isEqualTo(RunningClub.TODAY);
    }

    @Test
    void badOnesAreRefused() {
        assertThat(coach.get("/api/asks").code()).isEqualTo("ASKS");
        coach.get("/api/asks?student=nobody").expect(404);
        coach.post("/api/asks", Map.of("id", "ask-bad", "student", "nobody", "words", "x"))
                .expect(422);
        coach.post("/api/asks", Map.of("id", "ask-bad", "student", "orla-fenwick", "words", " "))
                .expect(422);
        RunningClub.as("viewer")
                .post("/api/asks", Map.of("id", "ask-bad", "student", "orla-fenwick", "words", "x"))
                .expect(403);
        assertThat(asked("student=orla-fenwick").toString()).doesNotContain("ask-bad");
    }
}

package lynchet.server.erase;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.stream.Stream;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** The club says for how long it keeps people who left; who is due is named, and nobody is erased by that. */
@ExtendWith(RunningClub.class)
class KeepingTest {

    private static Stream<String> due(JsonNode keeping) {
        return keeping.path("due").valueStream().map(one -> one.path("name").asString());
    }

    @Test
    void whoIsGoneForLongerIsDue() {
        ConfigurableApplicationContext club = RunningClub.another();
        try {
            HttpUser head = RunningClub.head(club);
            person(head, "Gone Long", "2019-01-10", "2023-11-24", false);
            person(head, "Gone Lately", "2019-01-10", "2023-11-25", false);
            person(head, "Once Only", "2022-03-04", null, true);
            person(head, "Still Here", "2019-01-10", null, false);
            assertThat(due(head.get("/api/keeping").expect(200).json()))
                    .as("the club has not said")
                    .isEmpty();
            assertThat(head.put("/api/keeping", "{\"years\":0}", null).code()).isEqualTo("OUT_OF_RANGE");
            assertThat(head.put("/api/keeping", "{\"years\":51}", null).code()).isEqualTo("OUT_OF_RANGE");
            head.put("/api/keeping", "{\"years\":1}", null).expect(200);
            head.put("/api/keeping", "{\"years\":50}", null).expect(200);
            JsonNode keeping =
                    head.put("/api/keeping", "{\"years\":3}", null).expect(200).json();
            assertThat(due(keeping)).containsExactly("Once Only", "Gone Long");
            assertThat(head.get("/api/keeping").json()).isEqualTo(keeping);
            String id = keeping.path("due").path(1).path("id").asString();
            head.get("/api/people/" + id).expect(200);
            head.post("/api/people/" + id + "/erase", Map.of("name", "Gone Long", "fromText", false))
                    .expect(200);
            assertThat(due(head.get("/api/keeping").json())).containsExactly("Once Only");
            RunningClub.user(club, "coach").get("/api/keeping").expect(403);
        } finally {
            club.close();
        }
    }

    private static void person(HttpUser head, String name, String joined, String left, boolean isGuest) {
        String guest = isGuest ? ",\"guest\":{\"fallsKnown\":false}" : "";
        String gone = left == null ? "" : ",\"left\":\"" + left + "\"";
        head.post(
                        "/api/people",
                        "{\"id\":\"x\",\"name\":\"" + name + "\",\"joined\":\"" + joined + "\"" + gone + guest + "}")
                .expect(200);
    }
}

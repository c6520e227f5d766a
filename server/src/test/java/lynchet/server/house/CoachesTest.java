package lynchet.server.house;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** Who gives a class has a name; what was only written is matched once. */
@Execution(ExecutionMode.CONCURRENT)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class CoachesTest {

    private ConfigurableApplicationContext club;
    private HttpUser head;

    @BeforeAll
    void open() {
        club = RunningClub.another();
        head = RunningClub.head(club);
    }

    @AfterAll
    void close() {
        club.close();
    }

    private JsonNode coaches() {
        return RunningClub.user(club, "viewer").get("/api/coaches").expect(200).json();
    }

    private String coachOf(String track, int slot) {
        for (JsonNode one : head.get("/api/tracks").json().path("tracks")) {
            if (one.path("id").asString().equals(track)) {
                return one.path("slots").get(slot).path("coach").asString();
            }
        }
        throw new AssertionError("no track " + track);
    }

    @Test
    void whatWasWrittenIsMatchedOnceForWhatIsToComeAndTakenBackAsOne() {
        JsonNode before = coaches();
        assertThat(before.path("coaches").valueStream().map(one -> one.path("name")
                        .asString()))
                .contains("Head", "Coach")
                .doesNotContain("Viewer");
        assertThat(before.path("written").valueStream().map(one -> one.path("text")
                        .asString()))
                .contains("Wren Abbot", "Sorrel Vane");
        String past = head.get("/api/archive").text();
        assertThat(past.split("\"Wren Abbot\"").length)
                .as("classes that are over name them")
                .isGreaterThan(3);

        HttpUser.Answer meant = head.post("/api/coaches/meant", Map.of("text", "Wren Abbot", "person", "wanda-crake"))
                .expect(200);
        assertThat(coachOf("no-jacket", 0)).isEqualTo("wanda-crake");
        assertThat(meant.json().path("names").path("wanda-crake").asString()).isEqualTo("Wanda Crake");
        assertThat(meant.json().path("written").valueStream().map(one -> one.path("text")
                        .asString()))
                .doesNotContain("Wren Abbot");
        assertThat(head.get("/api/archive").text())
                .as("what is over stays as written")
                .contains("\"Wren Abbot\"");

        HttpUser.Answer erased = head.post("/api/people/wanda-crake/erase", Map.of("name", "Wanda Crake"));
        assertThat(erased.code()).isEqualTo("GIVES_CLASSES");

        head.undo(meant.edit()).expect(200);
        assertThat(coachOf("no-jacket", 0)).isEqualTo("Wren Abbot");
    }

    @Test
    void anAccountThatNamesAPersonIsThatPerson() {
        head.post("/api/accounts", Map.of("name", "dave", "role", "COACH", "person", "sorin-vale"))
                .expect(200);
        assertThat(coaches().path("names").path("dave").asString()).isEqualTo("Sorin Vale");
        assertThat(coaches().path("coaches").valueStream().map(one -> one.path("id")
                        .asString()))
                .contains("sorin-vale")
                .doesNotContain("dave");
    }

    @Test
    void whoIsMeantMustBeHere() {
        assertThat(head.post("/api/coaches/meant", Map.of("text", "Sorrel Vane", "person", "nobody"))
                        .code())
                .isEqualTo("NOBODY");
        assertThat(head.post("/api/coaches/meant", Map.of("text", " ", "person", "sorin-vale"))
                        .code())
                .isEqualTo("TEXT_MISSING");
        assertThat(RunningClub.user(club, "coach")
                        .post("/api/coaches/meant", Map.of("text", "Sorrel Vane", "person", "sorin-vale"))
                        .status())
                .isEqualTo(403);
    }
}

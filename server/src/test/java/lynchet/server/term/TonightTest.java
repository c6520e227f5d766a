package lynchet.server.term;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** An evening proposed from who is here, over HTTP. */
class TonightTest {

    private static ConfigurableApplicationContext club;
    private static HttpUser coach;

    @BeforeAll
    static void start() {
        club = RunningClub.another();
        coach = RunningClub.user(club, "coach");
    }

    @AfterAll
    static void stop() {
        club.close();
    }

    private static JsonNode training() {
        return coach.get("/api/classes/fundamentals-2026-12-01")
                .expect(200)
                .json()
                .path("training");
    }

    private static JsonNode evening() {
        return coach.get("/api/classes/fundamentals-2026-12-01/tonight")
                .expect(200)
                .json();
    }

    private static void comes(String student) {
        coach.post(
                        "/api/attendance",
                        Map.of(
                                "id",
                                "here-" + student,
                                "classId",
                                "fundamentals-2026-12-01",
                                "student",
                                student,
                                "how",
                                "NAME"))
                .expect(200);
    }

    private static List<String> sentences(JsonNode evening) {
        List<String> all = new ArrayList<>();
        evening.at("/tonight/ways").forEach(way -> way.path("lines")
                .forEach(line -> all.add(line.path("sentence").asString())));
        return all;
    }

    @Test
    void whoIsHereDecides() {
        assertThat(evening().path("here").asInt()).isZero();
        assertThat(sentences(evening())).isEmpty();
        for (String one : List.of("orla-fenwick", "tobias-marrow", "ines-calloway", "amara-quist", "kit-harrowgate")) {
            comes(one);
        }
        JsonNode evening = evening();
        assertThat(evening.path("here").asInt()).isEqualTo(5);
        assertThat(evening.path("ranked").asInt()).isEqualTo(5);
        assertThat(evening.at("/tonight/ways").size()).isEqualTo(3);
        assertThat(sentences(evening)).allMatch(one -> one.matches(".*( of 5 need|rusty in|in the term's plan).*"));
        assertThat(evening.at("/tonight/ways/0/minutes").asInt())
                .isBetween(1, evening.path("minutes").asInt());
        evening.at("/tonight/left")
                .forEach(line -> assertThat(line.path("left").asString()).isNotBlank());

        JsonNode made = evening.at("/tonight/ways/0/training");
        HttpUser.Answer before = coach.get("/api/classes/fundamentals-2026-12-01");
        coach.put("/api/classes/fundamentals-2026-12-01", made.toString(), before.tag())
                .expect(200);
        assertThat(training().path("blocks")).isEqualTo(made.path("blocks"));
        RunningClub.user(club, "viewer")
                .get("/api/classes/fundamentals-2026-12-01/tonight")
                .expect(403);
        assertThat(coach.get("/api/classes/nothing/tonight").status()).isEqualTo(404);
    }
}

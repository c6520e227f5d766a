package lynchet.server.round;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import lynchet.core.leak.Caught;
import lynchet.core.round.Round;
import lynchet.core.round.RoundFilter;
import lynchet.format.ClubArchive;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What the demo club is caught with, whom that is told, and what is done about it. */
@ExtendWith(RunningClub.class)
class LeaksTest {

    private static final LocalDate TODAY = LocalDate.parse(RunningClub.TODAY);
    private static final String CHOKE = "front-choke-on";

    private final HttpUser coach = RunningClub.as("coach");

    private JsonNode leaks(HttpUser who, String query) {
        return who.get("/api/rounds/leaks" + query).expect(200).json();
    }

    private static List<Round> rounds() {
        String archive = RunningClub.as("head").get("/api/archive").expect(200).text();
        return ClubArchive.read(
                        new java.io.ByteArrayInputStream(archive.getBytes(java.nio.charset.StandardCharsets.UTF_8)))
                .rounds();
    }

    @Test
    void thePlantedOneIsFirstAndEqualsTheRounds() {
        JsonNode view = leaks(coach, "?days=400");
        JsonNode first = view.path("leaks").get(0).path("leak");
        assertThat(first.path("position").asString()).isEqualTo(CHOKE);
        LocalDate from = TODAY.minusDays(399);
        RoundFilter window = new RoundFilter(
                null, from.atStartOfDay(java.time.ZoneOffset.UTC).toInstant(), null, null, null);
        int slow = Caught.in(rounds(), window).stream()
                .filter(one -> CHOKE.equals(one.position()))
                .mapToInt(Caught::times)
                .sum();
        assertThat(first.path("times").asInt()).isEqualTo(slow).isGreaterThan(5);
        assertThat(first.path("says").asString()).startsWith("Caught " + slow + " times from ");
        assertThat(first.path("answers")).isNotEmpty();
        assertThat(view.path("names")
                        .path(first.path("whose").get(0).asString())
                        .asString())
                .isNotBlank();
        assertThat(leaks(coach, "?kind=POSITIONAL").path("leaks")).isEmpty();
        String whose = first.path("whose").get(0).asString();
        JsonNode one = leaks(coach, "?days=400&by=" + whose);
        RoundFilter theirs = new RoundFilter(whose, window.from(), null, null, null);
        int lost = Caught.in(rounds(), theirs).stream()
                .filter(way -> way.position() != null)
                .mapToInt(Caught::times)
                .sum();
        assertThat(one.path("leaks")
                        .valueStream()
                        .mapToInt(way -> way.path("leak").path("times").asInt())
                        .sum())
                .as("one student's losses")
                .isEqualTo(lost);
        assertThat(one.path("rounds").asInt()).isLessThan(view.path("rounds").asInt());
        assertThat(coach.get("/api/rounds/leaks?by=nobody").status()).isEqualTo(404);
        assertThat(RunningClub.as("viewer").get("/api/rounds/leaks?by=" + whose).code())
                .isEqualTo("NOT_ALLOWED");
        assertThat(coach.get("/api/rounds/leaks?days=3").code()).isEqualTo("DAYS_MANY");
        assertThat(coach.get("/api/rounds/leaks?fought=no-such").status()).isEqualTo(404);
    }

    @Test
    void aViewerSeesTheFiguresAndNobodysName() {
        JsonNode view = leaks(RunningClub.as("viewer"), "?days=400");
        assertThat(view.path("leaks").get(0).path("leak").path("times").asInt()).isGreaterThan(5);
        assertThat(view.path("names")).isEmpty();
        for (JsonNode one : view.path("leaks")) {
            assertThat(one.path("leak").path("whose")).isEmpty();
            assertThat(one.path("into").isObject()).isFalse();
        }
    }

    @Test
    void onePressPutsItIntoTheNextClassOnce() {
        JsonNode into = leaks(coach, "?days=400").path("leaks").get(0).path("into");
        String path = "/api/rounds/leaks/" + CHOKE + "/class";
        String body = "{\"classId\":\"" + into.path("id").asString() + "\"}";
        HttpUser.Answer put = coach.post(path, body).expect(200);
        assertThat(put.json().path("blocks").valueStream().map(one -> one.path("id")
                        .asString()))
                .contains("leak-" + CHOKE);
        assertThat(coach.post(path, body).expect(200).json()).as("once").isEqualTo(put.json());
        assertThat(leaks(coach, "?days=400").path("leaks").get(0).path("isIn").asBoolean())
                .isTrue();
        coach.undo(put.edit()).expect(200);
        assertThat(leaks(coach, "?days=400").path("leaks").get(0).path("isIn").asBoolean())
                .isFalse();
        assertThat(coach.post("/api/rounds/leaks/no-such/class", body).status()).isEqualTo(404);
        assertThat(coach.post(path, "{\"classId\":\"no-such\"}").code()).isEqualTo("RECORD_CLASS");
        String over = rounds().stream()
                .filter(round -> round.classId() != null)
                .findFirst()
                .orElseThrow()
                .classId();
        assertThat(coach.post(path, "{\"classId\":\"" + over + "\"}").code()).isEqualTo("CLASS_OVER");
    }

    @Test
    void whatIsLeftAloneStandsLastUntilItsDay() {
        String leave = "{\"id\":\"left\",\"position\":\"%s\",\"reason\":\"taught last week\",\"until\":\"%s\"}";
        HttpUser.Answer left = coach.post("/api/rounds/ignored-leaks", leave.formatted(CHOKE, TODAY))
                .expect(200);
        JsonNode all = leaks(coach, "?days=400").path("leaks");
        JsonNode last = all.get(all.size() - 1);
        assertThat(last.path("leak").path("position").asString()).isEqualTo(CHOKE);
        assertThat(last.path("ignored").path("reason").asString()).isEqualTo("taught last week");
        coach.delete("/api/rounds/ignored-leaks/left", left.tag());
        HttpUser.Answer over = coach.post("/api/rounds/ignored-leaks", leave.formatted(CHOKE, TODAY.minusDays(1)))
                .expect(200);
        assertThat(leaks(coach, "?days=400")
                        .path("leaks")
                        .get(0)
                        .path("leak")
                        .path("position")
                        .asString())
                .as("the day is over")
                .isEqualTo(CHOKE);
        coach.delete("/api/rounds/ignored-leaks/left", over.tag());
    }
}

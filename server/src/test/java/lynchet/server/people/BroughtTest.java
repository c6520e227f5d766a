package lynchet.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
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

/** People who come with a belt have what is asked below it once the head coach says so, and not a moment longer. */
@Execution(ExecutionMode.CONCURRENT)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BroughtTest {

    private ConfigurableApplicationContext club;
    private HttpUser head;
    private HttpUser coach;

    @BeforeAll
    void open() {
        club = RunningClub.another();
        head = RunningClub.head(club);
        coach = RunningClub.user(club, "coach");
    }

    @AfterAll
    void close() {
        club.close();
    }

    private String comes(String name, String born, String rank) {
        String id = head.post("/api/people", Map.of("id", "x", "name", name, "joined", "2026-11-20", "born", born))
                .expect(200)
                .json()
                .path("id")
                .asString();
        head.post(
                        "/api/promotions",
                        Map.of(
                                "id",
                                "pr-" + UUID.randomUUID(),
                                "student",
                                id,
                                "ladder",
                                "adult",
                                "to",
                                rank,
                                "stripes",
                                0,
                                "date",
                                "2024-03-01",
                                "fromBefore",
                                true,
                                "figures",
                                List.of()))
                .expect(200);
        return id;
    }

    private HttpUser.Answer say(HttpUser who, String answer, String... students) {
        return who.post("/api/people/brought", Map.of("students", List.of(students), "answer", answer));
    }

    private JsonNode came(String id) {
        return head.get("/api/people/" + id + "/brought").expect(200).json();
    }

    private List<String> listed(String mind) {
        JsonNode rows =
                head.get("/api/people?size=200&mind=" + mind).expect(200).json().path("rows");
        return StreamSupport.stream(rows.spliterator(), false)
                .map(row -> row.path("student").path("id").asString())
                .toList();
    }

    private String green(String id) {
        JsonNode techniques =
                head.get("/api/people/" + id + "/progress").expect(200).json().path("techniques");
        return techniques.path("elbow-escape").asString();
    }

    @Test
    void manyAreAnsweredAtOnceAndAllOfItIsTakenBackWithOneUndo() {
        String anna = comes("Anna Brought", "1990-05-05", "green");
        String bill = comes("Bill Brought", "1985-05-05", "orange");
        String carl = comes("Carl Brought", "1985-05-06", "white");
        assertThat(listed("BROUGHT")).contains(anna, bill).doesNotContain(carl);
        assertThat(came(anna).get(0).path("asked").asInt()).isGreaterThan(20);
        assertThat(came(anna).get(0).path("said").isNull()).isTrue();
        assertThat(came(carl)).isEmpty();
        assertThat(green(anna)).isEqualTo("BARE");

        HttpUser.Answer said = say(head, "ALL", anna, bill, carl, anna).expect(200);
        assertThat(said.json().path("people").asInt()).isEqualTo(2);
        assertThat(said.json().path("passed").isMissingNode()).isTrue();
        assertThat(said.json().path("leftOut").get(0).path("name").asString()).isEqualTo("Carl Brought");
        assertThat(said.json().path("leftOut").get(0).path("why").asString()).contains("nothing is asked below");
        assertThat(listed("BROUGHT")).doesNotContain(anna, bill);
        assertThat(green(anna)).isEqualTo("GREEN");
        assertThat(came(anna).get(0).path("said").path("answer").asString()).isEqualTo("ALL");
        assertThat(came(anna).get(0).path("said").path("by").asString()).isEqualTo("head");
        JsonNode progress = head.get("/api/people/" + anna + "/progress").json();
        assertThat(progress.path("marks")).as("it is no mark").isEmpty();
        assertThat(listed("FALLS")).contains(anna, bill);

        head.undo(said.edit()).expect(200);
        assertThat(green(anna)).isEqualTo("BARE");
        assertThat(came(anna).get(0).path("said").isNull()).isTrue();
        assertThat(listed("BROUGHT")).contains(anna, bill);
        assertThat(listed("FALLS")).doesNotContain(anna, bill);
    }

    /** The same again changes nothing; another answer takes its place; taking it back asks again. */
    @Test
    void anAnswerIsOneOfAPersonAndLadder() {
        String dora = comes("Dora Brought", "1990-05-05", "green");
        say(head, "ALL", dora).expect(200);
        JsonNode first = came(dora);
        say(head, "ALL", dora).expect(200);
        assertThat(came(dora)).isEqualTo(first);
        say(head, "NOTHING", dora).expect(200);
        assertThat(green(dora)).isEqualTo("BARE");
        assertThat(came(dora)).hasSize(1);
        assertThat(came(dora).get(0).path("said").path("answer").asString()).isEqualTo("NOTHING");
        assertThat(listed("BROUGHT")).doesNotContain(dora);
        head.delete("/api/people/" + dora + "/brought/adult").expect(200);
        assertThat(listed("BROUGHT")).contains(dora);
        assertThat(head.delete("/api/people/" + dora + "/brought/adult").status())
                .isEqualTo(404);
    }

    @Test
    void aCoachAsksAndTheHeadCoachAnswers() {
        String emil = comes("Emil Brought", "1990-05-05", "green");
        assertThat(say(coach, "ALL", emil).status()).isEqualTo(403);
        assertThat(say(coach, "NOTHING", emil).status()).isEqualTo(403);
        say(coach, "ASKED", emil).expect(200);
        assertThat(came(emil).get(0).path("said").path("by").asString()).isEqualTo("coach");
        assertThat(listed("BROUGHT")).contains(emil);
        assertThat(green(emil)).isEqualTo("BARE");
        assertThat(coach.delete("/api/people/" + emil + "/brought/adult").status())
                .isEqualTo(403);
        say(head, "ALL", emil).expect(200);
        say(coach, "ASKED", emil).expect(200);
        assertThat(green(emil)).as("an answer is not asked away").isEqualTo("GREEN");
    }

    /** One touch by a coach who saw it; a "not yet" keeps it on no list, since the fall is no longer relied upon. */
    @Test
    void aFallFromBeforeIsListedUntilSomebodyHereHasSeenIt() {
        String fay = comes("Fay Brought", "2016-05-05", "green");
        say(head, "ALL", fay).expect(200);
        JsonNode unseen =
                coach.get("/api/people/falls?student=" + fay).expect(200).json();
        assertThat(unseen.get(0).path("junior").asBoolean()).isTrue();
        List<String> falls = new ArrayList<>();
        unseen.get(0).path("falls").forEach(fall -> falls.add(fall.path("id").asString()));
        assertThat(falls).isNotEmpty();
        for (String fall : falls) {
            coach.post(
                            "/api/marks",
                            Map.of(
                                    "id",
                                    "m-" + UUID.randomUUID(),
                                    "student",
                                    fay,
                                    "subject",
                                    fall,
                                    "standard",
                                    "SHOWN",
                                    "side",
                                    "BOTH",
                                    "passed",
                                    !fall.equals(falls.get(0)),
                                    "at",
                                    "2026-11-24T18:00:00Z"))
                    .expect(200);
        }
        assertThat(coach.get("/api/people/falls?student=" + fay).json()).isEmpty();
    }

    @Test
    void whatIsWrongIsSaidAndNothingIsKept() {
        String gil = comes("Gil Brought", "1990-05-05", "green");
        assertThat(say(head, "ALL", gil, "nobody").code()).isEqualTo("NOBODY");
        assertThat(say(head, "ALL").code()).isEqualTo("PEOPLE_MANY");
        assertThat(head.post("/api/people/brought", Map.of("students", List.of(gil)))
                        .code())
                .isEqualTo("ANSWER_MISSING");
        assertThat(came(gil).get(0).path("said").isNull()).isTrue();
        assertThat(head.get("/api/people/nobody/brought").status()).isEqualTo(404);
    }

    /** What came with a person goes with them, and stands in the club's file until then. */
    @Test
    void itGoesOutWithTheClubAndIsErasedWithThePerson() {
        String hal = comes("Hal Brought", "1990-05-05", "green");
        say(head, "ALL", hal).expect(200);
        assertThat(head.get("/api/archive").text()).contains("\"below\"");
        assertThat(head.get("/api/people/" + hal + "/all").expect(200).text()).contains("\"below\"");
        head.post("/api/people/" + hal + "/erase", Map.of("name", "Hal Brought"))
                .expect(200);
        assertThat(head.get("/api/archive").text()).doesNotContain(hal);
    }
}

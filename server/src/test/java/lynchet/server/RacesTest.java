package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import lynchet.format.Json;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.node.ObjectNode;

/** Many hands at once: what is answered holds, and nobody is answered that something broke. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@Execution(ExecutionMode.CONCURRENT)
class RacesTest {

    private static final int HANDS = 4;
    private static final int MANY = 8;

    private final ExecutorService hands = Executors.newFixedThreadPool(MANY);
    private ConfigurableApplicationContext club;
    private HttpUser head;

    @BeforeAll
    void start() {
        club = RunningClub.another();
        head = RunningClub.head(club);
    }

    @AfterAll
    void stop() {
        hands.shutdownNow();
        club.close();
    }

    /** All do the same in the same moment; each knows which of the hands it is. */
    private List<HttpUser.Answer> atOnce(IntFunction<HttpUser.Answer> what) throws Exception {
        return atOnce(HANDS, what);
    }

    private List<HttpUser.Answer> atOnce(int many, IntFunction<HttpUser.Answer> what) throws Exception {
        CyclicBarrier together = new CyclicBarrier(many);
        List<Callable<HttpUser.Answer>> all = new ArrayList<>();
        for (int hand = 0; hand < many; hand++) {
            int its = hand;
            all.add(() -> {
                together.await();
                return what.apply(its);
            });
        }
        List<HttpUser.Answer> answers = new ArrayList<>();
        for (Future<HttpUser.Answer> one : hands.invokeAll(all)) {
            answers.add(one.get());
        }
        return answers;
    }

    /** One plan a track and term is a rule of the club: eight hands, the archive, a merge and undo know it. */
    @Test
    void aTrackHasOnePlanATermHoweverItComesIn() throws Exception {
        head.post(
                        "/api/terms",
                        Map.of(
                                "id",
                                "race-term",
                                "name",
                                "R",
                                "from",
                                "2027-01-04",
                                "until",
                                "2027-02-28",
                                "slots",
                                List.of()))
                .expect(200);
        List<HttpUser.Answer> made = atOnce(MANY, hand -> head.post("/api/plans", plan("race-plan-" + hand)));
        assertThat(made.stream().filter(answer -> answer.status() == 200)).hasSize(1);
        assertThat(made.stream().filter(answer -> answer.status() != 200))
                .allMatch(answer -> answer.code().equals("PLAN_TWICE"));
        HttpUser.Answer kept = made.stream()
                .filter(answer -> answer.status() == 200)
                .findFirst()
                .orElseThrow();
        String id = kept.json().path("id").asString();

        ObjectNode whole = (ObjectNode) head.get("/api/archive").json();
        whole.withArray("plans").add(Json.mapper().valueToTree(plan("race-plan-more")));
        for (String mode : List.of("merge", "replace")) {
            assertThat(head.post("/api/archive?mode=" + mode, whole.toString()).text())
                    .contains("PLAN_TWICE");
        }
        HttpUser.Answer gone = head.send("DELETE", "/api/plans/" + id, null, kept.tag());
        assertThat(gone.status()).isEqualTo(204);
        head.post("/api/plans", plan("race-plan-other")).expect(200);
        assertThat(head.undo(gone.edit()).status()).isBetween(400, 499);
        assertThat(head.get("/api/plans").text()).contains("race-plan-other").doesNotContain(id + "\"");
    }

    private static Map<String, Object> plan(String id) {
        return Map.of(
                "id",
                id,
                "term",
                "race-term",
                "track",
                "throws",
                "fresh",
                2,
                "minutes",
                0,
                "goals",
                List.of(),
                "placed",
                List.of());
    }

    @Test
    void whatIsRecordedTwiceInOneMomentIsOneRecord() throws Exception {
        String trained = "fundamentals-" + RunningClub.TODAY;
        List<String> students = new ArrayList<>();
        head.get("/api/people/names")
                .json()
                .forEach(one -> students.add(one.path("id").asString()));
        for (String student : students) {
            List<HttpUser.Answer> here = atOnce(hand -> head.post(
                    "/api/attendance",
                    Map.of("id", "race-" + student + "-" + hand, "student", student, "classId", trained)));
            assertThat(here).allMatch(answer -> answer.status() == 200, "200");
            assertThat(here.stream().map(HttpUser.Answer::text).distinct()).hasSize(1);
            List<HttpUser.Answer> marked = atOnce(hand -> head.post(
                    "/api/marks",
                    Map.of(
                            "id",
                            "race-" + student,
                            "student",
                            student,
                            "subject",
                            "arm-lock",
                            "standard",
                            "SHOWN",
                            "passed",
                            true)));
            assertThat(marked).allMatch(answer -> answer.status() == 200, "200");
            assertThat(marked.stream().map(HttpUser.Answer::text).distinct()).hasSize(1);
        }
        assertThat(head.get("/api/classes/" + trained).json().path("attendance").size())
                .isEqualTo(students.size());
    }

    @Test
    void whatIsMadeTwiceInOneMomentIsMadeOnce() throws Exception {
        for (int i = 0; i < 25; i++) {
            String id = "race-" + i;
            List<HttpUser.Answer> made = atOnce(hand -> head.post("/api/map/links", link(id, "hand " + hand)));
            assertThat(made).allMatch(answer -> answer.status() == 200 || answer.status() == 409, "200 or 409");
            assertThat(made.stream().filter(answer -> answer.status() == 200)).hasSize(1);
            ObjectNode chain =
                    (ObjectNode) head.get("/api/chains/throw-to-hold").json().path("chain");
            chain.put("id", id);
            List<HttpUser.Answer> chains = atOnce(hand -> head.post("/api/chains", chain.toString()));
            assertThat(chains).allMatch(answer -> answer.status() == 200 || answer.status() == 409, "200 or 409");
            String day = "race-class-" + i;
            List<HttpUser.Answer> saved =
                    atOnce(hand -> head.put("/api/classes/" + day, trained(day, "hand " + hand), null));
            assertThat(saved).allMatch(answer -> answer.status() < 500, "no break");
            assertThat(saved.stream().filter(answer -> answer.status() == 200))
                    .as(saved.get(0).text())
                    .hasSize(1);
        }
    }

    private static Object link(String id, String note) {
        return Map.of("id", id, "from", "closed-guard", "technique", "arm-lock", "to", "arm-lock-on", "note", note);
    }

    private static Object trained(String id, String theme) {
        return Map.of(
                "id",
                id,
                "date",
                "2027-01-10",
                "start",
                "18:00",
                "minutes",
                60,
                "track",
                "fundamentals",
                "theme",
                theme);
    }

    /** Two save and two retire what they saw in the same moment; one of the four is heard, and what they said stands. */
    @Test
    void ofSavesAndRetirementsOfTheSameVersionOneHolds() throws Exception {
        for (int i = 0; i < 125; i++) {
            String id = "retired-" + i;
            head.post("/api/map/links", link(id, "as it was")).expect(200);
            String path = "/api/map/links/" + id;
            String tag = head.get(path).tag();
            List<HttpUser.Answer> all = atOnce(
                    hand -> hand % 2 == 0 ? head.delete(path, tag) : head.put(path, link(id, "hand " + hand), tag));
            assertThat(all).allMatch(answer -> answer.status() < 500, "no break");
            List<Integer> heard = new ArrayList<>();
            for (int hand = 0; hand < HANDS; hand++) {
                if (all.get(hand).status() < 300) {
                    heard.add(hand);
                }
            }
            assertThat(heard).hasSize(1);
            HttpUser.Answer now = head.get(path);
            if (heard.get(0) % 2 == 0) {
                assertThat(now.status() == 404 || now.json().path("retired").asBoolean())
                        .isTrue();
            } else {
                assertThat(now.json().path("note").asString()).isEqualTo("hand " + heard.get(0));
            }
        }
    }
}

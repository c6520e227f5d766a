package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(RunningClub.class)
class ChainsTest {

    private static Map<String, Object> chain(String id, String link) {
        return Map.of(
                "id",
                id,
                "name",
                "Test " + id,
                "start",
                "closed-guard",
                "first",
                Map.of("link", link, "next", List.of()));
    }

    @Test
    void isCheckedBeforeItIsKeptAndBelongsToItsCoach() {
        HttpUser coach = RunningClub.as("coach");
        assertThat(coach.post("/api/chains/check", chain("one", "arm-lock-from-mount-top"))
                        .expect(200)
                        .text())
                .contains("BROKEN_JOIN");
        HttpUser.Answer made = coach.post("/api/chains", chain("one", "hip-bump-sweep-from-closed-guard"))
                .expect(200);
        assertThat(made.json().path("chain").path("owner").asString()).isEqualTo("coach");
        assertThat(made.json().path("report").path("answeredShare").asDouble()).isZero();

        coach.put("/api/chains/one", made.json().path("chain"), null).expect(428);
        HttpUser.Answer kept = coach.put("/api/chains/one", chain("one", "scissor-sweep-from-closed-guard"), made.tag())
                .expect(200);
        coach.put("/api/chains/one", made.json().path("chain"), made.tag()).expect(412);
        assertThat(coach.get("/api/chains/one").tag()).isEqualTo(kept.tag());
    }

    @Test
    void refusesALinkThatDoesNotExistAndAnIdThatIsTaken() {
        HttpUser coach = RunningClub.as("coach");
        assertThat(coach.post("/api/chains", chain("two", "no-such-link"))
                        .expect(422)
                        .code())
                .isEqualTo("CHAIN_LINK");
        assertThat(coach.post("/api/chains", chain("throw-to-hold", "hip-bump-sweep-from-closed-guard"))
                        .expect(409)
                        .code())
                .isEqualTo("ID_TAKEN");
        coach.get("/api/chains/two").expect(404);
    }

    @Test
    void anotherCoachsChainIsReadOnly() {
        HttpUser head = RunningClub.as("head");
        HttpUser.Answer made = head.post("/api/chains", chain("heads-own", "hip-bump-sweep-from-closed-guard"))
                .expect(200);
        HttpUser coach = RunningClub.as("coach");
        assertThat(coach.put(
                                "/api/chains/heads-own",
                                chain("heads-own", "triangle-choke-from-closed-guard"),
                                made.tag())
                        .expect(403)
                        .code())
                .isEqualTo("NOT_YOURS");
    }

    @Test
    void ofManyWhoSaveAtOnceOneWins() throws Exception {
        HttpUser head = RunningClub.as("head");
        String tag = head.post("/api/chains", chain("contested", "hip-bump-sweep-from-closed-guard"))
                .expect(200)
                .tag();
        List<HttpUser> many = java.util.stream.IntStream.range(0, 6)
                .mapToObj(i -> RunningClub.as("head"))
                .toList();
        var hands = java.util.concurrent.Executors.newFixedThreadPool(many.size());
        var answers = hands.invokeAll(many.stream()
                .<java.util.concurrent.Callable<Integer>>map(user -> () -> user.put(
                                "/api/chains/contested",
                                Map.of(
                                        "id",
                                        "contested",
                                        "name",
                                        "Saved by " + many.indexOf(user),
                                        "start",
                                        "closed-guard"),
                                tag)
                        .status())
                .toList());
        hands.shutdown();
        List<Integer> statuses = new java.util.ArrayList<>();
        for (var answer : answers) {
            statuses.add(answer.get());
        }
        assertThat(statuses).containsOnlyOnce(200).containsOnly(200, 412);
    }
}

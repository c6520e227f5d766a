package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

@ExtendWith(RunningClub.class)
class GuardTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "GET /api/map",
                "GET /api/map/gaps",
                "GET /api/map/reach",
                "GET /api/chains",
                "GET /api/ladders",
                "GET /api/people",
                "GET /api/people/names",
                "GET /api/promotions?student=orla-fenwick",
                "GET /api/people/orla-fenwick/readiness",
                "GET /api/classes",
                "GET /api/archive",
                "GET /api/archive/map.graphml",
                "GET /api/csv/roster",
                "GET /api/imports/x",
                "GET /api/library",
                "GET /api/map/routes?from=turtle&end=any",
                "GET /api/edits/history?kind=technique&id=sprawl",
                "GET /api/edits/changes?since=2026-01-01",
                "GET /api/map/gaps/ignored",
                "GET /api/map/legal?jacket=JACKET",
                "GET /api/map/evidence",
                "GET /api/map/suggestions?from=turtle",
                "GET /api/words",
                "GET /v3/api-docs",
                "GET /api/session",
                "POST /api/marks",
                "POST /api/attendance",
                "POST /api/archive?mode=replace",
                "POST /api/csv/roster/check",
                "POST /api/imports?mode=merge",
                "POST /api/library",
                "DELETE /api/imports/x",
                "PUT /api/chains/throw-to-hold",
                "DELETE /api/attendance/x"
            })
    void aStrangerIsToldToSignIn(String request) {
        String[] parts = request.split(" ");
        HttpUser.Answer answer =
                RunningClub.stranger().send(parts[0], parts[1], parts[0].equals("GET") ? null : "{}", null);
        assertThat(answer.status()).isEqualTo(401);
        assertThat(answer.code()).isEqualTo("SIGN_IN");
    }

    @Test
    void aStrangerSeesThePageAndHealthOnly() {
        HttpUser stranger = RunningClub.stranger();
        stranger.get("/").expect(200);
        stranger.get("/people/orla-fenwick").expect(200);
        assertThat(stranger.get("/actuator/health").expect(200).text()).contains("UP");
        assertThat(stranger.get("/actuator/env").status()).isNotEqualTo(200);
        assertThat(stranger.get("/api/session/welcome")
                        .expect(200)
                        .json()
                        .path("session")
                        .isNull())
                .isTrue();
    }

    @ParameterizedTest(name = "{0} {1} {2} → {3}")
    @CsvSource({
        "viewer, POST, /api/marks, 403",
        "viewer, POST, /api/attendance, 403",
        "viewer, POST, /api/practice, 403",
        "viewer, POST, /api/chains, 403",
        "viewer, PUT, /api/ladders/adult/ranks/white/syllabus, 403",
        "viewer, DELETE, /api/attendance/x, 403",
        "viewer, PUT, /api/classes/x, 403",
        "viewer, DELETE, /api/practice/x, 403",
        "viewer, GET, /api/promotions?student=orla-fenwick, 200",
        "coach, POST, /api/promotions, 403",
        "viewer, POST, /api/people, 403",
        "viewer, GET, /api/letters, 403",
        "viewer, GET, /api/classes/x/telling, 403",
        "viewer, POST, /api/classes/x/news, 403",
        "viewer, POST, /api/patterns, 403",
        "coach, DELETE, /api/patterns/x, 403",
        "coach, POST, /api/closures, 403",
        "viewer, GET, /api/archive, 403",
        "viewer, GET, /api/people, 200",
        "viewer, GET, /api/csv/attendance, 403",
        "viewer, GET, /api/words, 200",
        "coach, PUT, /api/ladders/adult/ranks/white/syllabus, 403",
        "coach, POST, /api/map/links, 403",
        "viewer, POST, /api/edits/x/undo, 403",
        "coach, POST, /api/edits/x/undo, 404",
        "coach, POST, /api/map/techniques/x/merge?look=true, 403",
        "coach, POST, /api/map/gaps/ignored, 403",
        "coach, PUT, /api/people/orla-fenwick, 403",
        "coach, GET, /api/archive, 403",
        "coach, POST, /api/archive?mode=replace, 403",
        "coach, GET, /api/archive/map.dot, 403",
        "coach, GET, /api/csv/roster, 403",
        "coach, POST, /api/csv/marks, 403",
        "coach, POST, /api/imports?mode=replace, 403",
        "coach, DELETE, /api/imports/x, 403",
        "coach, GET, /api/library, 403",
        "coach, POST, /api/library, 403",
        "coach, GET, /v3/api-docs, 200",
        "head, GET, /api/archive, 200",
    })
    void eachRoleMayDoItsPart(String account, String method, String path, int status) {
        assertThat(RunningClub.as(account)
                        .send(method, path, method.equals("GET") ? null : "{}", null)
                        .status())
                .isEqualTo(status);
    }

    @Test
    void aWriteWithoutTheTokenIsRefused() {
        HttpUser coach = RunningClub.as("coach").withoutToken();
        assertThat(coach.post("/api/marks", "{}").expect(403).code()).isEqualTo("CSRF");
        assertThat(RunningClub.stranger()
                        .withoutToken()
                        .post("/api/session", "{}")
                        .expect(403)
                        .code())
                .isEqualTo("CSRF");
    }

    @Test
    void signingInChangesTheSessionAndRenewsTheToken() {
        HttpUser user = RunningClub.stranger();
        user.signIn("coach", "saltmarsh");
        String firstSession = user.cookie("JSESSIONID");
        String firstToken = user.cookie("XSRF-TOKEN");
        user.signIn("coach", "saltmarsh");
        assertThat(user.cookie("JSESSIONID")).isNotEmpty().isNotEqualTo(firstSession);
        assertThat(user.cookie("XSRF-TOKEN")).isNotEqualTo(firstToken);
        assertThat(user.get("/api/session").expect(200).json().path("role").asString())
                .isEqualTo("COACH");
        user.delete("/api/session").expect(204);
        user.get("/api/session").expect(401);
    }

    @Test
    void wrongTriesOfAnAccountAreSlowedNotLocked() {
        HttpUser stranger = RunningClub.stranger();
        Map<String, String> wrong = Map.of("name", "nobody-at-all", "password", "x");
        for (int i = 0; i < 5; i++) {
            assertThat(stranger.post("/api/session", wrong).expect(401).code()).isEqualTo("WRONG_PASSWORD");
        }
        assertThat(stranger.post("/api/session", wrong).expect(429).code()).isEqualTo("SLOW_DOWN");
    }

    @Test
    void aViewerSeesNoHealthNoContactsNoNotes() {
        HttpUser.Answer seen = RunningClub.as("viewer").get("/api/people?size=200");
        assertThat(seen.text())
                .doesNotContain(
                        "left shoulder", "Household", "Parent Thorne", "NO_THROWS_TAKEN", "Lets partners land hard");
        assertThat(RunningClub.as("coach").get("/api/people?size=200").text())
                .contains("left shoulder", "Parent Thorne");
        assertThat(RunningClub.as("viewer")
                        .get("/api/people/kit-harrowgate/readiness")
                        .text())
                .doesNotContain("no throws taken");
    }

    @Test
    void nothingIsFramedAndNoInlineScriptRuns() throws Exception {
        var answer = java.net.http.HttpClient.newHttpClient()
                .send(
                        java.net.http.HttpRequest.newBuilder(
                                        java.net.URI.create("http://127.0.0.1:" + RunningClub.port() + "/"))
                                .build(),
                        java.net.http.HttpResponse.BodyHandlers.ofString());
        assertThat(answer.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'self'", "frame-ancestors 'none'")
                .doesNotContain("script-src 'unsafe-inline'");
        assertThat(answer.headers().firstValue("X-Frame-Options")).hasValue("DENY");
    }
}

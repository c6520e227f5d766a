package lynchet.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;

/** A new club's first page: the one-time code, the head coach, and what the club begins with; all of it or nothing. */
class FirstPageTest {

    private ConfigurableApplicationContext application;
    private HttpUser user;
    private String code;

    @BeforeEach
    void start() {
        application = RunningClub.start(
                "--server.port=0", "--spring.datasource.url=jdbc:h2:mem:" + UUID.randomUUID() + ";DB_CLOSE_DELAY=-1");
        user = new HttpUser(Integer.parseInt(application.getEnvironment().getProperty("local.server.port")));
        code = application.getBean(Accounts.class).firstCode().orElseThrow();
    }

    @AfterEach
    void stop() {
        application.close();
    }

    private Map<String, Object> first(Object... changes) {
        Map<String, Object> first = new HashMap<>(Map.of(
                "code", code, "name", "ana", "password", "long enough", "club", "Reed Bank", "library", "NO_JACKET"));
        for (int i = 0; i < changes.length; i += 2) {
            first.put((String) changes[i], changes[i + 1]);
        }
        return first;
    }

    @Test
    void aClubIsBegunOnceAndWhole() {
        assertThat(user.post("/api/session/first", first("code", "00000000"))
                        .expect(403)
                        .code())
                .isEqualTo("CODE_WRONG");
        assertThat(user.post("/api/session/first", first("password", "short"))
                        .expect(422)
                        .code())
                .isEqualTo("PASSWORD_SHORT");
        user.post("/api/session/first", first("name", "Not a slug!")).expect(422);
        user.post("/api/session/first", first("club", "x".repeat(500))).expect(422);
        user.post("/api/session/first", first("library", "EVERYTHING")).expect(400);
        assertThat(user.get("/api/session/welcome").json().path("first").asBoolean())
                .as("nothing half done")
                .isTrue();

        assertThat(user.post("/api/session/first", first())
                        .expect(200)
                        .json()
                        .path("role")
                        .asString())
                .isEqualTo("HEAD");
        assertThat(user.get("/api/session/welcome").json().path("club").asString())
                .isEqualTo("Reed Bank");
        assertThat(user.get("/api/map").expect(200).text())
                .contains("\"double-leg\"")
                .doesNotContain("\"JACKET\"");
        assertThat(user.get("/api/library").expect(200).json()).isEmpty();
        assertThat(user.post("/api/session/first", first("name", "bo"))
                        .expect(409)
                        .code())
                .isEqualTo("NOT_FIRST");
    }

    @Test
    void theCodeIsNotGuessed() {
        for (int n = 0; n < SignInBrake.FREE; n++) {
            assertThat(user.post("/api/session/first", first("code", "0000000" + n))
                            .expect(403)
                            .code())
                    .isEqualTo("CODE_WRONG");
        }
        assertThat(user.post("/api/session/first", first()).expect(429).code())
                .as("even the right one waits its second")
                .isEqualTo("SLOW_DOWN");
    }

    @Test
    void anEmptyClubHasNoMapAndIsOfferedTheWholeLibrary() {
        user.post("/api/session/first", first("library", "EMPTY")).expect(200);
        assertThat(user.get("/api/map").json().path("data").path("techniques")).isEmpty();
        assertThat(user.get("/api/library").text()).contains("techniques/body-drop", "\"NEW\"");
    }

    /** Nothing but people: no ladder, no track, no class. */
    @Test
    void aClubWithoutLaddersListsItsPeopleInEveryOrder() {
        user.post("/api/session/first", first("library", "EMPTY")).expect(200);
        for (String name : new String[] {"Zoe Reed", "Abel Bank"}) {
            user.post("/api/people", Map.of("id", "x", "name", name, "joined", "2026-01-05"))
                    .expect(200);
        }
        for (String sort : new String[] {"name", "seen", "rank"}) {
            assertThat(user.get("/api/people?down=true&sort=" + sort)
                            .expect(200)
                            .json()
                            .at("/rows/0/student/name")
                            .asString())
                    .isEqualTo("Zoe Reed");
        }
        assertThat(user.get("/api/people/ranks").expect(200).json()).isEmpty();
    }
}

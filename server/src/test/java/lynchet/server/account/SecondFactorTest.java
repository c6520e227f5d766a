package lynchet.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** A code beside the password, who came in, and on which devices. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SecondFactorTest {

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

    /** The worked figures of the standard, its last six of eight. */
    @Test
    void theFiguresAreThoseOfTheStandard() {
        byte[] key = "12345678901234567890".getBytes(StandardCharsets.US_ASCII);
        assertThat(OneTimeCode.of(key, 59 / 30)).isEqualTo("287082");
        assertThat(OneTimeCode.of(key, 1111111109L / 30)).isEqualTo("081804");
        assertThat(OneTimeCode.of(key, 20000000000L / 30)).isEqualTo("353130");
        Instant now = Instant.ofEpochSecond(1111111109L);
        long step = 1111111109L / 30;
        assertThat(OneTimeCode.step(key, "081804", now, 0)).hasValue(step);
        assertThat(OneTimeCode.step(key, "081804", now.plusSeconds(30), 0)).hasValue(step);
        assertThat(OneTimeCode.step(key, "081804", now.plusSeconds(60), 0)).isEmpty();
        assertThat(OneTimeCode.step(key, "081804", now.minusSeconds(30), 0)).hasValue(step);
        assertThat(OneTimeCode.step(key, "081804", now, step))
                .as("none works twice")
                .isEmpty();
    }

    private String figures(String key, int steps) {
        long now = Instant.now().getEpochSecond() / 30;
        return OneTimeCode.of(new Base32().decode(key), now + steps);
    }

    private HttpUser.Answer enter(HttpUser who, String code) {
        return code == null
                ? who.post("/api/session", Map.of("name", "coach", "password", "saltmarsh"))
                : who.post("/api/session", Map.of("name", "coach", "password", "saltmarsh", "code", code));
    }

    @Test
    void aCodeIsAskedForOnceOneWasSeenAndEachWorksOnce() {
        HttpUser coach = RunningClub.user(club, "coach");
        assertThat(coach.post("/api/session/second", Map.of("password", "wrong one"))
                        .code())
                .isEqualTo("WRONG_PASSWORD");
        assertThat(coach.post("/api/session/second/on", Map.of("code", "123456"))
                        .code())
                .isEqualTo("SECOND_BEGIN");
        JsonNode begun = coach.post("/api/session/second", Map.of("password", "saltmarsh"))
                .expect(200)
                .json();
        String key = begun.path("key").asString();
        assertThat(begun.at("/picture/path").asString()).startsWith("M4 4h1v1h-1z");
        assertThat(coach.get("/api/session/second").json().path("isOn").asBoolean())
                .as("not before a code was seen")
                .isFalse();
        assertThat(coach.post("/api/session/second/on", Map.of("code", "12345")).code())
                .isEqualTo("SECOND_WRONG");
        JsonNode recovery = coach.post("/api/session/second/on", Map.of("code", figures(key, -1)))
                .expect(200)
                .json();
        assertThat(recovery).hasSize(8);

        HttpUser other = RunningClub.strangerOf(club);
        assertThat(enter(other, null).expect(401).code()).isEqualTo("SECOND_FACTOR");
        other.get("/api/session").expect(401);
        assertThat(enter(other, "000000").expect(401).code()).isEqualTo("SECOND_WRONG");
        String now = figures(key, 0);
        enter(other, now.substring(0, 3) + " " + now.substring(3)).expect(200);
        other.get("/api/session").expect(200);
        HttpUser looking = RunningClub.strangerOf(club);
        assertThat(enter(looking, now).expect(401).code())
                .as("seen over a shoulder")
                .isEqualTo("SECOND_WRONG");
        String code = recovery.get(3).asString();
        enter(looking, code.toUpperCase(java.util.Locale.ROOT)).expect(200);
        assertThat(enter(RunningClub.strangerOf(club), code).code()).isEqualTo("SECOND_WRONG");
        assertThat(coach.get("/api/session/second").json().path("recoveryLeft").asInt())
                .isEqualTo(7);
        assertThat(head.get("/api/accounts").text())
                .contains("\"hasSecond\":true")
                .doesNotContain(key);

        String link = head.post("/api/accounts/coach/link", null)
                .expect(200)
                .json()
                .path("link")
                .asString();
        RunningClub.strangerOf(club)
                .post("/api/session/link", Map.of("link", link, "password", "hedge and gate 7"))
                .expect(200);
        assertThat(head.get("/api/accounts").text())
                .as("a lost phone is mended by a link")
                .doesNotContain("\"hasSecond\":true");
    }

    /** On a device on which the account came in before, others' guesses count for nothing; the head coach reads who tried. */
    @Test
    void aKnownDeviceComesInWhileSomebodyGuesses() {
        HttpUser own = RunningClub.user(club, "viewer");
        HttpUser guesser = RunningClub.strangerOf(club);
        Map<String, String> wrong = Map.of("name", "Viewer", "password", "guess");
        for (int n = 0; n < SignInBrake.FREE; n++) {
            assertThat(guesser.post("/api/session", wrong).expect(401).code()).isEqualTo("WRONG_PASSWORD");
        }
        HttpUser.Answer slowed = guesser.post("/api/session", wrong).expect(429);
        assertThat(slowed.code()).isEqualTo("SLOW_DOWN");
        assertThat(slowed.headers()).contains("retry-after");
        guesser.post("/api/session", Map.of("name", "viewer", "password", "saltmarsh"))
                .expect(429);
        own.delete("/api/session").expect(204);
        own.signIn("viewer", "saltmarsh");
        own.get("/api/session").expect(200);
        guesser.post("/api/session", Map.of("name", "my secret words", "password", "x"))
                .expect(401);
        JsonNode lines = log();
        assertThat(lines.toString()).doesNotContain("my secret words").contains("\"account\":null");
        assertThat(lines.valueStream())
                .anyMatch(line -> line.path("account").asString().equals("viewer")
                        && !line.path("gotIn").asBoolean()
                        && line.path("tries").asInt() == SignInBrake.FREE
                        && line.path("address").asString().equals("127.0.0.1"))
                .anyMatch(line -> line.path("account").asString().equals("viewer")
                        && line.path("gotIn").asBoolean());
        own.get("/api/accounts/sign-ins").expect(403);
    }

    /** What is noted beside the sign-in stands there when the last of it was written. */
    private JsonNode log() {
        JsonNode lines = head.get("/api/accounts/sign-ins").expect(200).json();
        while (lines.valueStream().noneMatch(line -> line.path("account").isNull())) {
            Thread.onSpinWait();
            lines = head.get("/api/accounts/sign-ins").expect(200).json();
        }
        return lines;
    }

    @Test
    void theOldPasswordCannotBeGuessedAtAnOpenScreen() {
        HttpUser left = RunningClub.head(club);
        Map<String, String> guess = Map.of("old", "guess", "password", "hedge and gate 7");
        for (int n = 0; n < SignInBrake.FREE; n++) {
            assertThat(left.post("/api/session/password", guess).code()).isEqualTo("WRONG_PASSWORD");
        }
        assertThat(left.post("/api/session/password", guess).expect(429).code()).isEqualTo("SLOW_DOWN");
    }
}

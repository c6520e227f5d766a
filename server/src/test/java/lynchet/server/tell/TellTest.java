package lynchet.server.tell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A class is called off: it counts for nobody, letters lie ready, and who has no address is on the list to phone. */
@ExtendWith(RunningClub.class)
class TellTest {

    private static final String CLASS = "/api/classes/juniors-2026-12-08";

    private final HttpUser coach = RunningClub.as("coach");

    private static Map<String, String> news(String what) {
        return Map.of("news", what, "reason", "The heating is out – sorry.");
    }

    private String tag() {
        return coach.get(CLASS).expect(200).tag();
    }

    @Test
    void theFamiliesAreTold() {
        HttpUser.Answer would = coach.get(CLASS + "/telling").expect(200);
        assertThat(would.json().path("letters")).hasSizeGreaterThan(4);
        assertThat(would.json().path("calls")).isNotEmpty();
        assertThat(coach.get("/api/letters").json()).isEmpty();
        assertThat(coach.send("POST", CLASS + "/news", news("CALLED_OFF"), "\"old\"")
                        .status())
                .isEqualTo(412);

        String before = tag();
        HttpUser.Answer told =
                coach.send("POST", CLASS + "/news", news("CALLED_OFF"), before).expect(200);
        assertThat(told.json().path("letters")).hasSameSizeAs(would.json().path("letters"));
        assertThat(coach.get(CLASS).json().at("/training/cancelled").asBoolean())
                .isTrue();
        HttpUser.Answer letters = coach.get("/api/letters").expect(200);
        assertThat(letters.json()).hasSameSizeAs(told.json().path("letters"));
        String name = letters.json().get(0).path("name").asString();
        assertThat(coach.get("/api/letters/" + name).expect(200).text())
                .contains("To: parent@", "Subject: Juniors on Tuesday 8 December", "is called off")
                .contains("The heating is out");

        coach.send("POST", CLASS + "/news", news("CALLED_OFF"), tag()).expect(200);
        assertThat(coach.get("/api/letters").json())
                .as("told again, the same letters")
                .hasSameSizeAs(told.json().path("letters"));
        coach.send("POST", CLASS + "/news", news("AFTER_ALL"), tag()).expect(200);
        assertThat(coach.get("/api/letters").json())
                .hasSize(2 * told.json().path("letters").size());
        assertThat(coach.get(CLASS).json().at("/training/cancelled").asBoolean())
                .isFalse();
    }

    @Test
    void aClassThatTookPlaceIsNotCalledOffAndNobodyIsToldOfThePast() {
        String past = "/api/classes/"
                + coach.get("/api/classes?from=2026-11-02&to=2026-11-20")
                        .json()
                        .path("classes")
                        .valueStream()
                        .filter(c -> !c.path("cancelled").asBoolean())
                        .findFirst()
                        .orElseThrow()
                        .path("id")
                        .asString();
        HttpUser.Answer refused = coach.send(
                "POST", past + "/news", news("CALLED_OFF"), coach.get(past).tag());
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.code()).isEqualTo("CLASS_ATTENDED");
        assertThat(coach.get(past + "/telling").json().path("letters")).isEmpty();
        assertThat(coach.send("POST", CLASS + "/news", Map.of("reason", "x"), tag())
                        .status())
                .isBetween(400, 422);
        assertThat(coach.send("POST", CLASS + "/news", Map.of("news", "CALLED_OFF", "reason", "x".repeat(301)), tag())
                        .code())
                .isEqualTo("TEXT_LONG");
    }

    @Test
    void addressesAreForCoachesOnly() {
        HttpUser viewer = RunningClub.as("viewer");
        assertThat(viewer.get(CLASS + "/telling").status()).isEqualTo(403);
        assertThat(viewer.get("/api/letters").status()).isEqualTo(403);
        assertThat(viewer.get("/api/letters/x.eml").status()).isEqualTo(403);
        assertThat(viewer.send("POST", CLASS + "/news", news("CALLED_OFF"), tag())
                        .status())
                .isEqualTo(403);
        assertThat(coach.get("/api/letters/..%2Fclub.mv.db").status()).isBetween(400, 404);
    }
}

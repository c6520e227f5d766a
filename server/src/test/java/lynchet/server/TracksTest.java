package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tracks and their weekly times, made and changed by hand. */
@ExtendWith(RunningClub.class)
class TracksTest {

    private static final String SLOT = "{\"id\":\"%s\",\"from\":null,\"until\":null,\"day\":\"%s\",\"start\":\"%s\","
            + "\"minutes\":60,\"area\":\"%s\",\"coach\":null}";

    private final HttpUser head = RunningClub.as("head");

    private static String slot(String id, String day, String start, String area) {
        return SLOT.formatted(id, day, start, area);
    }

    private static String track(String id, String slots) {
        return "{\"id\":\"%s\",\"name\":\"%s\",\"jacket\":\"EITHER\",\"slots\":[%s]}".formatted(id, id, slots);
    }

    private HttpUser.Answer calendar(String day) {
        return head.get("/api/classes?from=%s&to=%s".formatted(day, day)).expect(200);
    }

    @Test
    void aNewTimeFillsTheCalendarAndOneThatEndsLeavesIt() {
        String monday = "2027-08-02";
        HttpUser.Answer added = head.post("/api/tracks", track("early", slot("early-1", "MONDAY", "06:30", "Attic")))
                .expect(200);
        assertThat(calendar(monday).text()).contains("early-1-" + monday);
        String until =
                slot("early-1", "MONDAY", "06:30", "Attic").replace("\"until\":null", "\"until\":\"2027-08-01\"");
        HttpUser.Answer ended = head.put("/api/tracks/early", track("early", until), added.tag())
                .expect(200);
        assertThat(calendar(monday).text()).doesNotContain("early-1-" + monday);
        assertThat(head.put("/api/tracks/early", track("early", ""), added.tag())
                        .status())
                .as("an old tag")
                .isEqualTo(412);
        assertThat(head.send("DELETE", "/api/tracks/early", null, null).status())
                .isEqualTo(428);
        head.send("DELETE", "/api/tracks/early", null, ended.tag()).expect(204);
        assertThat(head.get("/api/tracks").text()).doesNotContain("early");
    }

    @ParameterizedTest
    @CsvSource({
        "TUESDAY, 18:45, Long Mat, 422",
        "TUESDAY, 18:45, long mat, 422",
        "TUESDAY, 20:00, Long Mat, 200",
        "TUESDAY, 18:45, Garden, 200",
        "WEDNESDAY, 18:45, Long Mat, 200"
    })
    void twoTracksDoNotGetOneAreaAtOnce(String day, String start, String area, int status) {
        HttpUser.Answer answer = head.post("/api/tracks", track("second", slot("second-1", day, start, area)));
        assertThat(answer.status()).isEqualTo(status);
        if (status == 422) {
            assertThat(answer.code()).isEqualTo("SLOT_CLASH");
            assertThat(answer.json().path("where").asString()).isEqualTo("/slots/0");
            assertThat(answer.text()).contains("Fundamentals", "Tuesday");
            assertThat(head.get("/api/tracks").text()).doesNotContain("second-1");
        } else {
            head.send("DELETE", "/api/tracks/second", null, answer.tag()).expect(204);
        }
    }

    @Test
    void aTrackWithPeopleOrClassesStays() {
        String tag =
                head.get("/api/tracks").json().path("tags").path("fundamentals").asString();
        HttpUser.Answer refused = head.send("DELETE", "/api/tracks/fundamentals", null, tag);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(head.get("/api/tracks").text()).contains("\"fundamentals\"");
        String without = head.get("/api/tracks")
                .json()
                .path("tracks")
                .valueStream()
                .filter(track -> track.path("id").asString().equals("fundamentals"))
                .findFirst()
                .orElseThrow()
                .toString()
                .replaceFirst("\"slots\":\\[.*]", "\"slots\":[]");
        assertThat(head.put("/api/tracks/fundamentals", without, tag).status())
                .as("a time that has had classes")
                .isEqualTo(422);
    }

    @Test
    void onlyTheHeadCoachChangesTracks() {
        for (String account : new String[] {"coach", "viewer"}) {
            HttpUser user = RunningClub.as(account);
            user.get("/api/tracks").expect(200);
            assertThat(user.post("/api/tracks", track("x", "")).status()).isEqualTo(403);
            assertThat(user.put("/api/tracks/juniors", track("juniors", ""), "\"x\"")
                            .status())
                    .isEqualTo(403);
            assertThat(user.send("DELETE", "/api/tracks/juniors", null, "\"x\"").status())
                    .isEqualTo(403);
        }
    }
}

package lynchet.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Who only visits, and a coach who is one of the people. */
@ExtendWith(RunningClub.class)
class GuestsTest {

    private final HttpUser head = RunningClub.as("head");
    private final HttpUser coach = RunningClub.as("coach");

    private static Map<String, Object> person(String id, String name, boolean isGuest) {
        Map<String, Object> person = new HashMap<>(Map.of("id", id, "name", name, "joined", RunningClub.TODAY));
        if (isGuest) {
            person.put("guest", Map.of("fallsKnown", false));
        }
        return person;
    }

    /** What a guest said of their age is for coaches, as a birth date is; who can be called is kept with them. */
    @Test
    void whatAGuestIsAskedAtTheDoorIsKept() {
        String id = "s-00112233445566bb";
        Map<String, Object> guest = person(id, "Merle Rook", true);
        guest.put("guest", Map.of("fallsKnown", true, "age", 12));
        guest.put("contacts", Map.of("emergencyPhone", "0555 010 203"));
        coach.post("/api/people", guest).expect(200);
        assertThat(coach.get("/api/people/" + id).json().at("/guest/age").asInt())
                .isEqualTo(12);
        assertThat(coach.get("/api/people/" + id)
                        .json()
                        .at("/contacts/emergencyPhone")
                        .asString())
                .isEqualTo("0555 010 203");
        assertThat(RunningClub.as("viewer").get("/api/people/" + id).text()).doesNotContain("12,", "0555");
        assertThat(coach.get("/api/people/names").text()).contains("Merle Rook").doesNotContain("\"age\":12");
        guest.put("id", "s-00112233445566cc");
        guest.put("guest", Map.of("fallsKnown", true, "age", 2));
        assertThat(coach.post("/api/people", guest).expect(400).text()).contains("age of a guest");
    }

    /** Each answer adds to the others; a member is no guest, and a viewer writes nothing down. */
    @Test
    void whatAGuestAnswersLaterIsWrittenDownByACoach() {
        String id = "s-00112233445566dd";
        coach.post("/api/people", person(id, "Later Rook", true)).expect(200);
        String path = "/api/people/" + id + "/guest";
        coach.post(path, Map.of("age", 12)).expect(200);
        coach.post(path, Map.of("number", " 0555 010 204 ")).expect(200);
        coach.post(path, Map.of("fallsKnown", true)).expect(200);
        JsonNode said = coach.get("/api/people/" + id).json();
        assertThat(said.at("/guest/age").asInt()).isEqualTo(12);
        assertThat(said.at("/guest/fallsKnown").asBoolean()).isTrue();
        assertThat(said.at("/contacts/emergencyPhone").asString()).isEqualTo("0555 010 204");
        assertThat(coach.post(path, Map.of("age", 2)).status()).isEqualTo(422);
        assertThat(coach.post("/api/people/orla-fenwick/guest", Map.of("age", 12))
                        .code())
                .isEqualTo("NO_GUEST");
        assertThat(RunningClub.as("viewer").post(path, Map.of("age", 13)).status())
                .isEqualTo(403);
    }

    @Test
    void aCoachAddsAGuestWhoLaterJoinsAndKeepsTheClasses() {
        String id = "s-00112233445566aa";
        coach.post("/api/people", person(id, "Tamsin Vole", true)).expect(200);
        coach.post("/api/people", person(id, "Tamsin Vole", true)).expect(200);
        assertThat(coach.post("/api/people", person(id, "Somebody Else", true)).code())
                .isEqualTo("ID_TAKEN");
        assertThat(coach.post("/api/people", person("x", "Not A Guest", false)).status())
                .isEqualTo(403);
        assertThat(RunningClub.as("viewer")
                        .post("/api/people", person("x", "Guest", true))
                        .status())
                .isEqualTo(403);
        coach.post("/api/attendance", Map.of("id", "a-vole", "student", id, "classId", "fundamentals-2026-12-01"))
                .expect(200);
        assertThat(head.get("/api/people?find=Vole").json().path("total").asInt())
                .isZero();
        assertThat(head.get("/api/people?find=Vole&who=guests")
                        .json()
                        .path("total")
                        .asInt())
                .isEqualTo(1);
        assertThat(coach.get("/api/people/names").text()).contains("\"guest\":{\"fallsKnown\":false,\"age\":null}");

        HttpUser.Answer kept = head.get("/api/people/" + id).expect(200);
        ObjectNode joined = (ObjectNode) kept.json();
        joined.putNull("guest").put("joined", "2026-12-02");
        head.put("/api/people/" + id, joined.toString(), kept.tag()).expect(200);
        head.post(
                        "/api/promotions",
                        Map.of(
                                "id",
                                "pr-vole",
                                "student",
                                id,
                                "ladder",
                                "adult",
                                "to",
                                "white",
                                "stripes",
                                0,
                                "date",
                                "2026-12-02",
                                "fromBefore",
                                true,
                                "figures",
                                List.of()))
                .expect(200);
        assertThat(head.get("/api/people/" + id + "/progress")
                        .json()
                        .path("lastSeen")
                        .asString())
                .isEqualTo("2026-12-01");
        assertThat(head.get("/api/people/" + id + "/readiness")
                        .json()
                        .get(0)
                        .at("/stripe/have")
                        .asInt(-1))
                .as("the class before joining was a trial")
                .isZero();
        assertThat(head.get("/api/people?find=Vole").json().path("total").asInt())
                .isEqualTo(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"tamsin-vole", "s-0011", "s-00112233445566zz"})
    void anIdThatMaySaySomethingIsNotTaken(String id) {
        HttpUser.Answer added =
                coach.post("/api/people", person(id, "Rafe Teasel", true)).expect(200);
        assertThat(added.json().path("id").asString()).isNotEqualTo(id).matches("s-[0-9a-f]{16}");
        ObjectNode gone = (ObjectNode) added.json();
        gone.put("left", RunningClub.TODAY.toString());
        head.put("/api/people/" + gone.path("id").asString(), gone.toString(), added.tag())
                .expect(200);
    }

    @Test
    void nobodyReadsOrLosesWhatCoachesWroteAboutThem() {
        String own = "/api/people/gus-merriday";
        HttpUser.Answer before = head.get(own).expect(200);
        ObjectNode noted = (ObjectNode) before.json();
        noted.put("notes", "Talks over the juniors' coach.");
        head.put(own, noted.toString(), before.tag()).expect(200);
        coach.post("/api/asks", Map.of("id", "ask-own", "student", "gus-merriday", "words", "Wants the hip throw"))
                .expect(200);
        Map<String, Object> fell = new HashMap<>(Map.of(
                "id",
                "inc-own",
                "student",
                "gus-merriday",
                "on",
                RunningClub.TODAY,
                "kind",
                "INJURY",
                "what",
                "Fell oddly",
                "done",
                ""));
        coach.post("/api/incidents", Map.of("incident", fell)).expect(200);
        Map<String, Object> account = new HashMap<>(Map.of("role", "HEAD", "isOff", false, "person", "gus-merriday"));
        head.put("/api/accounts/head", account, null).expect(200);
        try {
            for (String path : List.of("/api/asks?student=", "/api/incidents?student=", "/api/merits?student=")) {
                assertThat(head.get(path + "gus-merriday").expect(200).json())
                        .as(path)
                        .isEmpty();
            }
            head.get("/api/incidents/inc-own").expect(404);
            coach.get("/api/incidents/inc-own").expect(200);
            assertThat(coach.get("/api/asks?student=gus-merriday").json()).hasSize(1);
            HttpUser.Answer seen = head.get(own).expect(200);
            assertThat(seen.text()).doesNotContain("Talks over");
            assertThat(head.get(own + "/progress").text()).doesNotContain("Talks over");
            assertThat(head.get("/api/people?find=Merriday").text()).doesNotContain("Talks over");
            assertThat(coach.get(own).text()).contains("Talks over");
            ObjectNode taller = (ObjectNode) seen.json();
            taller.put("heightCm", 181);
            assertThat(head.put(own, taller.toString(), seen.tag()).expect(200).text())
                    .contains("181")
                    .doesNotContain("Talks over");
            assertThat(coach.get(own).text()).contains("Talks over", "181");
        } finally {
            account.put("person", null);
            head.put("/api/accounts/head", account, null).expect(200);
        }
    }
}

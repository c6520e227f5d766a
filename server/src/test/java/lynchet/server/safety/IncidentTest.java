package lynchet.server.safety;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What happened on the mat is kept, limits the person who was hurt, and is nobody's business but the coaches'. */
@ExtendWith(RunningClub.class)
class IncidentTest {

    private static final String CLASS = "fundamentals-" + RunningClub.TODAY;

    private final HttpUser coach = RunningClub.as("coach");

    private static Map<String, Object> incident(String id, String student, String kind) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "student",
                student,
                "classId",
                CLASS,
                "on",
                RunningClub.TODAY,
                "kind",
                kind,
                "what",
                "bumped"));
    }

    private JsonNode limits(String student) {
        return coach.get("/api/people/" + student).expect(200).json().path("restrictions");
    }

    @Test
    void aHeadKnockLimitsAtOnceAndOnlyOnce() {
        Map<String, Object> happened = Map.of("incident", incident("inc-knock", "priya-fenlow", "HEAD_KNOCK"));
        JsonNode kept = coach.post("/api/incidents", happened).expect(200).json();
        assertThat(kept.path("by").asString()).isEqualTo("coach");
        assertThat(coach.post("/api/incidents", happened).expect(200).json())
                .as("sent again")
                .isEqualTo(kept);
        assertThat(limits("priya-fenlow").toString()).contains("HEAD_KNOCK").doesNotContain("HEAD_KNOCK\",\"until");
        assertThat(limits("priya-fenlow").size()).isEqualTo(1);
        coach.post("/api/incidents", Map.of("incident", incident("inc-knock-2", "priya-fenlow", "HEAD_KNOCK")))
                .expect(200);
        assertThat(limits("priya-fenlow").size()).as("the one that holds stays").isEqualTo(1);
        Map<String, Object> other = Map.of("incident", incident("inc-knock", "priya-fenlow", "INJURY"));
        assertThat(coach.post("/api/incidents", other).code()).isEqualTo("ID_TAKEN");
    }

    @Test
    void itIsCompletedAfterwardsAndMakesASheet() {
        Map<String, Object> happened = Map.of(
                "incident",
                incident("inc-knee", "hamish-oake", "INJURY"),
                "limit",
                Map.of("kind", "NO_LIVE", "from", RunningClub.TODAY, "until", "2026-12-24", "note", "knee"));
        coach.post("/api/incidents", happened).expect(200);
        HttpUser.Answer sheet = coach.get("/api/incidents/inc-knee").expect(200);
        assertThat(sheet.json().path("training").path("id").asString()).isEqualTo(CLASS);
        assertThat(sheet.json().path("limits").path(0).path("kind").asString()).isEqualTo("NO_LIVE");
        assertThat(sheet.json()
                        .path("student")
                        .path("contacts")
                        .path("emergencyPhone")
                        .asString())
                .isNotEmpty();
        ObjectNode whole = (ObjectNode) sheet.json().path("incident");
        whole.put("partner", "nobody-here");
        assertThat(coach.put("/api/incidents/inc-knee", whole.toString(), sheet.tag())
                        .code())
                .isEqualTo("RECORD_STUDENT");
        whole.put("partner", "orla-fenwick").put("outcome", "WENT_HOME").put("by", "somebody");
        JsonNode after = coach.put("/api/incidents/inc-knee", whole.toString(), sheet.tag())
                .expect(200)
                .json();
        assertThat(after.path("outcome").asString()).isEqualTo("WENT_HOME");
        assertThat(after.path("by").asString()).as("who wrote it down stays").isEqualTo("coach");
        assertThat(coach.put("/api/incidents/inc-knee", whole.toString(), sheet.tag())
                        .status())
                .isEqualTo(412);
        assertThat(coach.get("/api/incidents?student=hamish-oake").json().toString())
                .contains("inc-knee");
        assertThat(coach.get("/api/incidents?from=2026-11-24&to=2026-11-24")
                        .json()
                        .toString())
                .contains("inc-knee");
        assertThat(coach.get("/api/incidents?from=2026-11-23&to=2026-11-23")
                        .json()
                        .toString())
                .doesNotContain("inc-knee");
    }

    @Test
    void aHeadKnockThatIsFoundOutAfterwardsLimitsAsWell() {
        coach.post("/api/incidents", Map.of("incident", incident("inc-late", "vera-lindqvist-poole", "COLLISION")))
                .expect(200);
        assertThat(limits("vera-lindqvist-poole").size()).isZero();
        HttpUser.Answer sheet = coach.get("/api/incidents/inc-late").expect(200);
        ObjectNode whole = (ObjectNode) sheet.json().path("incident");
        whole.put("kind", "HEAD_KNOCK");
        coach.put("/api/incidents/inc-late", whole.toString(), sheet.tag()).expect(200);
        assertThat(limits("vera-lindqvist-poole").path(0).path("kind").asString())
                .isEqualTo("HEAD_KNOCK");
    }

    @Test
    void badOnesChangeNothing() {
        Map<String, Object> tomorrow = incident("inc-bad", "ines-calloway", "HEAD_KNOCK");
        tomorrow.put("on", "2026-11-25");
        assertThat(coach.post("/api/incidents", Map.of("incident", tomorrow)).code())
                .isEqualTo("NOT_YET");
        Map<String, Object> alone = incident("inc-bad", "ines-calloway", "HEAD_KNOCK");
        alone.put("partner", "ines-calloway");
        coach.post("/api/incidents", Map.of("incident", alone)).expect(400);
        Map<String, Object> endless = Map.of(
                "incident",
                incident("inc-bad", "ines-calloway", "INJURY"),
                "limit",
                Map.of("kind", "HEAD_KNOCK", "from", RunningClub.TODAY, "until", "2026-12-01"));
        assertThat(coach.post("/api/incidents", endless).code()).isEqualTo("HEAD_KNOCK_OPEN");
        assertThat(coach.get("/api/incidents").code()).isEqualTo("INCIDENTS");
        assertThat(coach.post("/api/incidents", Map.of()).code()).isEqualTo("INCIDENT_MISSING");
        RunningClub.as("viewer")
                .post("/api/incidents", Map.of("incident", incident("inc-bad", "ines-calloway", "INJURY")))
                .expect(403);
        RunningClub.as("viewer").get("/api/incidents?student=ines-calloway").expect(403);
        coach.get("/api/incidents/inc-bad").expect(404);
        assertThat(limits("ines-calloway").size()).isZero();
    }
}

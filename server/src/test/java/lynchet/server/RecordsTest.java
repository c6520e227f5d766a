package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(RunningClub.class)
class RecordsTest {

    private static final String CLASS = "fundamentals-" + RunningClub.TODAY;

    private final HttpUser coach = RunningClub.as("coach");

    private static Map<String, Object> mark(
            String id, String student, String subject, String standard, boolean passed) {
        return Map.of(
                "id",
                id,
                "student",
                student,
                "subject",
                subject,
                "standard",
                standard,
                "passed",
                passed,
                "classId",
                CLASS);
    }

    @Test
    void attendanceIsOnceForAStudentAndAClass() {
        Map<String, Object> here = Map.of("id", "here-1", "student", "bram-oakhurst", "classId", CLASS, "how", "CARD");
        String first = coach.post("/api/attendance", here).expect(200).text();
        assertThat(coach.post("/api/attendance", here).expect(200).text()).isEqualTo(first);
        assertThat(coach.post("/api/attendance", Map.of("id", "here-2", "student", "bram-oakhurst", "classId", CLASS))
                        .expect(200)
                        .text())
                .isEqualTo(first);
        assertThat(coach.post("/api/attendance", Map.of("id", "here-1", "student", "nadia-thorne", "classId", CLASS))
                        .expect(409)
                        .code())
                .isEqualTo("ID_TAKEN");
        assertThat(coach.get("/api/classes/" + CLASS).text()).contains("here-1").doesNotContain("here-2");
        coach.delete("/api/attendance/here-1").expect(204);
        coach.delete("/api/attendance/here-1").expect(404);
        JsonNode gone = coach.get("/api/classes/" + CLASS).json().path("gone").path(0);
        assertThat(gone.path("student").asString()).isEqualTo("bram-oakhurst");
        assertThat(gone.path("goneBy").asString()).isEqualTo("coach");
    }

    @Test
    void whatIsRetiredIsJudgedNoMoreAndWhatWasJudgedCanBeTakenBack() {
        HttpUser head = RunningClub.as("head");
        Map<String, Object> mark = new HashMap<>(Map.of(
                "id",
                "m-retired",
                "student",
                "sorin-vale",
                "subject",
                "cross-sweep-test",
                "standard",
                "SHOWN",
                "passed",
                true));
        ObjectNode card = (ObjectNode)
                head.get("/api/map/techniques/scissor-sweep").json().path("technique");
        card.put("id", "cross-sweep-test").put("name", "Cross sweep for a test").putArray("aliases");
        head.post("/api/map/techniques", card.toString()).expect(200);
        coach.post("/api/marks", mark).expect(200);
        String tag = head.get("/api/map/techniques/cross-sweep-test").tag();
        head.delete("/api/map/techniques/cross-sweep-test", tag).expect(200);
        mark.put("id", "m-retired-2");
        assertThat(coach.post("/api/marks", mark).code()).isEqualTo("RETIRED");
        mark.put("withdraws", "m-retired");
        mark.put("passed", false);
        coach.post("/api/marks", mark).expect(200);
    }

    @Test
    void aFaultOfTheRoomIsCountedWithoutAName() {
        String fault = coach.get("/api/map/techniques/scissor-sweep")
                .json()
                .path("technique")
                .path("faults")
                .path(0)
                .path("id")
                .asString();
        Map<String, Object> tally =
                new HashMap<>(Map.of("id", "t-one", "classId", CLASS, "technique", "scissor-sweep", "fault", fault));
        JsonNode kept = coach.post("/api/tallies", tally).expect(200).json();
        assertThat(coach.post("/api/tallies", tally).expect(200).json())
                .as("sent again")
                .isEqualTo(kept);
        tally.put("id", "t-two");
        coach.post("/api/tallies", tally).expect(200);
        assertThat(room("")).isEqualTo(2);
        assertThat(room("&track=juniors")).isZero();
        assertThat(room("&ladder=adult&rank=white")).as("nobody is named").isZero();
        assertThat(coach.get("/api/classes/" + CLASS).json().path("tallies").size())
                .isEqualTo(2);
        coach.delete("/api/tallies/t-two").expect(204);
        coach.delete("/api/tallies/t-two").expect(404);
        assertThat(room("")).isEqualTo(1);
        tally.put("id", "t-three");
        tally.put("fault", "no-such-fault");
        assertThat(coach.post("/api/tallies", tally).code()).isEqualTo("MARK_FAULT");
        RunningClub.as("viewer").post("/api/tallies", tally).expect(403);
    }

    private int room(String asked) {
        return coach.get("/api/people/faults?from=" + RunningClub.TODAY + "&to=" + RunningClub.TODAY + asked)
                .expect(200)
                .json()
                .path("seen")
                .valueStream()
                .filter(one -> one.path("technique").asString().equals("scissor-sweep"))
                .mapToInt(one -> one.path("room").asInt())
                .sum();
    }

    @Test
    void aBlockLoggedForEveryoneCountsForWhoeverIsThereLateComersToo() {
        coach.post(
                        "/api/practice",
                        Map.of(
                                "id",
                                "drill-x",
                                "classId",
                                CLASS,
                                "blockId",
                                "drill-2",
                                "technique",
                                "corner-drop",
                                "reps",
                                8))
                .expect(200);
        String before = progress("bram-oakhurst");
        coach.post("/api/attendance", Map.of("id", "late", "student", "bram-oakhurst", "classId", CLASS))
                .expect(200);
        assertThat(progress("bram-oakhurst")).isNotEqualTo(before).isEqualTo("PLOUGHED");
        coach.delete("/api/practice/drill-x").expect(200);
        assertThat(progress("bram-oakhurst")).isEqualTo(before);
        coach.delete("/api/attendance/late").expect(204);
    }

    private String progress(String student) {
        return coach.get("/api/people/" + student + "/progress")
                .json()
                .path("techniques")
                .path("corner-drop")
                .asString();
    }

    @Test
    void aPassShowsOnTheStudentAndAWithdrawalTakesItBack() {
        assertThat(missing()).contains("Figure-four shoulder lock");
        Map<String, Object> pass = mark("pass-1", "orla-fenwick", "figure-four-lock", "SHOWN", true);
        coach.post("/api/marks", pass).expect(200);
        coach.post("/api/marks", pass).expect(200);
        assertThat(missing()).doesNotContain("Figure-four shoulder lock");
        assertThat(coach.post("/api/marks", mark("pass-1", "orla-fenwick", "figure-four-lock", "SHOWN", false))
                        .expect(409)
                        .code())
                .isEqualTo("ID_TAKEN");
        Map<String, Object> back = new HashMap<>(mark("back-1", "orla-fenwick", "figure-four-lock", "SHOWN", false));
        back.put("withdraws", "pass-1");
        coach.post("/api/marks", back).expect(200);
        assertThat(missing()).contains("Figure-four shoulder lock");
    }

    private String missing() {
        StringBuilder items = new StringBuilder();
        coach.get("/api/people/orla-fenwick/progress").json().path("ladders").forEach(ladder -> ladder.path("groups")
                .forEach(group -> group.path("items").forEach(item -> {
                    if (!item.path("met").asBoolean()
                            && item.path("item").path("ref").asString("").equals("figure-four-lock")) {
                        items.append("Figure-four shoulder lock");
                    }
                })));
        return items.toString();
    }

    @ParameterizedTest
    @CsvSource({
        "nobody, figure-four-lock, SHOWN, 422, RECORD_STUDENT",
        "orla-fenwick, no-such-thing, SHOWN, 422, RECORD_SUBJECT",
        "orla-fenwick, figure-four-lock, DRILLED, 400, NOT_READABLE",
        "orla-fenwick, figure-four-lock, PERFECT, 400, NOT_READABLE",
    })
    void aBadMarkIsRefused(String student, String subject, String standard, int status, String code) {
        HttpUser.Answer answer = coach.post("/api/marks", mark("bad-mark", student, subject, standard, true));
        assertThat(answer.expect(status).code()).isEqualTo(code);
        assertThat(coach.get("/api/people/orla-fenwick/progress").text()).doesNotContain("bad-mark");
    }

    @Test
    void readinessHasDatesAndTheReasonOfAHold() {
        assertThat(coach.get("/api/people/rowan-pettifer/readiness").text())
                .contains("HELD", "Lets partners land hard");
        assertThat(coach.get("/api/people/ines-calloway/readiness")
                        .json()
                        .get(0)
                        .path("projection")
                        .path("median")
                        .asString())
                .isGreaterThan(RunningClub.TODAY);
        assertThat(coach.get("/api/people/bo-lindale/readiness").text()).contains("ELIGIBLE");
    }

    @Test
    void aStartOfPositionalRoundsSpeaksOfThePositionOnly() {
        Map<String, Object> start = new HashMap<>(Map.of(
                "id",
                "st-one",
                "classId",
                CLASS,
                "blockId",
                "rounds",
                "position",
                "side-control-bottom",
                "escaped",
                true));
        JsonNode before =
                coach.get("/api/map/positions/side-control-bottom/starts").json();
        coach.post("/api/starts", start).expect(200);
        coach.post("/api/starts", start).expect(200);
        start.put("escaped", false);
        coach.post("/api/starts", start).expect(409);
        start.put("id", "st-two");
        coach.post("/api/starts", start).expect(200);
        JsonNode after =
                coach.get("/api/map/positions/side-control-bottom/starts").json();
        assertThat(after.path("starts").asInt() - before.path("starts").asInt()).isEqualTo(2);
        assertThat(after.path("escapes").asInt() - before.path("escapes").asInt())
                .isEqualTo(1);
        assertThat(coach.get("/api/classes/" + CLASS).json().path("starts").toString())
                .contains("st-one")
                .doesNotContain("student");
        coach.delete("/api/starts/st-two").expect(204);
        coach.delete("/api/starts/st-two").expect(404);
        start.put("id", "st-three");
        start.put("position", "nowhere");
        assertThat(coach.post("/api/starts", start).code()).isEqualTo("START_POSITION");
        coach.get("/api/map/positions/nowhere/starts").expect(404);
        RunningClub.as("viewer").post("/api/starts", start).expect(403);
    }
}

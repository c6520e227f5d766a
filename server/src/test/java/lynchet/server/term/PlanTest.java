package lynchet.server.term;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.locks.LockSupport;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A term over HTTP: looked at, planned as a job, moved by hand, and the classes it fills. */
class PlanTest {

    private static final String PLAN = "/api/plans/running-term-fundamentals";

    private static ConfigurableApplicationContext club;
    private static HttpUser coach;

    @BeforeAll
    static void start() {
        club = RunningClub.another();
        coach = RunningClub.user(club, "coach");
    }

    @AfterAll
    static void stop() {
        club.close();
    }

    private static JsonNode end(String job) {
        for (int n = 0; n < 3000; n++) { // five minutes: only what hangs takes longer
            JsonNode now = coach.get("/api/plans/jobs/" + job).expect(200).json();
            if (!Set.of("WAITING", "RUNNING").contains(now.path("state").asString())) {
                return now;
            }
            LockSupport.parkNanos(100_000_000);
        }
        throw new AssertionError("the job goes on and on");
    }

    private static List<String> broken(JsonNode view) {
        List<String> all = new ArrayList<>();
        view.path("says").forEach(said -> {
            if (said.path("level").asString().equals("BREAKS")) {
                all.add(said.path("sentence").asString());
            }
        });
        return all;
    }

    @Test
    void theWeekSaysWhatComesOnlyIfTimeAllows() {
        JsonNode view = coach.get(PLAN).expect(200).json();
        JsonNode lessons = view.path("lessons");
        String until = view.path("until").asString();
        JsonNode days = coach.get("/api/classes?from=" + view.path("today").asString() + "&to=" + until)
                .expect(200)
                .json();
        int seen = 0;
        for (JsonNode training : days.path("classes")) {
            int at = 0;
            while (at < lessons.size()
                    && !lessons.get(at)
                            .path("id")
                            .asString()
                            .equals(training.path("id").asString())) {
                at++;
            }
            if (at == lessons.size() || lessons.get(at).path("own").asBoolean()) {
                continue;
            }
            Set<String> wanted = new HashSet<>();
            for (JsonNode row : view.path("rows")) {
                for (JsonNode met : row.path("at")) {
                    if (met.asInt() == at && !row.path("must").asBoolean()) {
                        wanted.add(row.path("subject").asString());
                    }
                }
            }
            Set<String> told = new HashSet<>();
            days.path("ifTime").path(training.path("id").asString()).forEach(id -> told.add(id.asString()));
            assertThat(told).as(training.path("id").asString()).isEqualTo(wanted);
            seen += told.size();
        }
        assertThat(seen).as("blocks that come if time allows").isPositive();
    }

    @Test
    void thePlanOfTheDemoFillsItsClasses() {
        JsonNode view = coach.get(PLAN).expect(200).json();
        int next = 0;
        while (view.path("lessons").get(next).path("over").asBoolean()
                || view.path("lessons").get(next).path("own").asBoolean()) {
            next++;
        }
        String id = view.path("lessons").get(next).path("id").asString();
        Set<String> planned = new HashSet<>();
        for (JsonNode row : view.path("rows")) {
            for (JsonNode at : row.path("at")) {
                if (at.asInt() == next) {
                    planned.add(row.path("subject").asString());
                }
            }
            assertThat(row.path("end").asDouble()).isBetween(0.0, 1.0);
            assertThat(row.path("after").size()).isEqualTo(view.path("lessons").size());
        }
        assertThat(planned).as("something stands in " + id).isNotEmpty();
        Set<String> drilled = new HashSet<>();
        coach.get("/api/classes/" + id)
                .expect(200)
                .json()
                .at("/training/blocks")
                .forEach(block -> {
                    if (block.path("kind").asString().equals("WHOLE_DRILL")) {
                        drilled.add(block.path("technique")
                                .asString(block.path("chain").asString()));
                    }
                });
        assertThat(drilled).isEqualTo(planned);
        assertThat(view.path("lessons").get(next).path("used").asInt())
                .isBetween(1, view.path("lessons").get(next).path("minutes").asInt());
    }

    /** The view is remembered while nothing is written; any write may change it. */
    @Test
    void aPlanIsSeenAsItIsAfterEachWrite() {
        JsonNode lessons = coach.get(PLAN).expect(200).json().path("lessons");
        int last = lessons.size() - 1;
        String id = "/api/classes/" + lessons.path(last).path("id").asString();
        assertThat(lessons.path(last).path("cancelled").asBoolean()).isFalse();
        HttpUser.Answer kept = coach.get(id).expect(200);
        ObjectNode training = (ObjectNode) kept.json().path("training");
        HttpUser.Answer off = coach.put(id, training.put("cancelled", true).toString(), kept.tag())
                .expect(200);
        assertThat(coach.get(PLAN)
                        .json()
                        .path("lessons")
                        .path(last)
                        .path("cancelled")
                        .asBoolean())
                .isTrue();
        coach.put(id, training.put("cancelled", false).toString(), off.tag()).expect(200);
        assertThat(coach.get(PLAN)
                        .json()
                        .path("lessons")
                        .path(last)
                        .path("cancelled")
                        .asBoolean())
                .isFalse();
    }

    @Test
    void aCalledOffClassIsPlannedAnewAndNothingIsKeptUntilItIsTaken() {
        HttpUser.Answer before = coach.get(PLAN).expect(200);
        JsonNode lessons = before.json().path("lessons");
        JsonNode off = null;
        for (JsonNode lesson : lessons) {
            if (off == null
                    && !lesson.path("over").asBoolean()
                    && !lesson.path("own").asBoolean()) {
                off = lesson;
            }
        }
        HttpUser.Answer kept =
                coach.get("/api/classes/" + off.path("id").asString()).expect(200);
        ObjectNode training = (ObjectNode) kept.json().path("training");
        training.put("cancelled", true);
        coach.put("/api/classes/" + off.path("id").asString(), training.toString(), kept.tag())
                .expect(200);
        JsonNode plan = before.json().path("plan");
        JsonNode job = end(coach.post("/api/plans/jobs", plan.toString())
                .expect(200)
                .json()
                .path("id")
                .asString());
        assertThat(job.path("state").asString()).as(job.toString()).isEqualTo("DONE");
        JsonNode proposal = job.path("result");
        assertThat(proposal.path("changed").size()).isBetween(1, 6);
        assertThat(coach.get(PLAN).tag()).as("nothing is kept yet").isEqualTo(before.tag());
        JsonNode taken = proposal.at("/view/plan");
        coach.put(PLAN, taken.toString(), before.tag()).expect(200);
        JsonNode after = coach.get(PLAN).expect(200).json();
        String cancelled = off.path("id").asString();
        after.at("/plan/placed").forEach(one -> assertThat(
                        one.path("slot").asString() + "-" + one.path("on").asString())
                .isNotEqualTo(cancelled));
    }

    @Test
    void whatIsMovedByHandSaysWhatItBreaks() {
        JsonNode plan =
                coach.get("/api/plans/running-term-juniors").expect(200).json().path("plan");
        ObjectNode moved = (ObjectNode) plan.deepCopy();
        String subject = plan.path("goals").get(0).path("technique").asString();
        moved.putArray("placed");
        JsonNode view =
                coach.post("/api/plans/views", moved.toString()).expect(200).json();
        assertThat(broken(view)).isNotEmpty();
        ObjectNode twice = moved.withArray("placed").addObject();
        twice.put("goal", subject)
                .put("slot", "juniors")
                .put("on", "2026-12-01")
                .put("kept", false);
        moved.withArray("placed").add(twice.deepCopy());
        HttpUser.Answer refused = coach.post("/api/plans/views", moved.toString());
        assertThat(refused.status()).isEqualTo(400);
        assertThat(refused.text()).contains("twice on 2026-12-01");
    }

    /** Anybody who came to a class in which something was practised has met it there; the sheets of the classes say both. */
    @Test
    void whoHasMetWhatIsWhatTheClassesSay() {
        JsonNode view = coach.get(PLAN).expect(200).json();
        JsonNode exposure = coach.get(PLAN + "/exposure").expect(200).json().path("exposure");
        List<Set<String>> here = new ArrayList<>();
        List<Set<String>> taught = new ArrayList<>();
        for (JsonNode lesson : view.path("lessons")) {
            Set<String> came = new HashSet<>();
            Set<String> did = new HashSet<>();
            if (lesson.path("over").asBoolean()) {
                JsonNode sheet = coach.get("/api/classes/" + lesson.path("id").asString())
                        .expect(200)
                        .json();
                sheet.path("attendance")
                        .forEach(one -> came.add(one.path("student").asString()));
                sheet.path("practice")
                        .forEach(one -> did.add(
                                one.path("technique").asString(one.path("chain").asString())));
            }
            here.add(came);
            taught.add(did);
        }
        assertThat(exposure.path("people")).isNotEmpty();
        for (JsonNode person : exposure.path("people")) {
            for (int item = 0; item < exposure.path("items").size(); item++) {
                List<Integer> met = new ArrayList<>();
                for (int n = 0; n < here.size(); n++) {
                    boolean isThere =
                            here.get(n).contains(person.path("student").asString());
                    if (isThere
                            && taught.get(n)
                                    .contains(exposure.at("/items/" + item + "/subject")
                                            .asString())) {
                        met.add(n);
                    }
                }
                List<Integer> said = new ArrayList<>();
                person.path("met").get(item).forEach(n -> said.add(n.asInt()));
                assertThat(said).as("%s, item %d", person.path("student"), item).isEqualTo(met);
            }
        }
        RunningClub.user(club, "viewer").get(PLAN + "/exposure").expect(403);
    }

    @Test
    void badInputIsRefusedWithWhatAndWhere() {
        ObjectNode plan =
                (ObjectNode) coach.get(PLAN).expect(200).json().path("plan").deepCopy();
        plan.put("id", "another");
        assertThat(coach.post("/api/plans", plan.toString()).code()).isEqualTo("PLAN_TWICE");
        plan.put("id", "running-term-fundamentals");
        plan.putArray("placed");
        plan.putArray("goals");
        assertThat(coach.post("/api/plans/jobs", plan.toString()).code()).isEqualTo("PLAN_EMPTY");
        HttpUser head = RunningClub.head(club);
        Map<String, Object> term = Map.of(
                "id",
                "summer",
                "name",
                "Summer",
                "from",
                "2027-04-01",
                "until",
                "2027-07-01",
                "slots",
                List.of("fundamentals"),
                "closures",
                List.of("2027-05-01"),
                "gradingDays",
                List.of("2027-05-01"));
        HttpUser.Answer closed = head.post("/api/terms", term);
        assertThat(closed.code()).isEqualTo("GRADING_CLOSED");
        assertThat(closed.json().path("where").asString()).isEqualTo("/gradingDays/0");
        Map<String, Object> out = new java.util.HashMap<>(term);
        out.put("gradingDays", List.of("2028-01-01"));
        assertThat(head.post("/api/terms", out).code()).isEqualTo("GRADING_OUTSIDE");
        out.put("gradingDays", List.of("2027-06-01"));
        assertThat(coach.post("/api/terms", out).status()).as("the head's").isEqualTo(403);
        head.post("/api/terms", out).expect(200);
        Map<String, Object> closure = new java.util.HashMap<>(
                Map.of("id", "works", "name", "Works", "from", "2027-05-30", "until", "2027-06-02"));
        HttpUser.Answer examined = head.post("/api/closures", closure);
        assertThat(examined.code()).isEqualTo("CLOSURE_GRADING");
        assertThat(examined.text()).contains("Summer has its grading on 2027-06-01");
        closure.put("tracks", List.of("juniors"));
        head.post("/api/closures", closure).expect(200);
        coach.post(
                        "/api/plans",
                        Map.of(
                                "id",
                                "summer-fundamentals",
                                "term",
                                "summer",
                                "track",
                                "fundamentals",
                                "fresh",
                                2,
                                "goals",
                                List.of(Map.of("technique", "hip-bump-sweep", "must", true)),
                                "placed",
                                List.of()))
                .expect(200);
        assertThat(head.get("/api/plans/summer-fundamentals/wanted")
                        .expect(200)
                        .json()
                        .size())
                .isPositive();
    }

    /** A track on which nobody has trained yet, as every track of a club that begins. */
    @Test
    void aTrackThatBeginsIsPlannedToo() {
        HttpUser head = RunningClub.head(club);
        head.post(
                        "/api/tracks",
                        Map.of(
                                "id",
                                "early",
                                "name",
                                "Early",
                                "slots",
                                List.of(Map.of(
                                        "id", "early-monday", "day", "MONDAY", "start", "07:00", "minutes", 60))))
                .expect(200);
        head.post(
                        "/api/terms",
                        Map.of(
                                "id",
                                "dawn",
                                "name",
                                "Dawn",
                                "from",
                                "2026-11-30",
                                "until",
                                "2027-03-01",
                                "slots",
                                List.of("early-monday")))
                .expect(200);
        Map<String, Object> plan = Map.of(
                "id",
                "dawn-early",
                "term",
                "dawn",
                "track",
                "early",
                "fresh",
                2,
                "goals",
                List.of(Map.of("technique", "hip-bump-sweep", "must", true)));
        JsonNode nobody = end(coach.post("/api/plans/jobs", plan)
                .expect(200)
                .json()
                .path("id")
                .asString());
        assertThat(nobody.at("/problem/code").asString()).isEqualTo("PLAN_NOBODY");
        head.post(
                        "/api/people",
                        Map.of(
                                "id",
                                "dawn-riser",
                                "name",
                                "Dawn Riser",
                                "joined",
                                "2026-11-24",
                                "tracks",
                                List.of("early")))
                .expect(200);
        JsonNode job = end(coach.post("/api/plans/jobs", plan)
                .expect(200)
                .json()
                .path("id")
                .asString());
        assertThat(job.path("state").asString()).as(job.toString()).isEqualTo("DONE");
        assertThat(job.at("/result/view/people").asInt()).isEqualTo(1);
        assertThat(job.at("/result/view/rows/0/at").size()).isGreaterThanOrEqualTo(4);
        assertThat(job.at("/result/view/rows/0/end").asDouble()).isPositive();
    }
}

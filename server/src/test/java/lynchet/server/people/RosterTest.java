package lynchet.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.StreamSupport;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** Whom a coach has to keep in mind, and what is done to many at once. */
@Execution(ExecutionMode.CONCURRENT)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RosterTest {

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

    private String add(String name, Map<String, Object> more) {
        Map<String, Object> body = new HashMap<>(Map.of("id", "x", "name", name, "joined", "2026-01-10"));
        body.putAll(more);
        return head.post("/api/people", body).expect(200).json().path("id").asString();
    }

    private List<String> names(String asked, String called) {
        JsonNode rows =
                head.get("/api/people?size=200&" + asked).expect(200).json().path("rows");
        return StreamSupport.stream(rows.spliterator(), false)
                .map(row -> row.path("student").path("name").asString())
                .filter(name -> name.startsWith(called + " "))
                .toList();
    }

    private void given(String student, String ladder, String rank) {
        Map<String, Object> promotion = new HashMap<>(Map.of(
                "id",
                "pr-" + UUID.randomUUID(),
                "student",
                student,
                "ladder",
                ladder,
                "to",
                rank,
                "stripes",
                0,
                "date",
                "2024-03-01",
                "fromBefore",
                true,
                "figures",
                List.of()));
        head.post("/api/promotions", promotion).expect(200);
    }

    /** The hill of ranks, who is ready and the rows are read three ways; a change of anybody is told to all of them. */
    @Test
    @ResourceLock("ranks")
    void whatIsCountedByRankIsWhatTheRowsSay() {
        String onBoth = add("Counted Both", Map.of("born", "2016-01-03"));
        given(onBoth, "junior", "junior-white");
        given(onBoth, "adult", "white");
        given(add("Counted Adult", Map.of()), "adult", "white");
        Map<String, Integer> people = new TreeMap<>();
        Map<String, Integer> ready = new TreeMap<>();
        Set<String> whoIsReady = new TreeSet<>();
        for (JsonNode row : rows("")) {
            String student = row.path("student").path("id").asString();
            List<String> ladders = row.path("ranks")
                    .valueStream()
                    .map(held -> held.path("ladder").asString())
                    .toList();
            JsonNode readiness = head.get("/api/people/" + student + "/readiness")
                    .expect(200)
                    .json();
            for (JsonNode held : row.path("ranks")) {
                String ladder = held.path("ladder").asString();
                if (ladder.equals("junior") && ladders.contains("adult")) {
                    continue; // they went on there
                }
                String key = ladder + " " + held.path("rank").asString();
                people.merge(key, 1, Integer::sum);
                boolean isReady = readiness
                        .valueStream()
                        .anyMatch(one -> one.path("ladder").asString().equals(ladder)
                                && !one.path("nextRank").isNull()
                                && one.path("conditions").valueStream().allMatch(met -> met.path("met")
                                        .asBoolean()));
                ready.merge(key, isReady ? 1 : 0, Integer::sum);
                if (isReady) {
                    whoIsReady.add(student);
                }
            }
        }
        assertThat(whoIsReady).hasSizeGreaterThan(3);
        Map<String, Integer> countedPeople = new TreeMap<>();
        Map<String, Integer> countedReady = new TreeMap<>();
        head.get("/api/people/ranks")
                .expect(200)
                .json()
                .forEachEntry((ladder, ranks) -> ranks.forEachEntry((rank, holding) -> {
                    countedPeople.put(
                            ladder + " " + rank, holding.path("people").asInt());
                    countedReady.put(ladder + " " + rank, holding.path("ready").asInt());
                }));
        assertThat(countedPeople).isEqualTo(people);
        assertThat(countedReady).isEqualTo(ready);
        assertThat(rows("mind=READY"))
                .extracting(row -> row.path("student").path("id").asString())
                .containsExactlyInAnyOrderElementsOf(whoIsReady);
    }

    @Test
    @ResourceLock("ranks")
    void aRankALadderAndACardFindTheirOwn() {
        String junior = add("Found Junior", Map.of("born", "2016-01-03"));
        given(junior, "junior", "junior-white");
        String adult = add("Found Adult", Map.of("card", "4711"));
        given(adult, "adult", "green");
        assertThat(names("ladder=junior", "Found")).containsExactly("Found Junior");
        assertThat(names("ladder=adult", "Found")).containsExactly("Found Adult");
        assertThat(names("ladder=adult&rank=green", "Found")).containsExactly("Found Adult");
        assertThat(names("ladder=adult&rank=white", "Found")).isEmpty();
        assertThat(names("find=4711", "Found")).containsExactly("Found Adult");
        assertThat(names("find=%25", "Found")).isEmpty();
        assertThat(names("find=F_und", "Found")).isEmpty();
        assertThat(names("mind=BROUGHT", "Found"))
                .as("nothing is asked below the first rank of a ladder")
                .containsExactly("Found Adult");
        assertThat(names("find=Found&sort=rank&down=true", "Found")).containsExactly("Found Adult", "Found Junior");
        assertThat(names("mind=FALLS", "Found")).isEmpty();
        head.post("/api/people/brought", Map.of("students", List.of(adult), "answer", "ALL"))
                .expect(200);
        assertThat(names("mind=BROUGHT", "Found")).isEmpty();
        assertThat(names("mind=FALLS", "Found")).containsExactly("Found Adult");
    }

    private List<JsonNode> rows(String asked) {
        return head.get("/api/people?size=200&" + asked)
                .expect(200)
                .json()
                .path("rows")
                .valueStream()
                .toList();
    }

    @Test
    @ResourceLock("ranks")
    void somebodyWasPassedOverAtTwoWindowsAndSomebodyIsOnTrack() {
        given(add("Changed Changed", Map.of()), "adult", "white"); // nothing that was worked out is remembered
        List<JsonNode> readiness = head.get("/api/people?size=200")
                .json()
                .path("rows")
                .valueStream()
                .map(row -> row.path("readiness"))
                .toList();
        assertThat(readiness)
                .anyMatch(one -> one.path("passedOver").asInt() == 2
                        && one.path("verdict").asString().equals("ELIGIBLE"));
        assertThat(readiness).anyMatch(one -> one.path("verdict").asString().equals("ON_TRACK"));
    }

    @Test
    void eachReasonFindsWhomItMeans() {
        add("Reason Birthday", Map.of("born", "2000-12-24", "weighed", "2026-11-01", "weightKg", 60));
        add("Reason Later", Map.of("born", "2000-12-25", "weighed", "2026-11-01", "weightKg", 60));
        add("Reason New Year", Map.of("born", "2000-01-03", "weighed", "2026-05-24", "weightKg", 60));
        add("Reason Old Weight", Map.of("weighed", "2026-05-23", "weightKg", 60));
        add("Reason Lapsed", Map.of("memberUntil", "2026-12-07", "weighed", "2026-11-01", "weightKg", 60));
        add("Reason Member", Map.of("memberUntil", "2026-12-08", "weighed", "2026-11-01", "weightKg", 60));
        assertThat(names("mind=BIRTHDAY", "Reason")).containsExactly("Reason Birthday");
        assertThat(names("mind=WEIGHT", "Reason")).containsExactly("Reason Old Weight");
        assertThat(names("mind=MEMBERSHIP", "Reason")).containsExactly("Reason Lapsed");
        assertThat(names("mind=ABSENT", "Reason")).as("never seen").hasSize(6);
        assertThat(names("mind=BIRTHDAY&find=new", "Reason")).isEmpty();
        JsonNode minds = head.get("/api/people/minds").expect(200).json();
        long birthdays = head.get("/api/people?size=200&mind=BIRTHDAY")
                .json()
                .path("total")
                .asLong();
        assertThat(minds.path("BIRTHDAY").asLong()).isEqualTo(birthdays);
        assertThat(minds.path("READY").asLong())
                .isEqualTo(
                        head.get("/api/people?mind=READY").json().path("total").asLong())
                .isPositive();
        assertThat(minds.path("BAND").asLong()).as("the two who hand over").isEqualTo(2);
    }

    /** Viewers are not told of ages, weights, limits and holds, not even how many there are. */
    @Test
    void aViewerIsToldOfNothingThatIsHidden() {
        HttpUser viewer = RunningClub.user(club, "viewer");
        JsonNode minds = viewer.get("/api/people/minds").expect(200).json();
        assertThat(minds.propertyNames()).containsExactlyInAnyOrder("READY", "ABSENT", "MEMBERSHIP");
        for (String mind : List.of("BIRTHDAY", "BAND", "WEIGHT", "LIMITED", "HELD")) {
            assertThat(viewer.get("/api/people?mind=" + mind).expect(403).code())
                    .isEqualTo("NOT_ALLOWED");
        }
        viewer.get("/api/people?mind=ABSENT").expect(200);
    }

    @Test
    void manyAreWeighedAndMovedAsOneOrNotAtAll() {
        String one = add("Many One", Map.of("tracks", List.of("juniors")));
        String two = add("Many Two", Map.of());
        Map<String, Object> weighing = Map.of(
                "day",
                "2026-11-24",
                "weights",
                List.of(Map.of("student", one, "kg", 41.5), Map.of("student", two, "kg", 7)));
        HttpUser.Answer refused = head.post("/api/people/weights", weighing).expect(422);
        assertThat(refused.json().path("where").asString()).isEqualTo("/weights/1/kg");
        assertThat(head.get("/api/people/" + one).json().path("weightKg").isNull())
                .isTrue();
        assertThat(head.post(
                                "/api/people/weights",
                                Map.of("day", "2026-11-25", "weights", List.of(Map.of("student", one, "kg", 41))))
                        .code())
                .isEqualTo("NOT_YET");
        head.post(
                        "/api/people/weights",
                        Map.of(
                                "day",
                                "2026-11-20",
                                "weights",
                                List.of(Map.of("student", one, "kg", 41.5), Map.of("student", two, "kg", 70))))
                .expect(200);
        head.post(
                        "/api/people/weights",
                        Map.of("day", "2026-11-19", "weights", List.of(Map.of("student", one, "kg", 39))))
                .expect(200);
        assertThat(head.get("/api/people/" + one).json().path("weightKg").asDouble())
                .as("an older weighing changes nothing")
                .isEqualTo(41.5);

        Map<String, Object> move =
                Map.of("students", List.of(one, two), "add", List.of("fundamentals"), "remove", List.of("juniors"));
        head.post("/api/people/tracks", move).expect(200);
        assertThat(names("track=fundamentals", "Many")).containsExactly("Many One", "Many Two");
        assertThat(names("track=juniors", "Many")).isEmpty();
        Map<String, Object> nowhere =
                Map.of("students", List.of(one), "add", List.of("no-such-track"), "remove", List.of());
        head.post("/api/people/tracks", nowhere).expect(422);
        assertThat(names("track=fundamentals", "Many")).contains("Many One");
    }

    @Test
    void aFamilyIsWhoIsReachedTheSameWay() {
        String parent = add("Kin Parent", Map.of("contacts", Map.of("email", "Rook@example.test")));
        String child = add("Kin Child", Map.of("contacts", Map.of("guardianEmail", "rook@example.test")));
        add("Kin Stranger", Map.of("contacts", Map.of("email", "other@example.test", "phone", "0555")));
        assertThat(head.get("/api/people/" + child + "/progress")
                        .json()
                        .path("family")
                        .toString())
                .contains("Kin Parent", parent)
                .doesNotContain("Stranger");
        JsonNode moved = head.get("/api/people/" + parent).json();
        String tag = head.get("/api/people/" + parent).tag();
        ((tools.jackson.databind.node.ObjectNode) moved).putNull("contacts");
        head.put("/api/people/" + parent, moved.toString(), tag).expect(200);
        assertThat(head.get("/api/people/" + child + "/progress")
                        .json()
                        .path("family")
                        .size())
                .isZero();
        assertThat(RunningClub.user(club, "viewer")
                        .get("/api/people/" + child + "/progress")
                        .json()
                        .path("family")
                        .size())
                .isZero();
    }

    /** A limit starts and ends on its day; a head knock has no last day, and only the head coach lifts it. */
    @Test
    void limitsAreSetAndLifted() {
        HttpUser coach = RunningClub.user(club, "coach");
        String one = add("Limited Limited", Map.of());
        String limits = "/api/people/" + one + "/limits";
        Map<String, Object> neck = Map.of("kind", "NO_NECK", "from", "2026-11-24", "until", "2026-12-01");
        coach.post(limits, neck).expect(200);
        coach.post(limits, Map.of("kind", "NO_NECK", "from", "2026-11-24", "until", "2026-12-08", "note", "stiff"))
                .expect(200);
        JsonNode kept = head.get("/api/people/" + one).json().path("restrictions");
        assertThat(kept.size()).as("the same kind takes its place").isEqualTo(1);
        assertThat(kept.path(0).path("until").asString()).isEqualTo("2026-12-08");
        assertThat(coach.post(limits, Map.of("kind", "NO_LIVE", "from", "2026-11-24", "until", "2026-11-23"))
                        .code())
                .isEqualTo("LIMIT_DAYS");
        assertThat(coach.post(limits, Map.of("kind", "HEAD_KNOCK", "from", "2026-11-24", "until", "2026-12-23"))
                        .code())
                .isEqualTo("HEAD_KNOCK_OPEN");
        coach.post(limits, Map.of("kind", "HEAD_KNOCK", "from", "2026-11-20")).expect(200);
        assertThat(names("mind=LIMITED", "Limited")).containsExactly("Limited Limited");
        coach.post(limits + "/lift", Map.of("kind", "HEAD_KNOCK", "clearedBy", "Dr Test"))
                .expect(403);
        assertThat(head.post(limits + "/lift", Map.of("kind", "HEAD_KNOCK")).code())
                .isEqualTo("CLEARED_BY");
        head.post(limits + "/lift", Map.of("kind", "HEAD_KNOCK", "clearedBy", "Dr Test"))
                .expect(200);
        coach.post(limits + "/lift", Map.of("kind", "NO_NECK")).expect(200);
        JsonNode after = head.get("/api/people/" + one).json().path("restrictions");
        assertThat(after.size())
                .as("what began today is gone, what began before ended yesterday")
                .isEqualTo(1);
        assertThat(after.path(0).path("until").asString()).isEqualTo("2026-11-23");
        assertThat(after.path(0).path("note").asString()).isEqualTo("cleared by Dr Test");
        assertThat(names("mind=LIMITED", "Limited")).isEmpty();
        coach.post(limits + "/lift", Map.of("kind", "NO_NECK")).expect(404);
    }

    @Test
    void aLimitForNextWeekLeavesTodaysAndIsTakenBackByItself() {
        HttpUser coach = RunningClub.user(club, "coach");
        String one = add("Addedup Addedup", Map.of());
        String limits = "/api/people/" + one + "/limits";
        coach.post(limits, Map.of("kind", "NO_NECK", "from", "2026-11-20")).expect(200);
        coach.post(limits, Map.of("kind", "NO_NECK", "from", "2026-12-07", "until", "2026-12-14"))
                .expect(200);
        assertThat(head.get("/api/people/names").text())
                .contains("Addedup\",\"card\":null,\"tracks\":[],\"limits\":[\"NO_NECK\"]");
        coach.post(limits + "/lift", Map.of("kind", "NO_NECK", "from", "2026-12-07"))
                .expect(200);
        assertThat(names("mind=LIMITED", "Addedup")).containsExactly("Addedup Addedup");
        assertThat(head.get("/api/people/" + one).json().path("restrictions").size())
                .isEqualTo(1);
    }

    /** Its steps are limits by themselves; another one waits until it is ended, and may last longer than was thought. */
    @Test
    void aWayBackIsSetMadeLongerAndEnded() {
        HttpUser coach = RunningClub.user(club, "coach");
        String one = add("Wayback Wayback", Map.of());
        String limits = "/api/people/" + one + "/limits";
        Map<String, Object> back = Map.of(
                "steps",
                List.of(
                        Map.of("from", "2026-11-17", "limits", List.of("NO_THROWS"), "note", "light"),
                        Map.of("from", "2026-12-01", "limits", List.of("NO_LIVE"))),
                "full",
                "2026-12-08");
        coach.post(limits + "/way-back", back).expect(200);
        assertThat(coach.post(limits + "/way-back", back).code()).isEqualTo("WAY_BACK_RUNS");
        assertThat(coach.get("/api/people/names").text()).contains("\"step\":\"Step 1 of 2: light\"");
        assertThat(RunningClub.user(club, "viewer").get("/api/people/names").text())
                .doesNotContain("Step 1 of 2");
        assertThat(coach.post(limits + "/way-back/longer", Map.of("days", 57)).code())
                .isEqualTo("OUT_OF_RANGE");
        coach.post(limits + "/way-back/longer", Map.of("days", 7)).expect(200);
        JsonNode kept = head.get("/api/people/" + one).json().path("restrictions");
        assertThat(kept.path(0).path("until").asString()).isEqualTo("2026-12-07");
        assertThat(kept.path(1).path("from").asString()).isEqualTo("2026-12-08");
        coach.post(limits + "/way-back/lift", null).expect(200);
        assertThat(names("mind=LIMITED", "Wayback")).isEmpty();
        coach.post(limits + "/way-back/lift", null).expect(404);
        coach.post(limits + "/way-back/longer", Map.of("days", 7)).expect(404);
        assertThat(coach.post(
                                limits,
                                Map.of("kind", "NO_LIVE", "from", "2026-12-01", "step", Map.of("number", 1, "of", 1)))
                        .code())
                .isEqualTo("WAY_BACK");
    }

    @Test
    void holdsHaveAReasonAndAreTheHeadCoachs() {
        String one = add("Held Held", Map.of());
        String holds = "/api/people/" + one + "/holds";
        RunningClub.user(club, "coach").post(holds, Map.of("reason", "x")).expect(403);
        assertThat(head.post(holds, Map.of("reason", " ")).code()).isEqualTo("REASON_MISSING");
        assertThat(head.post(holds, Map.of("reason", "x", "reviewOn", "2026-11-24"))
                        .code())
                .isEqualTo("REVIEW_DAY");
        head.post(holds, Map.of("reason", "falls first", "reviewOn", "2027-02-01"))
                .expect(200);
        assertThat(head.post(holds, Map.of("reason", "again")).code()).isEqualTo("HELD_ALREADY");
        assertThat(names("mind=HELD", "Held")).containsExactly("Held Held");
        head.post(holds + "/lift", null).expect(200);
        assertThat(names("mind=HELD", "Held")).isEmpty();
        assertThat(head.get("/api/people/" + one)
                        .json()
                        .path("holds")
                        .path(0)
                        .path("ended")
                        .asString())
                .isEqualTo(RunningClub.TODAY);
        head.post(holds + "/lift", null).expect(404);
    }

    @Test
    void nobodyIsAHundredAndFortyAndNobodyIsInAClassBeforeJoining() {
        HttpUser.Answer old = head.post(
                "/api/people", Map.of("id", "x", "name", "Late Old", "joined", "2026-01-10", "born", "1886-01-01"));
        assertThat(old.status()).isBetween(400, 422);
        assertThat(old.text()).contains("140");
        String one = add("Late Late", Map.of("joined", "2026-11-20"));
        Map<String, Object> before =
                Map.of("id", "a-before", "student", one, "classId", "fundamentals-2026-11-17", "how", "NAME");
        assertThat(head.post("/api/attendance", before).expect(422).code()).isEqualTo("BEFORE_JOINING");
        Map<String, Object> guest =
                Map.of("id", "x", "name", "Late Guest", "joined", "2026-11-20", "guest", Map.of("fallsKnown", true));
        String visitor =
                head.post("/api/people", guest).expect(200).json().path("id").asString();
        head.post(
                        "/api/attendance",
                        Map.of(
                                "id",
                                "a-guest",
                                "student",
                                visitor,
                                "classId",
                                "fundamentals-2026-11-17",
                                "how",
                                "NAME"))
                .expect(200);
    }

    @Test
    void theFaultsOfAMonthAreCountedByPeople() {
        JsonNode faults = head.get("/api/people/faults?from=2026-10-25&to=2026-11-24")
                .expect(200)
                .json();
        assertThat(faults.path("seen").path(0).path("who").size()).isGreaterThan(2);
        assertThat(faults.path("marked").asInt()).isGreaterThan(20);
        assertThat(head.get("/api/people/faults?from=2026-10-25&to=2026-11-24&track=no-such")
                        .json()
                        .path("seen")
                        .size())
                .isZero();
        assertThat(head.get("/api/people/faults?from=2026-11-24&to=2026-10-25").code())
                .isEqualTo("DAYS_MANY");
    }
}

package lynchet.server.promote;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Before a window: put forward by coaches, decided by the head coach, taken back, announced, corrected. */
@ExtendWith(RunningClub.class)
class BoardTest {

    private static final String YARA = "yara-pinder";

    private ConfigurableApplicationContext club;
    private HttpUser head;
    private HttpUser coach;

    @BeforeEach
    void open() {
        club = RunningClub.another();
        head = RunningClub.head(club);
        coach = RunningClub.user(club, "coach");
    }

    @AfterEach
    void close() {
        club.close();
    }

    private JsonNode board(String ladder) {
        return coach.get("/api/board?ladder=" + ladder).expect(200).json();
    }

    private JsonNode standing(String ladder, String student) {
        return board(ladder)
                .path("standing")
                .valueStream()
                .filter(one -> one.path("flag").path("student").asString().equals(student))
                .findFirst()
                .orElseThrow();
    }

    private String sign(String ladder, String student) {
        return standing(ladder, student).path("flag").path("sign").asString();
    }

    private static Map<String, Object> nomination(String id, String student, String rank) {
        return new HashMap<>(
                Map.of("id", id, "student", student, "ladder", "adult", "rank", rank, "window", "2026-11-01"));
    }

    private static Map<String, Object> promotion(String id, String student, String from, String to, int stripes) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "student",
                student,
                "ladder",
                "adult",
                "from",
                from,
                "to",
                to,
                "stripes",
                stripes,
                "date",
                RunningClub.TODAY));
    }

    private String held(String student) {
        JsonNode rank = head.get("/api/people/" + student + "/progress")
                .json()
                .path("ranks")
                .path(0);
        return rank.path("rank").asString() + " " + rank.path("stripes").asInt();
    }

    @Test
    void whoHasLeftIsNotAskedToHandOver() {
        JsonNode before =
                coach.get("/api/board/hand-over?until=2026-12-31").expect(200).json();
        assertThat(before.size()).isGreaterThan(1);
        String student = before.path(0).findPath("student").asString();
        HttpUser.Answer kept = head.get("/api/people/" + student).expect(200);
        ObjectNode gone = (ObjectNode) kept.json();
        head.put("/api/people/" + student, gone.put("left", RunningClub.TODAY).toString(), kept.tag())
                .expect(200);
        JsonNode after =
                coach.get("/api/board/hand-over?until=2026-12-31").expect(200).json();
        assertThat(after.size()).isEqualTo(before.size() - 1);
        assertThat(after.toString()).doesNotContain("\"" + student + "\"");
    }

    @Test
    void fromPutForwardToAnnouncedAndCorrected() {
        assertThat(board("adult").path("window").asString()).isEqualTo("2026-11-01");
        assertThat(board("adult").path("isOpen").asBoolean()).isTrue();
        JsonNode march = coach.get("/api/board?ladder=adult&window=2027-03-01")
                .expect(200)
                .json();
        assertThat(march.path("isOpen").asBoolean()).isFalse();
        assertThat(march.path("standing").toString()).contains("BY_WINDOW");
        assertThat(coach.get("/api/board?ladder=adult&window=2027-04-01").code())
                .isEqualTo("NO_WINDOW");
        assertThat(sign("adult", YARA)).isEqualTo("PASSED_OVER");
        assertThat(sign("adult", "sorin-vale")).isEqualTo("HELD");
        assertThat(sign("adult", "priya-fenlow")).isEqualTo("BY_WINDOW");
        Map<String, Object> forward = nomination("n-yara", YARA, "orange");
        JsonNode kept = coach.post("/api/nominations", forward).expect(200).json();
        assertThat(kept.path("by").asString()).isEqualTo("coach");
        assertThat(kept.path("stood").path("verdict").asString()).isEqualTo("ELIGIBLE");
        assertThat(kept.path("stood").path("figures").size()).isPositive();
        JsonNode held = head.post("/api/people/hamish-oake/holds", Map.of("reason", "calm first"))
                .expect(200)
                .json()
                .path("holds");
        assertThat(held.path(0).path("stood").path(0).path("verdict").asString())
                .isEqualTo("ELIGIBLE");
        assertThat(coach.post("/api/nominations", forward).expect(200).json())
                .as("sent again")
                .isEqualTo(kept);
        assertThat(sign("adult", YARA)).isEqualTo("PUT_FORWARD");
        assertThat(standing("adult", YARA).path("verdict").asString()).isEqualTo("CANDIDATE");
        assertThat(standing("adult", YARA).path("passedOver").asInt()).isEqualTo(2);
        coach.delete("/api/nominations/n-yara").expect(200);
        assertThat(sign("adult", YARA)).isEqualTo("PASSED_OVER");
        coach.post("/api/nominations", nomination("n-yara-2", YARA, "orange")).expect(200);

        Map<String, Object> green = promotion("pr-yara", YARA, "orange", "green", 0);
        coach.post("/api/promotions", green).expect(403);
        JsonNode given = head.post("/api/promotions", green).expect(200).json();
        assertThat(given.path("verdict").asString()).isEqualTo("CANDIDATE");
        assertThat(given.path("announced").isNull()).isTrue();
        assertThat(held(YARA)).isEqualTo("green 0");
        assertThat(sign("adult", YARA)).as("put forward for the rank before").isEqualTo("ON_THE_WAY");
        assertThat(board("adult").path("given").toString()).contains("pr-yara");
        head.delete("/api/promotions/pr-yara").expect(200);
        assertThat(held(YARA)).isEqualTo("orange 3");
        assertThat(sign("adult", YARA)).isEqualTo("PUT_FORWARD");

        green.put("id", "pr-yara-2");
        head.post("/api/promotions", green).expect(200);
        head.post("/api/promotions/announce", Map.of("ids", List.of("pr-yara-2")))
                .expect(200);
        assertThat(head.delete("/api/promotions/pr-yara-2").code()).isEqualTo("ANNOUNCED");
        Map<String, Object> meant = new HashMap<>(
                Map.of("id", "pr-yara-3", "to", "green", "stripes", 1, "date", RunningClub.TODAY, "reason", " "));
        assertThat(head.post("/api/promotions/pr-yara-2/correction", meant).code())
                .isEqualTo("REASON_MISSING");
        meant.put("reason", "a stripe was meant as well");
        JsonNode corrected = head.post("/api/promotions/pr-yara-2/correction", meant)
                .expect(200)
                .json();
        assertThat(corrected.path("corrects").asString()).isEqualTo("pr-yara-2");
        assertThat(head.post("/api/promotions/pr-yara-2/correction", meant)
                        .expect(200)
                        .json())
                .as("sent again")
                .isEqualTo(corrected);
        assertThat(held(YARA)).isEqualTo("green 1");
        meant.put("id", "pr-yara-4");
        assertThat(head.post("/api/promotions/pr-yara-2/correction", meant).code())
                .isEqualTo("CORRECTED_ALREADY");
        assertThat(head.get("/api/promotions?student=" + YARA).json().toString())
                .as("the history keeps both")
                .contains("pr-yara-2", "pr-yara-3");
        String archive = head.get("/api/archive").text();
        head.post("/api/archive/check", archive).expect(200);
    }

    @Test
    void twoHeadCoachesAtOnceAndBadOnesChangeNothing() {
        head.post("/api/promotions", promotion("pr-first", YARA, "orange", "green", 0))
                .expect(200);
        HttpUser.Answer late = head.post("/api/promotions", promotion("pr-late", YARA, "orange", "green", 0));
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.code()).isEqualTo("HELD_CHANGED");
        assertThat(late.text()).contains("Green", RunningClub.TODAY, "given by head");
        Map<String, Object> bad = promotion("pr-bad", YARA, "green", "junior-yellow", 0);
        assertThat(head.post("/api/promotions", bad).code()).isEqualTo("PROMOTION_RANK");
        bad.put("to", "yellow");
        assertThat(head.post("/api/promotions", bad).code()).as("below").isEqualTo("REASON_MISSING");
        bad.put("to", "green");
        assertThat(head.post("/api/promotions", bad).code()).as("the same").isEqualTo("HELD_ALREADY");
        bad.put("stripes", 9);
        assertThat(head.post("/api/promotions", bad).code()).isEqualTo("STRIPES_MANY");
        bad.put("stripes", 1);
        bad.put("date", "2026-11-23");
        assertThat(head.post("/api/promotions", bad).code())
                .as("it would count for nothing")
                .isEqualTo("BEFORE_THE_LAST");
        bad.put("date", "2019-01-01");
        assertThat(head.post("/api/promotions", bad).code()).isEqualTo("BEFORE_JOINING");
        bad.put("date", "2026-11-25");
        assertThat(head.post("/api/promotions", bad).code()).isEqualTo("NOT_YET");
        assertThat(held(YARA)).isEqualTo("green 0");

        assertThat(coach.post("/api/nominations", nomination("n-bad", YARA, "orange"))
                        .code())
                .isEqualTo("HELD_CHANGED");
        Map<String, Object> past = nomination("n-bad", "hamish-oake", "green");
        past.put("window", "2026-07-01");
        assertThat(coach.post("/api/nominations", past).code()).isEqualTo("NO_WINDOW");
        past.put("window", "2026-12-01");
        assertThat(coach.post("/api/nominations", past).code())
                .as("no window in December")
                .isEqualTo("NO_WINDOW");
        assertThat(coach.post("/api/nominations", nomination("n-bad", "gus-merriday", "black"))
                        .code())
                .isEqualTo("TOP_RANK");
        coach.post("/api/nominations", nomination("n-one", "hamish-oake", "green"))
                .expect(200);
        assertThat(coach.post("/api/nominations", nomination("n-two", "hamish-oake", "green"))
                        .code())
                .isEqualTo("NOMINATED_ALREADY");
        RunningClub.user(club, "viewer").get("/api/board?ladder=adult").expect(403);
        coach.get("/api/board?ladder=nothing").expect(404);
    }

    @Test
    void stripesGoToManyOrToNobody() {
        Map<String, Object> stripes = new HashMap<>(Map.of(
                "ladder",
                "adult",
                "given",
                List.of(
                        Map.of("id", "st-1", "student", "orla-fenwick"),
                        Map.of("id", "st-2", "student", "tess-ashgrove"))));
        assertThat(head.post("/api/promotions/stripes", stripes).code()).isEqualTo("NO_RANK");
        assertThat(held("orla-fenwick")).isEqualTo("white 2");
        stripes.put(
                "given",
                List.of(
                        Map.of("id", "st-1", "student", "orla-fenwick"),
                        Map.of("id", "st-2", "student", "ines-calloway")));
        assertThat(head.post("/api/promotions/stripes", stripes)
                        .expect(200)
                        .json()
                        .size())
                .isEqualTo(2);
        assertThat(held("orla-fenwick")).isEqualTo("white 3");
        assertThat(held("ines-calloway")).isEqualTo("white 2");
        stripes.put("given", List.of(Map.of("id", "st-3", "student", "orla-fenwick")));
        assertThat(head.post("/api/promotions/stripes", stripes).code()).isEqualTo("STRIPES_MANY");
        coach.post("/api/promotions/stripes", stripes).expect(403);
        head.delete("/api/promotions/st-1").expect(200);
        assertThat(held("orla-fenwick")).isEqualTo("white 2");
    }

    @Test
    void beltsAreOrderedForThoseWhoArePutForward() {
        coach.post("/api/nominations", nomination("n-belt", YARA, "orange")).expect(200);
        JsonNode cupboard = coach.get("/api/belts?ladder=adult").expect(200).json();
        JsonNode line = cupboard.path("lines").path(0);
        assertThat(line.path("colours").toString()).isEqualTo("[\"green\"]");
        assertThat(line.path("order").asInt()).isEqualTo(1);
        String size = line.path("size").asString();
        Map<String, Object> belt =
                new HashMap<>(Map.of("id", "green-" + size, "colours", List.of("green"), "size", size, "count", 2));
        String tag =
                head.put("/api/belts/green-" + size, belt, null).expect(200).tag();
        line = coach.get("/api/belts?ladder=adult").json().path("lines").path(0);
        assertThat(line.path("there").asInt()).isEqualTo(2);
        assertThat(line.path("order").asInt()).isZero();
        belt.put("count", 1);
        head.put("/api/belts/green-" + size, belt, tag).expect(200);
        assertThat(head.put("/api/belts/green-" + size, belt, tag).status()).isEqualTo(412);
        coach.put("/api/belts/green-" + size, belt, tag).expect(403);
    }

    private int ordered() {
        return coach.get("/api/belts?ladder=adult")
                .expect(200)
                .json()
                .path("lines")
                .valueStream()
                .mapToInt(line -> line.path("wanted").asInt())
                .sum();
    }

    /** Once for somebody, from being put forward until their belt is announced; a stripe is no belt. */
    @Test
    void aBeltIsWantedUntilItIsAnnounced() {
        assertThat(ordered()).isZero();
        coach.post("/api/nominations", nomination("n-once", YARA, "orange")).expect(200);
        assertThat(ordered()).isEqualTo(1);
        head.post("/api/promotions", promotion("pr-once", YARA, "orange", "green", 0))
                .expect(200);
        assertThat(ordered()).as("given, and not both put forward and given").isEqualTo(1);
        Map<String, Object> stripe = promotion("pr-stripe", "hamish-oake", "green", "green", 3);
        stripe.put("reason", "x");
        head.post("/api/promotions", stripe).expect(200);
        assertThat(ordered()).isEqualTo(1);
        head.post("/api/promotions/announce", Map.of("ids", List.of("pr-once"))).expect(200);
        assertThat(ordered()).isZero();
    }

    /** From the lowest rank up, the furthest up the bank first, then by name. */
    @Test
    void theBankIsReadFromBelow() {
        List<String> ranks = coach.get("/api/ladders/adult")
                .json()
                .at("/ladder/ranks")
                .valueStream()
                .map(rank -> rank.path("id").asString())
                .toList();
        List<JsonNode> standing = board("adult").path("standing").valueStream().toList();
        Comparator<JsonNode> byRank =
                Comparator.comparing(one -> ranks.indexOf(one.at("/flag/rank").asString()));
        Comparator<JsonNode> byShare = Comparator.comparing(one ->
                -one.at("/flag/met").asDouble() / Math.max(1, one.at("/flag/of").asInt()));
        assertThat(standing).isSortedAccordingTo(byRank.thenComparing(byShare).thenComparing(one -> one.path("name")
                .asString()));
        assertThat(standing.get(0).at("/flag/rank").asString()).isEqualTo("white");
        assertThat(standing.stream().map(one -> one.at("/flag/met")).distinct()).hasSizeGreaterThan(2);
    }

    @Test
    void whoGrowsOutOfTheJuniorsGoesOnWhereTheTableSays() {
        JsonNode leaving = coach.get("/api/board/hand-over").expect(200).json();
        JsonNode caspar = leaving.valueStream()
                .filter(one -> one.path("name").asString().equals("Caspar Wainlow"))
                .findFirst()
                .orElseThrow();
        String to = caspar.path("handOver").path("toRank").asString();
        assertThat(to).isNotEmpty();
        Map<String, Object> given = promotion("pr-over", "caspar-wainlow", "x", to, 0);
        given.remove("from");
        head.post("/api/promotions", given).expect(200);
        assertThat(coach.get("/api/board/hand-over").json().toString()).doesNotContain("Caspar Wainlow");
        assertThat(board("junior").path("standing").toString())
                .as("no longer on the ladder of the juniors")
                .doesNotContain("caspar-wainlow");
        assertThat(board("adult").path("standing").toString()).contains("caspar-wainlow");
        assertThat(coach.get("/api/board/hand-over?until=2029-01-01").code()).isEqualTo("DAYS_MANY");
    }

    @Test
    void aSeminarAndAChartCountWhereThePolicySaysSo() {
        JsonNode ladder = head.get("/api/ladders/adult").expect(200).json();
        Map<String, Object> counting = Map.of(
                "promotionMonths",
                List.of("MARCH", "NOVEMBER"),
                "classesPerStripe",
                24,
                "oneClassADay",
                true,
                "seminars",
                true,
                "chart",
                true,
                "conduct",
                false);
        head.put(
                        "/api/ladders/adult/counting",
                        counting,
                        ladder.path("policyTag").asString())
                .expect(200);
        assertThat(head.put(
                                "/api/ladders/adult/counting",
                                counting,
                                ladder.path("policyTag").asString())
                        .status())
                .isEqualTo(412);
        assertThat(condition("ngozi-hartfell", "CHART").path("met").asBoolean()).isFalse();
        int before = condition("ngozi-hartfell", "CLASSES").path("have").asInt(-1);
        String text = condition("ngozi-hartfell", "CLASSES").path("have").asString();
        coach.post("/api/merits", merit("me-1", "SEMINAR", 4)).expect(200);
        coach.post("/api/merits", merit("me-2", "CHART", 0)).expect(200);
        assertThat(Integer.parseInt(
                        condition("ngozi-hartfell", "CLASSES").path("have").asString()))
                .isEqualTo(Integer.parseInt(text) + 4);
        assertThat(before).isNotZero();
        assertThat(condition("ngozi-hartfell", "CHART").path("met").asBoolean()).isTrue();
        coach.delete("/api/merits/me-2").expect(200);
        assertThat(condition("ngozi-hartfell", "CHART").path("met").asBoolean()).isFalse();
        coach.post("/api/merits", merit("me-3", "SEMINAR", 51)).expect(400);
        coach.post("/api/merits", merit("me-3", "CHART", 1)).expect(400);
        assertThat(coach.get("/api/merits?student=ngozi-hartfell").json().size())
                .isEqualTo(1);
    }

    private static Map<String, Object> merit(String id, String kind, int classes) {
        return Map.of("id", id, "student", "ngozi-hartfell", "kind", kind, "on", RunningClub.TODAY, "classes", classes);
    }

    private JsonNode condition(String student, String code) {
        return coach.get("/api/people/" + student + "/readiness")
                .expect(200)
                .json()
                .path(0)
                .path("conditions")
                .valueStream()
                .filter(one -> one.path("code").asString().equals(code))
                .findFirst()
                .orElseThrow();
    }
}

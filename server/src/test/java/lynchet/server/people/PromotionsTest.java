package lynchet.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.StreamSupport;
import lynchet.core.club.Club;
import lynchet.core.mat.TrainingClass;
import lynchet.core.rank.Item;
import lynchet.core.rank.Ladder;
import lynchet.core.rank.Rank;
import lynchet.format.ClubArchive;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;

/** A belt is kept with how its student stood; against the verdict it wants a reason. Who is ready is not forgotten. */
@Execution(ExecutionMode.CONCURRENT)
class PromotionsTest {

    private ConfigurableApplicationContext club;
    private HttpUser head;

    @BeforeEach
    void open() {
        club = RunningClub.another();
        head = RunningClub.head(club);
    }

    @AfterEach
    void close() {
        club.close();
    }

    private static Map<String, Object> promotion(String id, JsonNode stands, String to) {
        return new HashMap<>(Map.of(
                "id",
                id,
                "student",
                stands.path("student").asString(),
                "ladder",
                stands.path("ladder").asString(),
                "from",
                stands.path("rank").asString(),
                "to",
                to,
                "stripes",
                0,
                "date",
                RunningClub.TODAY));
    }

    private JsonNode readiness(String student) {
        return head.get("/api/people/" + student + "/readiness")
                .expect(200)
                .json()
                .path(0);
    }

    /** Somebody with a verdict. */
    private JsonNode anybody(String verdict) {
        JsonNode people = head.get("/api/people?size=200").expect(200).json().path("rows");
        return StreamSupport.stream(people.spliterator(), false)
                .map(row -> row.path("readiness"))
                .filter(r -> r.path("verdict").asString("").equals(verdict)
                        && !r.path("nextRank").isNull())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void againstTheVerdictItWantsAReasonAndKeepsBoth() {
        JsonNode open = anybody("NOT_YET");
        String student = open.path("student").asString();
        Map<String, Object> given =
                promotion("pr-early", open, open.path("nextRank").asString());
        HttpUser.Answer refused = head.post("/api/promotions", given).expect(422);
        assertThat(refused.code()).isEqualTo("REASON_MISSING");
        assertThat(refused.text()).contains("/reason");
        assertThat(readiness(student).path("rank").asString())
                .isEqualTo(open.path("rank").asString());

        given.put("reason", "moves abroad next week");
        given.put("verdict", "ELIGIBLE");
        given.put("figures", List.of());
        JsonNode kept = head.post("/api/promotions", given).expect(200).json();
        assertThat(kept.path("verdict").asString()).isEqualTo("NOT_YET");
        assertThat(kept.path("figures").size()).isPositive();
        assertThat(kept.path("figures").toString()).doesNotContain("NO_RESTRICTION");
        assertThat(kept.path("by").asString()).isEqualTo("head");
        assertThat(head.post("/api/promotions", given).expect(200).json())
                .as("sent again")
                .isEqualTo(kept);
        given.put("reason", "another reason");
        assertThat(head.post("/api/promotions", given).code()).isEqualTo("ID_TAKEN");
    }

    @Test
    void whatIsMetNeedsNoReasonNorDoesAStripeOrARankFromBefore() {
        JsonNode ready = anybody("ELIGIBLE");
        JsonNode kept = head.post(
                        "/api/promotions",
                        promotion("pr-ready", ready, ready.path("nextRank").asString()))
                .expect(200)
                .json();
        assertThat(kept.path("verdict").asString()).isEqualTo("ELIGIBLE");
        JsonNode other = anybody("NOT_YET");
        Map<String, Object> stripe =
                promotion("pr-stripe", other, other.path("rank").asString());
        stripe.put("stripes", 1);
        head.post("/api/promotions", stripe).expect(200);
        Map<String, Object> before =
                promotion("pr-before", other, other.path("nextRank").asString());
        before.put("fromBefore", true);
        assertThat(head.post("/api/promotions", before)
                        .expect(200)
                        .json()
                        .path("verdict")
                        .isNull())
                .isTrue();
    }

    /**
     * Yellow since two years ago with all classes but four from before; the fourth class here, two of them on one day, was
     * long ago, and yellow asks for nothing any more: the windows of March, July and November since then went by.
     */
    @Test
    void whoeverIsReadyAndWaitsIsCounted() {
        Club kept = ClubArchive.read(new ByteArrayInputStream(
                head.get("/api/archive").expect(200).text().getBytes(StandardCharsets.UTF_8)));
        Ladder ladder = kept.ladders().stream()
                .filter(l -> l.id().equals("adult"))
                .findFirst()
                .orElseThrow();
        Rank yellow = ladder.rank("yellow").orElseThrow();
        askForNothing(yellow);
        List<TrainingClass> classes = kept.classes().stream()
                .filter(c -> !c.cancelled())
                .sorted(Comparator.comparing(TrainingClass::date))
                .toList();
        LocalDate since = classes.get(0).date().minusWeeks(yellow.minWeeks() + 1L);
        int need = ladder.policy().classesForRank(yellow);
        String student = head.post(
                        "/api/people",
                        Map.of(
                                "id",
                                "x",
                                "name",
                                "Wim Waiting",
                                "joined",
                                since,
                                "born",
                                "1990-01-01",
                                "priorClasses",
                                need - 4))
                .expect(200)
                .json()
                .path("id")
                .asString();
        Map<String, Object> before = new HashMap<>(Map.of(
                "id", "pr-wim", "student", student, "ladder", "adult", "to", "yellow", "stripes", 0, "date", since));
        before.put("fromBefore", true);
        head.post("/api/promotions", before).expect(200);
        Set<LocalDate> days = new TreeSet<>();
        for (TrainingClass c : classes) {
            if (days.size() < 6) {
                head.post("/api/attendance", Map.of("id", "a-" + c.id(), "student", student, "classId", c.id()))
                        .expect(200);
                days.add(c.date());
            }
        }
        LocalDate fourth = List.copyOf(days).get(3);
        int windows = 0;
        for (LocalDate month = fourth.withDayOfMonth(1);
                month.plusMonths(1).isBefore(LocalDate.parse(RunningClub.TODAY));
                month = month.plusMonths(1)) {
            windows += List.of(3, 7, 11).contains(month.getMonthValue()) ? 1 : 0;
        }
        assertThat(windows).as("windows since %s", fourth).isPositive();
        assertThat(readiness(student).path("verdict").asString()).isEqualTo("ELIGIBLE");
        assertThat(readiness(student).path("passedOver").asInt()).isEqualTo(windows);
    }

    /** Empties a syllabus; what marks name is kept in that of the last rank. */
    private void askForNothing(Rank rank) {
        List<Map<String, Object>> goals = rank.items()
                .filter(item -> item.kind() == Item.Kind.POSITION_GOAL)
                .map(item ->
                        Map.<String, Object>of("id", "kept-" + item.id(), "kind", "POSITION_GOAL", "ref", item.ref()))
                .toList();
        syllabus("black", List.of(Map.of("name", "Kept", "choose", 0, "items", goals)));
        syllabus(rank.id(), List.of());
    }

    private void syllabus(String rank, List<?> groups) {
        String tag = head.get("/api/ladders/adult")
                .expect(200)
                .json()
                .path("tags")
                .path(rank)
                .asString();
        head.put("/api/ladders/adult/ranks/" + rank + "/syllabus", Map.of("groups", groups), tag)
                .expect(200);
    }
}

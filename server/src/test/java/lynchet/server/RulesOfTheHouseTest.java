package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.StreamSupport;
import lynchet.core.people.ClubPace;
import lynchet.server.mat.StudentStates;
import lynchet.server.people.Roster;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Small rules of the server that count classes, people and days; each was once broken without a test that saw it. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RulesOfTheHouseTest {

    private static final String CLASS = "fundamentals-" + RunningClub.TODAY;
    private static final String STUDENT = "orla-fenwick";

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

    private void callOff(String id, boolean off) {
        HttpUser.Answer kept = head.get("/api/classes/" + id).expect(200);
        ObjectNode training = (ObjectNode) kept.json().path("training");
        head.put("/api/classes/" + id, training.put("cancelled", off).toString(), kept.tag())
                .expect(200);
    }

    private int classes() {
        return RunningClub.states(club, List.of(STUDENT))
                .get(STUDENT)
                .ladders()
                .get("adult")
                .classes();
    }

    @Test
    void aClassThatIsCalledOffCountsForNobodyAndWhenItIsBackItDoes() {
        head.post("/api/attendance", Map.of("id", "at-off", "student", STUDENT, "classId", CLASS))
                .expect(200);
        int before = classes();
        callOff(CLASS, true);
        assertThat(classes()).isEqualTo(before - 1);
        callOff(CLASS, false);
        assertThat(classes()).isEqualTo(before);
    }

    /** The pace of the club is that of those who train here, in classes that took place. */
    @Test
    void thePaceLeavesOutGuestsThoseWhoLeftAndClassesThatWereCalledOff() {
        double usual = pace().classesAWeek();
        for (int n = 0; n < 10; n++) {
            String guest = "s-000000000000000" + n;
            head.post(
                            "/api/people",
                            Map.of(
                                    "id",
                                    guest,
                                    "name",
                                    "Guest " + n,
                                    "joined",
                                    RunningClub.TODAY,
                                    "guest",
                                    Map.of("fallsKnown", false)))
                    .expect(200);
            head.post(
                            "/api/attendance",
                            Map.of("id", "at-" + guest, "student", guest, "classId", "fundamentals-2026-11-17"))
                    .expect(200);
        }
        assertThat(pace().classesAWeek()).as("ten guests with a class each").isEqualTo(usual);
        JdbcTemplate jdbc = club.getBean(JdbcTemplate.class);
        String often = jdbc.queryForObject(
                "select student from attendance where class_date > '2026-10-01' group by student"
                        + " order by count(*) desc, student fetch first 1 row only",
                String.class);
        HttpUser.Answer kept = head.get("/api/people/" + often).expect(200);
        head.put(
                        "/api/people/" + often,
                        ((ObjectNode) kept.json())
                                .put("left", RunningClub.TODAY)
                                .toString(),
                        kept.tag())
                .expect(200);
        double without = pace().classesAWeek();
        assertThat(without).as("somebody who came often has left").isLessThan(usual);
        callOff("fundamentals-2026-11-17", true);
        assertThat(pace().classesAWeek()).isLessThan(without);
    }

    private ClubPace pace() {
        club.getBean(StudentStates.class).changed(Set.of());
        return club.getBean(Roster.class).pace(LocalDate.parse(RunningClub.TODAY));
    }

    @Test
    void whoWentOnToTheNextLadderIsCountedThereAlone() {
        Map<String, Integer> before = holding();
        String junior = club.getBean(JdbcTemplate.class)
                .queryForObject(
                        "select l.student from student_ladder l join student s on s.id = l.student where l.ladder = 'junior'"
                                + " and s.left_on is null and not exists (select 1 from student_ladder o"
                                + " where o.student = l.student and o.ladder = 'adult')"
                                + " order by l.student fetch first 1 row only",
                        String.class);
        head.post(
                        "/api/promotions",
                        Map.of(
                                "id",
                                "pr-went-on",
                                "student",
                                junior,
                                "ladder",
                                "adult",
                                "to",
                                "white",
                                "stripes",
                                0,
                                "date",
                                RunningClub.TODAY,
                                "fromBefore",
                                true,
                                "figures",
                                List.of()))
                .expect(200);
        Map<String, Integer> after = holding();
        assertThat(after.get("juniors")).isEqualTo(before.get("juniors") - 1);
        assertThat(after.get("adult")).isEqualTo(before.get("adult") + 1);
    }

    private Map<String, Integer> holding() {
        JsonNode all = head.get("/api/people/ranks").expect(200).json();
        return Map.of("juniors", people(all.path("junior")), "adult", people(all.path("adult")));
    }

    private static int people(JsonNode ranks) {
        return ranks.valueStream().mapToInt(rank -> rank.path("people").asInt()).sum();
    }

    @Test
    void aClockTenMinutesAheadIsTakenAsNowAndAnHourIsNot() {
        Instant now =
                Instant.parse(mark("m-now", null).expect(200).json().path("at").asString());
        Instant soon = now.plus(Duration.ofMinutes(9));
        HttpUser.Answer ahead = mark("m-ahead", soon).expect(200);
        assertThat(Instant.parse(ahead.json().path("at").asString())).isBefore(soon);
        assertThat(mark("m-hour", now.plus(Duration.ofHours(1))).code()).isEqualTo("NOT_YET");
    }

    private HttpUser.Answer mark(String id, Instant at) {
        String body =
                "{\"id\":\"%s\",\"student\":\"%s\",\"subject\":\"arm-lock\",\"standard\":\"SHOWN\",\"passed\":true%s}";
        return head.post("/api/marks", body.formatted(id, STUDENT, at == null ? "" : ",\"at\":\"" + at + "\""));
    }

    /** On 20 December the thirty days of birthdays go over the end of the year; a link of seven days is a week too old. */
    @Test
    void otherDaysOtherRules(@TempDir Path data) {
        String link;
        ConfigurableApplicationContext later = RunningClub.onDisk(data);
        try {
            HttpUser chief = RunningClub.head(later);
            link = chief.post("/api/accounts", "{\"name\":\"late\",\"role\":\"COACH\",\"person\":null}")
                    .expect(200)
                    .json()
                    .path("link")
                    .asString();
            for (String born : List.of("2000-12-24", "2000-01-03", "2000-02-15", "2000-12-01")) {
                chief.post(
                                "/api/people",
                                Map.of("id", "x", "name", "Born " + born, "joined", "2026-01-10", "born", born))
                        .expect(200);
            }
            // As an older program let it in: a word that names a technique which is not there.
            later.getBean(JdbcTemplate.class)
                    .update(
                            "update taught set body = replace(body, '\"techniques\":[\"', '\"techniques\":[\"gone-technique\",\"')"
                                    + " where part = 'words'");
        } finally {
            later.close();
        }
        later = RunningClub.onDisk(data, "2026-12-20");
        try {
            HttpUser chief = RunningClub.head(later);
            JsonNode rows = chief.get("/api/people?size=200&mind=BIRTHDAY&find=Born")
                    .expect(200)
                    .json()
                    .path("rows");
            assertThat(StreamSupport.stream(rows.spliterator(), false)
                            .map(row -> row.path("student").path("name").asString()))
                    .containsExactlyInAnyOrder("Born 2000-12-24", "Born 2000-01-03");
            assertThat(RunningClub.strangerOf(later)
                            .post(
                                    "/api/session/link",
                                    "{\"link\":\"" + link + "\",\"password\":\"long enough for anybody\"}")
                            .code())
                    .isEqualTo("LINK_USED");

            HttpUser.Answer kept = chief.get("/api/map/techniques/sprawl").expect(200);
            JsonNode card = kept.json().path("technique").isMissingNode()
                    ? kept.json()
                    : kept.json().path("technique");
            chief.put(
                            "/api/map/techniques/sprawl",
                            ((ObjectNode) card).put("summary", "Hips back.").toString(),
                            kept.tag())
                    .expect(200);
            assertThat(chief.get("/api/archive").text()).contains("gone-technique", "Hips back.");
        } finally {
            later.close();
        }
    }
}

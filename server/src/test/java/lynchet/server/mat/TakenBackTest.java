package lynchet.server.mat;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** What was recorded is seen at once, and what is taken back stays on the journal with the person who did it. */
@Execution(ExecutionMode.CONCURRENT)
class TakenBackTest {

    private static final String CLASS = "fundamentals-" + RunningClub.TODAY;

    private static ConfigurableApplicationContext club;
    private static HttpUser head;
    private static String student;

    @BeforeAll
    static void open() {
        club = RunningClub.another();
        head = RunningClub.head(club);
        student = head.post("/api/people", Map.of("id", "x", "name", "Pim Lately", "joined", "2026-01-01"))
                .expect(200)
                .json()
                .path("id")
                .asString();
    }

    @AfterAll
    static void close() {
        club.close();
    }

    private static String lastSeen() {
        return head.get("/api/people?find=Pim%20Lately")
                .expect(200)
                .json()
                .path("rows")
                .path(0)
                .path("lastSeen")
                .asString("never");
    }

    private static List<String> journal(String what, String id) {
        return club.getBean(JdbcTemplate.class)
                .queryForList("select who from journal where what = ? and target = ?", String.class, what, id);
    }

    @Test
    void aCheckInIsSeenAtOnceAndTakenBackUnderANameThatIsKept() {
        assertThat(lastSeen()).isEqualTo("never");
        head.post("/api/attendance", Map.of("id", "a-pim", "student", student, "classId", CLASS))
                .expect(200);
        assertThat(lastSeen()).isEqualTo(RunningClub.TODAY);
        assertThat(journal("remove", "a-pim")).isEmpty();
        head.delete("/api/attendance/a-pim").expect(204);
        assertThat(lastSeen()).isEqualTo("never");
        assertThat(journal("remove", "a-pim")).containsExactly("head");
        assertThat(head.delete("/api/attendance/a-pim").status()).isEqualTo(404);
        assertThat(journal("remove", "a-pim")).as("once").hasSize(1);
    }

    @Test
    void aDrillIsTakenBackOnceUnderAName() {
        head.post(
                        "/api/practice",
                        Map.of(
                                "id",
                                "p-pim",
                                "classId",
                                CLASS,
                                "student",
                                student,
                                "technique",
                                "hip-bump-sweep",
                                "reps",
                                8))
                .expect(200);
        assertThat(journal("withdraw", "p-pim"))
                .as("what is added says itself who did it")
                .isEmpty();
        head.delete("/api/practice/p-pim").expect(200);
        head.delete("/api/practice/p-pim").expect(200);
        assertThat(journal("withdraw", "p-pim")).containsExactly("head");
    }

    @Test
    void onlyAMarkThatIsThereAndTheirsIsTakenBack() {
        String mark =
                "{\"id\":\"%s\",\"student\":\"%s\",\"subject\":\"arm-lock\",\"standard\":\"SHOWN\",\"passed\":%s%s}";
        head.post("/api/marks", mark.formatted("m-pim", student, true, "")).expect(200);
        String unknown = mark.formatted("m-back", student, false, ",\"withdraws\":\"no-such-mark\"");
        assertThat(head.post("/api/marks", unknown).expect(422).code()).isEqualTo("MARK_WITHDRAWS");
        String theirs = mark.formatted("m-back", "orla-fenwick", false, ",\"withdraws\":\"m-pim\"");
        assertThat(head.post("/api/marks", theirs).expect(422).code()).isEqualTo("MARK_WITHDRAWS");
        head.post("/api/marks", mark.formatted("m-back", student, false, ",\"withdraws\":\"m-pim\""))
                .expect(200);
    }

    /** A device that has not heard of a merge names what it takes back by the name from before. */
    @Test
    void aMarkIsTakenBackWhateverItIsCalledMeanwhile() {
        String mark = "{\"id\":\"%s\",\"student\":\"%s\",\"subject\":\"%s\",\"standard\":\"SHOWN\",\"passed\":%s%s}";
        head.post("/api/marks", mark.formatted("m-first", student, "scissor-sweep", true, ""))
                .expect(200);
        assertThat(standing()).contains("m-first");
        head.post(
                        "/api/marks",
                        mark.formatted("m-undone", student, "hip-bump-sweep", false, ",\"withdraws\":\"m-first\""))
                .expect(200);
        assertThat(standing()).doesNotContain("m-first");
        assertThat(head.get("/api/people/" + student + "/memory?subject=scissor-sweep")
                        .json()
                        .path("marks")
                        .size())
                .as("it is told with what took it back")
                .isEqualTo(2);
    }

    private static String standing() {
        return head.get("/api/people/" + student + "/progress")
                .expect(200)
                .json()
                .path("marks")
                .toString();
    }

    @Test
    void aCardIsOnePersonsWhoeverAsksForIt() {
        Map<String, Object> ann = Map.of("id", "x", "name", "Ann Card", "joined", "2026-01-01", "card", "C-778");
        head.post("/api/people", ann).expect(200);
        Map<String, Object> ben = Map.of("id", "y", "name", "Ben Card", "joined", "2026-01-01", "card", "C-778");
        HttpUser.Answer refused = head.post("/api/people", ben).expect(422);
        assertThat(refused.code()).isEqualTo("CARD_UNIQUE");
        assertThat(refused.text()).contains("/card").contains("Ann Card");
        assertThat(head.get("/api/people/card/C-778")
                        .expect(200)
                        .json()
                        .path("name")
                        .asString())
                .isEqualTo("Ann Card");
    }
}

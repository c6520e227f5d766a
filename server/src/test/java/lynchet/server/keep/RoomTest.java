package lynchet.server.keep;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/** A disk that is full, and a data file that closed over it: nothing is lost, and it goes on by itself. */
class RoomTest {

    @TempDir
    Path folder;

    private static Map<String, Object> somebody(String name) {
        return Map.of("id", "x", "name", name, "joined", "2026-01-10");
    }

    private static List<String> like(HttpUser head, String name) {
        return head.get("/api/people?find=" + name)
                .expect(200)
                .json()
                .path("rows")
                .valueStream()
                .map(row -> row.at("/student/name").asString())
                .toList();
    }

    @Test
    void nothingNewIsTakenWhileThereIsLittleRoomAndItGoesOnWhenThereIsAgain() {
        try (ConfigurableApplicationContext club = RunningClub.onDisk(folder)) {
            HttpUser head = RunningClub.head(club);
            AtomicLong left = new AtomicLong(Room.LEAST - 1);
            club.getBean(Room.class).measuredBy(left::get);
            HttpUser.Answer refused =
                    head.post("/api/people", somebody("Roomless")).expect(507);
            assertThat(refused.code()).isEqualTo("DISK_FULL");
            assertThat(refused.json().path("detail").asString()).contains("disk", "full");
            assertThat(like(head, "Roomless")).isEmpty();
            assertThat(head.get("/api/copies/whole").json().path("isFull").asBoolean())
                    .isTrue();
            assertThat(health(head, 503)).contains("DOWN");
            left.set(Room.LEAST);
            head.post("/api/people", somebody("Roomy")).expect(200);
            assertThat(like(head, "Roomy")).hasSize(1);
            assertThat(health(head, 200)).contains("UP");
            String archive = head.get("/api/archive").text();
            left.set(Room.LEAST + archive.length());
            assertThat(head.post("/api/archive?mode=replace", archive)
                            .expect(507)
                            .code())
                    .as("a large file needs more than a record")
                    .isEqualTo("DISK_FULL");
        }
    }

    /** Health looks once a second; a test that waits for it asks until it says so. */
    private static String health(HttpUser who, int status) {
        HttpUser.Answer answer = who.get("/actuator/health");
        while (answer.status() != status) {
            Thread.onSpinWait();
            answer = who.get("/actuator/health");
        }
        return answer.text();
    }

    @Test
    void aDataFileThatClosedIsOpenedAgainWithAllThatWasSaid() {
        try (ConfigurableApplicationContext club = RunningClub.onDisk(folder)) {
            HttpUser head = RunningClub.head(club);
            head.post("/api/people", somebody("Closing One")).expect(200);
            try {
                club.getBean(JdbcTemplate.class).execute("SHUTDOWN IMMEDIATELY");
            } catch (RuntimeException closed) {
                assertThat(club.getBean(Disk.class).isGone(closed)).isTrue();
            }
            HttpUser.Answer sent = head.post("/api/people", somebody("Closing Two"));
            while (sent.status() != 200) {
                assertThat(sent.expect(503).code()).isEqualTo("NOT_KNOWN");
                sent = head.post("/api/people", somebody("Closing Two"));
            }
            assertThat(like(head, "Closing")).containsExactly("Closing One", "Closing Two");
            assertThat(health(head, 200)).contains("UP");
        }
    }

    /** The way back stands on the pages, so the head coach comes in although what is kept beside cannot be. */
    @Test
    void theHeadCoachComesInThoughTheListOfDevicesIsGone() {
        try (ConfigurableApplicationContext club = RunningClub.onDisk(folder)) {
            HttpUser head = RunningClub.head(club);
            club.getBean(JdbcTemplate.class).execute("drop table known_device");
            head.signIn("head", "saltmarsh");
            head.get("/api/session").expect(200);
        }
    }
}

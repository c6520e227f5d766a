package lynchet.server.copies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import lynchet.server.keep.H2File;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;

/** Copies of a club that is being written to, and what a restore leaves in every case. */
@Execution(ExecutionMode.CONCURRENT)
class CopiesTest {

    @TempDir
    Path folder;

    private static String archive(HttpUser head) {
        return head.get("/api/archive").expect(200).text();
    }

    private static Map<String, Object> mark(String id) {
        return Map.of("id", id, "student", "orla-fenwick", "subject", "arm-lock", "standard", "SHOWN", "passed", true);
    }

    /** In a process of its own, as it is done from the console; what it says when it refuses. */
    private static String console(String command, Path data, Path file) throws Exception {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-cp",
                        System.getProperty("java.class.path"),
                        AtTheConsole.class.getName(),
                        command,
                        data.toString(),
                        file.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).as(said).isEqualTo(2);
        assertThat(said.lines()).hasSize(1);
        return said;
    }

    @Test
    void aCopyTakenUnderEightWritersHoldsAllThatWasAcknowledgedBefore() throws Exception {
        Path data = folder.resolve("data");
        ConcurrentLinkedQueue<String> kept = new ConcurrentLinkedQueue<>();
        List<String> before;
        Path copy;
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            HttpUser head = RunningClub.head(club);
            ExecutorService writers = Executors.newFixedThreadPool(8);
            for (int n = 0; n < 8; n++) {
                HttpUser writer = RunningClub.head(club);
                writers.submit(() -> {
                    while (!Thread.currentThread().isInterrupted()) {
                        String id = "m-" + UUID.randomUUID();
                        writer.post("/api/marks", mark(id)).expect(200);
                        kept.add(id);
                    }
                    return null;
                });
            }
            while (kept.size() < 40) {
                Thread.onSpinWait();
            }
            before = new ArrayList<>(kept);
            String name = head.post("/api/copies", "{}")
                    .expect(200)
                    .json()
                    .path("name")
                    .asString();
            assertThat(head.get("/api/copies").json().get(0).path("isReadBack").asBoolean())
                    .isTrue();
            copy = Files.move(data.resolve("copies").resolve(name), folder.resolve("copy.zip"));
            assertThat(head.get("/api/copies/" + name).status()).isEqualTo(404);
            assertThat(head.get("/api/copies/..%2Fclub.mv.db").status()).isBetween(400, 404);
            assertThat(console("backup", data, folder.resolve("too-early.zip"))).contains("Lynchet is running");
            assertThat(console("restore", data, copy)).contains("Lynchet is running");
            writers.shutdownNow();
            writers.awaitTermination(30, TimeUnit.SECONDS);
        }
        assertThat(Files.getPosixFilePermissions(copy)).isEqualTo(PosixFilePermissions.fromString("rw-------"));
        Path elsewhere = folder.resolve("elsewhere");
        assertThat(AtTheConsole.restore(elsewhere, copy)).contains("47 people").doesNotContain("before stands");
        try (ConfigurableApplicationContext club = RunningClub.onDisk(elsewhere)) {
            assertThat(archive(RunningClub.head(club))).contains(before);
        }
    }

    @Test
    void fourteenAreKeptAndWhatWasNotFinishedGoes() throws Exception {
        Path data = folder.resolve("data");
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            HttpUser head = RunningClub.head(club);
            Path copies = Files.createDirectories(data.resolve("copies"));
            for (int n = 10; n < 25; n++) {
                Path old = Files.writeString(copies.resolve("club-2020-01-01-0000" + n + ".zip"), "old");
                Files.setLastModifiedTime(old, FileTime.from(Instant.parse("2020-01-01T00:00:00Z")));
            }
            for (int n = 10; n < 24; n++) {
                Path ahead = Files.writeString(copies.resolve("club-2090-01-01-0000" + n + ".zip"), "ahead");
                Files.setLastModifiedTime(ahead, FileTime.from(Instant.parse("2090-01-01T00:00:00Z")));
            }
            Path part = Files.writeString(copies.resolve("club-2020-01-01-000009.part"), "killed here");
            String name = head.post("/api/copies", "{}")
                    .expect(200)
                    .json()
                    .path("name")
                    .asString();
            assertThat(head.get("/api/copies").json()).hasSize(14);
            assertThat(copies.resolve(name))
                    .as("what is dated ahead does not push it out")
                    .exists();
            assertThat(copies.resolve("club-2020-01-01-000024.zip")).exists();
            assertThat(copies.resolve("club-2020-01-01-000011.zip")).doesNotExist();
            assertThat(part).doesNotExist();
        }
    }

    @Test
    void whatIsDamagedInsideIsFoundAndNoOldCopyIsLetGoOf() throws Exception {
        Path data = folder.resolve("data");
        String good;
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            HttpUser head = RunningClub.head(club);
            good = head.post("/api/copies", "{}")
                    .expect(200)
                    .json()
                    .path("name")
                    .asString();
            assertThat(head.get("/api/copies/whole").json().path("damage").isNull())
                    .isTrue();
            assertThat(head.get("/api/copies/whole").text()).contains("\"at\":\"");
        }
        try (var inside = H2File.open(data.resolve(H2File.NAME))) {
            inside.createStatement().execute("update student set body = substr(body, 1, 60) where id = 'orla-fenwick'");
        }
        Path copies = data.resolve("copies");
        for (int n = 10; n < 25; n++) {
            Files.writeString(copies.resolve("club-2020-01-01-0000" + n + ".zip"), "old");
        }
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            HttpUser head = RunningClub.head(club);
            assertThatThrownBy(() -> head.get("/api/archive"))
                    .as("half an archive is no answer")
                    .isInstanceOf(UncheckedIOException.class);
            assertThat(head.post("/api/copies", "{}")
                            .expect(200)
                            .json()
                            .path("isReadBack")
                            .asBoolean())
                    .as("a copy of what is damaged is none to go back to")
                    .isFalse();
            assertThat(head.get("/api/copies/whole").json().path("damage").asString())
                    .contains("is damaged", "./lynchet restore", good);
            assertThat(head.get("/api/copies").json()).hasSizeGreaterThan(15);
            head.get("/api/people/names").expect(200);
            assertThat(head.post("/api/people", Map.of("id", "x", "name", "Late", "joined", "2026-11-24"))
                            .expect(503)
                            .code())
                    .isEqualTo("DAMAGED");
        }
    }

    /** Runs a command of the console in a process of its own and kills it after so many milliseconds. */
    private static void killed(int after, String command, Path data, Path file) throws Exception {
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-cp",
                        System.getProperty("java.class.path"),
                        AtTheConsole.class.getName(),
                        command,
                        data.toString(),
                        file.toString())
                .start();
        process.waitFor(after, TimeUnit.MILLISECONDS);
        process.destroyForcibly().waitFor();
    }

    /** One kill of each in every build; {@code -Dkills=20} does twenty, at other moments each. */
    @Test
    void aKillDuringBackupOrRestoreLeavesTheOldOrTheNew() throws Exception {
        Path data = folder.resolve("data");
        String first;
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            first = archive(RunningClub.head(club));
        }
        Path copy = folder.resolve("first.zip");
        AtTheConsole.backup(data, copy);
        String second;
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            RunningClub.head(club).post("/api/marks", mark("m-later")).expect(200);
            second = archive(RunningClub.head(club));
        }
        Path later = folder.resolve("second.zip");
        AtTheConsole.backup(data, later);
        int kills = Integer.getInteger("kills", 1);
        for (int kill = 0; kill < kills; kill++) {
            int after = 250 + 900 * kill / kills;
            Path made = folder.resolve("made-" + kill + ".zip");
            killed(after, "backup", data, made);
            if (Files.exists(made)) {
                assertThat(CopyFile.readBack(made).people()).isEqualTo(47);
            }
            Path target = folder.resolve("target-" + kill);
            AtTheConsole.restore(target, later);
            killed(after, "restore", target, copy);
            try (ConfigurableApplicationContext club = RunningClub.onDisk(target)) {
                assertThat(archive(RunningClub.head(club)))
                        .as("kill after " + after)
                        .isIn(first, second);
            }
        }
    }

    @Test
    void aRestoreKeepsWhatWasThereAsideAndRefusesWhatIsNoCopy() throws Exception {
        Path data = folder.resolve("data");
        String first;
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            first = archive(RunningClub.head(club));
        }
        Path copy = folder.resolve("first.zip");
        assertThat(AtTheConsole.backup(data, copy)).contains("47 people", "read back");
        assertThatThrownBy(() -> AtTheConsole.backup(data, copy)).hasMessageContaining("there already");
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            RunningClub.head(club).post("/api/marks", mark("m-later")).expect(200);
        }
        byte[] later = Files.readAllBytes(data.resolve(H2File.NAME));

        Path garbage = Files.writeString(folder.resolve("garbage.zip"), "no zip at all");
        Path torn = folder.resolve("torn.zip");
        byte[] whole = Files.readAllBytes(copy);
        Files.write(torn, java.util.Arrays.copyOf(whole, whole.length / 2));
        for (Path bad : List.of(garbage, torn, folder.resolve("not-there.zip"))) {
            assertThatThrownBy(() -> AtTheConsole.restore(data, bad))
                    .as(bad.toString())
                    .isInstanceOf(Exception.class);
            assertThat(Files.readAllBytes(data.resolve(H2File.NAME)))
                    .as("nothing touched by " + bad)
                    .isEqualTo(later);
        }

        assertThat(AtTheConsole.restore(data, copy)).contains("before-restore-");
        Path aside;
        try (Stream<Path> inside = Files.list(data)) {
            aside = inside.filter(path -> path.getFileName().toString().startsWith("before-restore-"))
                    .findFirst()
                    .orElseThrow();
        }
        try (ConfigurableApplicationContext club = RunningClub.onDisk(aside)) {
            assertThat(archive(RunningClub.head(club))).contains("m-later");
        }
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            assertThat(archive(RunningClub.head(club))).isEqualTo(first);
        }
    }

    @Test
    void aHeadCoachWhoForgotThePasswordComesInByALink() throws Exception {
        Path data = folder.resolve("data");
        try (ConfigurableApplicationContext club = RunningClub.onDisk(data)) {
            RunningClub.head(club);
        }
        assertThatThrownBy(() -> AtTheConsole.headCoach(data, "coach")).hasMessageContaining("no head coach");
        assertThatThrownBy(() -> AtTheConsole.headCoach(folder.resolve("nowhere"), null))
                .hasMessageContaining("no club");
        String said = AtTheConsole.headCoach(data, null);
        String link = said.replaceFirst("(?s).*/enter#(\\S+).*", "$1");
        try (ConfigurableApplicationContext club = RunningClub.start("--server.port=0", "--lynchet.data=" + data)) {
            HttpUser stranger = RunningClub.strangerOf(club);
            stranger.post("/api/session/link", Map.of("link", link, "password", "words that I keep"))
                    .expect(200);
            stranger.get("/api/accounts").expect(200);
        }
    }

    /** After the clock was set back a copy dated ahead is no reason to wait, and the next one taken is. */
    @Test
    void aCopyDatedAheadIsNotTheNewest() {
        try (ConfigurableApplicationContext club = RunningClub.onDisk(folder.resolve("ahead"))) {
            Copies copies = club.getBean(Copies.class);
            copies.take();
            Instant taken =
                    copies.newestBefore(Instant.parse("2100-01-01T00:00:00Z")).orElseThrow();
            assertThat(copies.newestBefore(taken)).contains(taken);
            assertThat(copies.newestBefore(taken.minusSeconds(1))).isEmpty();
        }
    }

    @Test
    void oneIsDueEachNightOrAfterADay() {
        Instant now = Instant.parse("2026-11-24T12:00:00Z");
        assertThat(Nightly.isDue(null, now, 12)).isTrue();
        assertThat(Nightly.isDue(now.minus(Duration.ofHours(23)), now, 12)).isFalse();
        assertThat(Nightly.isDue(now.minus(Duration.ofHours(25)), now, 12)).isTrue();
        assertThat(Nightly.isDue(now.minus(Duration.ofHours(13)), now, 3)).isTrue();
        assertThat(Nightly.isDue(now.minus(Duration.ofHours(11)), now, 3)).isFalse();
    }

    @Test
    void theNewestMigrationIsTheOneThatCopiesAreHeldTo() throws Exception {
        try (Stream<Path> migrations = Files.walk(Path.of("src/main"))) {
            int newest = migrations
                    .map(path -> path.getFileName().toString())
                    .filter(name -> name.matches("V\\d+__.*"))
                    .mapToInt(name -> Integer.parseInt(name.replaceFirst("V(\\d+)__.*", "$1")))
                    .max()
                    .orElseThrow();
            assertThat(CopyFile.newest()).isEqualTo(newest);
        }
    }
}

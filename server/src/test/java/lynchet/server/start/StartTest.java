package lynchet.server.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import lynchet.server.LynchetServer;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** What keeps the server from starting is one sentence that names the way back; nothing is touched. */
@Execution(ExecutionMode.CONCURRENT)
class StartTest {

    @TempDir
    Path folder;

    private ConfigurableApplicationContext start() {
        return start(0);
    }

    private ConfigurableApplicationContext start(int port) {
        SpringApplication server = new SpringApplication(LynchetServer.class);
        server.addListeners(new DataFolder());
        return RunningClub.start(server, "--server.port=" + port, "--lynchet.data=" + folder);
    }

    private String refusal() {
        return refusal(0);
    }

    private String refusal(int port) {
        try (ConfigurableApplicationContext club = start(port)) {
            return "started";
        } catch (RuntimeException failure) {
            return StartFailure.sentence(failure).orElse("not said: " + failure);
        }
    }

    @Test
    void aClubIsForItsOwnersEyesOnlyAndIsOpenedOnce() throws Exception {
        try (ConfigurableApplicationContext club = start()) {
            Process second = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-XX:TieredStopAtLevel=1", // it lives for a few seconds
                            "-cp",
                            System.getProperty("java.class.path"),
                            LynchetServer.class.getName(),
                            "--server.port=0",
                            "--lynchet.data=" + folder)
                    .start();
            assertThat(new String(second.getErrorStream().readAllBytes()).lines())
                    .containsExactly("This club is open already: another Lynchet runs with the same data.");
            assertThat(second.waitFor()).isNotZero();
        }
        try (ConfigurableApplicationContext club = start()) {
            assertThat(Files.getPosixFilePermissions(folder)).isEqualTo(PosixFilePermissions.fromString("rwx------"));
            assertThat(Files.getPosixFilePermissions(folder.resolve("club.mv.db")))
                    .isEqualTo(PosixFilePermissions.fromString("rw-------"));
        }
    }

    @Test
    void aFolderThatOthersShareKeepsItsRights() throws Exception {
        Files.writeString(folder.resolve("somebody-elses.txt"), "hello");
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
        DataFolder.look(folder);
        assertThat(Files.getPosixFilePermissions(folder)).isEqualTo(PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    @Test
    void anEmptyOrADamagedFileIsNotTakenForANewClub() throws Exception {
        Path club = folder.resolve("club.mv.db");
        Files.createFile(club);
        assertThat(refusal()).contains("is empty", "./lynchet restore FILE");
        assertThat(club).isEmptyFile();

        byte[] noise = new byte[64 * 1024];
        new java.util.Random(7).nextBytes(noise);
        Files.write(club, noise);
        assertThat(refusal()).contains("is damaged", "./lynchet restore FILE");
        assertThat(Files.readAllBytes(club)).isEqualTo(noise);
    }

    @Test
    void aFolderThatCannotBeMadeIsSaid() throws Exception {
        Path file = Files.createFile(folder.resolve("a-file"));
        assertThatThrownBy(() -> DataFolder.look(file.resolve("inside")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("cannot be made");
    }

    @Test
    void aPortInUseIsSaid() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, java.net.InetAddress.getByName("127.0.0.1"))) {
            assertThat(refusal(taken.getLocalPort()))
                    .contains("Port " + taken.getLocalPort() + " is in use", "--port N");
        }
    }

    @Test
    void aClubOfANewerLynchetIsLeftAlone() throws Exception {
        start().close();
        try (var club = java.sql.DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("club"), "sa", "")) {
            club.createStatement()
                    .execute("insert into \"flyway_schema_history\" select max(\"installed_rank\") + 1, '99', 'later',"
                            + " 'SQL', 'V99__later.sql', 1, 'sa', current_timestamp, 1, true from"
                            + " \"flyway_schema_history\"");
        }
        assertThat(refusal()).contains("newer Lynchet");
    }
}

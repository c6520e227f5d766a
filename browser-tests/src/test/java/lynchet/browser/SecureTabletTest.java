package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.Map;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** The mat on another address, over HTTPS with the club's own authority, off line and on again. */
@Execution(ExecutionMode.CONCURRENT)
class SecureTabletTest {

    private static final String ADDRESS = "127.0.0.2";

    /** A day with a class that this machine's clock has not reached, so that nothing recorded here comes too early. */
    private static final LocalDate TUESDAY = LocalDate.now().with(TemporalAdjusters.next(DayOfWeek.TUESDAY));

    private static final String CLASS = "fundamentals-" + TUESDAY;

    @TempDir
    Path folder;

    private static String run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).as(said).isZero();
        return said;
    }

    private PackagedServer.Own club() throws Exception {
        run(
                "bash",
                "-c",
                "set -euo pipefail; fail() { echo \"$*\" >&2; exit 1; }; "
                        + "source <(sed -n '/^certify() {/,/^}/p' ../lynchet); data=$1; address=$2; certify",
                "certify",
                folder.toString(),
                ADDRESS);
        Path tls = folder.resolve("tls");
        return new PackagedServer.Own(
                Path.of("target/secure.log"),
                true,
                TUESDAY.toString(),
                List.of(
                        "--server.address=" + ADDRESS,
                        "--lynchet.address=" + ADDRESS,
                        "--lynchet.hosts=" + ADDRESS,
                        "--lynchet.authority=" + tls.resolve("authority.crt"),
                        "--server.ssl.key-store=" + tls.resolve("server.p12"),
                        "--server.ssl.key-alias=server",
                        "--server.ssl.key-store-password=" + Files.readString(tls.resolve("password"))));
    }

    /** What a coach does once in the settings of the tablet. */
    private Map<String, String> trusting() throws Exception {
        Path home = Files.createDirectory(folder.resolve("home"));
        Path known = Files.createDirectories(home.resolve(".pki/nssdb"));
        String authority = folder.resolve("tls/authority.crt").toString();
        run("certutil", "-d", "sql:" + known, "-N", "--empty-password");
        run("certutil", "-d", "sql:" + known, "-A", "-t", "C,,", "-n", "club", "-i", authority);
        return Map.of("HOME", home.toString());
    }

    @Test
    void theMatWorksOverHttpsWithAndWithoutTheServer() throws Exception {
        PackagedServer.Own club = club();
        club.start();
        String base = "https://" + ADDRESS + ":" + club.port();
        try (Coach stranger = new Coach(With.FINGER, 1024, 768, base)) {
            stranger.go("/");
            assertThat(stranger.script("return location.href + document.body.innerText"))
                    .as("a tablet that has not installed the authority is not let in")
                    .isEqualTo("chrome-error://chromewebdata/");
        }
        try (Coach coach = new Coach(With.FINGER, 1024, 768, base, trusting())) {
            coach.signIn("head");
            coach.go("/house/tablets");
            coach.see("svg[aria-label='Code of " + base + "/authority.crt']");
            coach.nothingIsWrongHere();
            coach.go("/mat/" + CLASS);
            coach.see("[data-student]");
            assertThat((Boolean) coach.script("return window.isSecureContext")).isTrue();
            coach.keeps(CLASS);
            club.kill();
            coach.go("/mat/" + CLASS);
            coach.use("[data-student=orla-fenwick]");
            coach.see("[data-student=orla-fenwick][aria-pressed=true]");
            coach.use(coach.see("button", "Guest"));
            coach.type(coach.see("input[aria-label='Name of the guest']"), "Fern Hollis");
            coach.use(coach.see("button", "Here tonight"));
            coach.see("*[@data-student][@aria-pressed='true']", "Fern");
            coach.see("button", "3 waiting to send");
            club.start();
            coach.signInAgain();
            coach.seeNone("[data-waiting]");
            coach.go("/mat/" + CLASS);
            coach.see("[data-student=orla-fenwick][aria-pressed=true]");
            coach.see("*[@data-student][@aria-pressed='true']", "Fern");
            coach.see("*[@data-student]", "guest, falls not known");
        } finally {
            club.kill();
        }
    }
}

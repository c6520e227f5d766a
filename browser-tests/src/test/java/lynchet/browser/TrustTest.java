package lynchet.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Instant;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import lynchet.browser.Coach.With;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;

/** A code beside the password, who signed in, and a disk that is full. */
@Execution(ExecutionMode.CONCURRENT)
class TrustTest {

    private static final String ALPHABET = "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567";

    @TempDir
    Path folder;

    @Test
    void aCodeOfThePhoneIsAskedForFromNowOn() throws Exception {
        PackagedServer.Own server = PackagedServer.Own.demoIn(folder, Path.of("target/second.log"));
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800, server.address)) {
            coach.comeIn("coach", "/house");
            coach.use("button", "Ask for a code");
            coach.type(coach.field("Your password"), "not this one", Keys.ENTER);
            coach.see("div", "That is not your password.");
            coach.type(coach.field("Your password"), Keys.chord(Keys.CONTROL, "a"), "saltmarsh", Keys.ENTER);
            coach.see("svg[aria-label='Code for the app']");
            String key = coach.see(By.cssSelector("section[aria-label='A code beside the password'] code"))
                    .getText();
            coach.nothingIsWrongButTheServer();
            coach.type(coach.field("The six figures"), figures(key, -1), Keys.ENTER);
            coach.see("button", "I have them");
            assertThat(coach.all("section[aria-label='A code beside the password'] li"))
                    .hasSize(8);
            coach.use("button", "I have them");
            coach.see("p", "8 recovery codes are left");
            coach.async(
                    "fetch('/api/session', { method: 'DELETE', headers: {"
                            + " 'X-XSRF-TOKEN': document.cookie.match(/XSRF-TOKEN=([^;]*)/)[1] } }).then(() => arguments[0]())");
            coach.go("/");
            coach.type(
                    coach.see(".mantine-Modal-content input[autocomplete=current-password]"), "saltmarsh", Keys.ENTER);
            coach.type(coach.see("input[autocomplete=one-time-code]"), figures(key, 0), Keys.ENTER);
            coach.seeNone(".mantine-Modal-content");
        }
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800, server.address)) {
            coach.comeIn("head", "/house/accounts");
            coach.see("span", "asks for a code too");
            coach.see("span", "came in");
            assertThat(coach.axe()).isEmpty();
        }
        server.kill();
    }

    /** The figures that the app shows, so many half minutes from now. */
    private static String figures(String key, int steps) throws GeneralSecurityException {
        byte[] bytes = new byte[20];
        int bits = 0;
        int held = 0;
        int at = 0;
        for (char letter : key.replace(" ", "").toCharArray()) {
            held = held << 5 | ALPHABET.indexOf(letter);
            bits += 5;
            if (bits >= 8) {
                bits -= 8;
                bytes[at++] = (byte) (held >> bits);
            }
        }
        Mac mac = Mac.getInstance("HmacSHA1");
        mac.init(new SecretKeySpec(bytes, "HmacSHA1"));
        long step = Instant.now().getEpochSecond() / 30 + steps;
        byte[] hash = mac.doFinal(ByteBuffer.allocate(8).putLong(step).array());
        int found = ByteBuffer.wrap(hash, hash[19] & 0xf, 4).getInt() & 0x7fffffff;
        return String.format("%06d", found % 1_000_000);
    }

    @Test
    void aFullDiskIsSaidOnEveryPageAndIsOverWhenThereIsRoom() throws Exception {
        assumeTrue(run("mount", "-t", "tmpfs", "-o", "size=64m", "tmpfs", folder.toString()), "needs to mount");
        Path data = Files.createDirectories(folder.resolve("data"));
        PackagedServer.Own server = PackagedServer.Own.demoIn(data, Path.of("target/full.log"));
        try (Coach coach = new Coach(With.KEYBOARD, 1280, 800, server.address)) {
            fill();
            coach.comeIn("head", "/people/new");
            coach.see("p", "The disk is full, so nothing new is taken.");
            coach.type(coach.field("Name"), "Rowan Fell");
            coach.use("button", "Save");
            coach.see("div", "The disk that the club is kept on is full");
            Files.delete(folder.resolve("fill"));
            coach.use("button", "Save");
            coach.see("a", "Rowan Fell");
            coach.go("/map");
            coach.seeNo("p", "The disk is full");
        } finally {
            server.kill();
            run("umount", "-l", folder.toString());
        }
    }

    private void fill() throws IOException {
        byte[] some = new byte[1 << 16];
        try (OutputStream out = Files.newOutputStream(folder.resolve("fill"))) {
            while (folder.toFile().getUsableSpace() > (19L << 20)) {
                out.write(some);
            }
        }
    }

    private static boolean run(String... words) throws IOException, InterruptedException {
        return new ProcessBuilder(words).redirectErrorStream(true).start().waitFor() == 0;
    }
}

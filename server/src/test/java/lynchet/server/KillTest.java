package lynchet.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/**
 * Kills the server in the middle of two hundred marks of eight hands: everything that was answered is there
 * afterwards. Once in every build; {@code -Dkills=20} does it again and again on the same club.
 */
@Execution(ExecutionMode.CONCURRENT)
@Order(1)
class KillTest {

    private static final int HANDS = 8;
    private static final int MARKS = 200;

    @TempDir
    Path data;

    @Test
    void everyMarkThatWasAnsweredIsThereAfterAKill() throws Exception {
        RunningClub.putDemoIn(data);
        int port = freePort();
        Set<String> answered = ConcurrentHashMap.newKeySet();
        for (int kill = 0; kill < Integer.getInteger("kills", 1); kill++) {
            int before = answered.size();
            markAndKill(port, "kill-" + kill + "-", answered);
            assertThat(answered).hasSizeGreaterThanOrEqualTo(before + MARKS / 2 - HANDS);
            assertKept(port, answered);
        }
    }

    private void markAndKill(int port, String prefix, Set<String> answered) throws Exception {
        Process server = start(port);
        try {
            HttpUser coach = signedIn(port, server);
            CountDownLatch half = new CountDownLatch(MARKS / 2);
            ExecutorService hands = Executors.newFixedThreadPool(HANDS);
            for (int i = 0; i < MARKS; i++) {
                String id = prefix + i;
                hands.submit(() -> {
                    if (coach.post("/api/marks", mark(id)).status() == 200) {
                        answered.add(id);
                    }
                    half.countDown();
                });
            }
            assertThat(half.await(60, TimeUnit.SECONDS)).isTrue();
            server.destroyForcibly().waitFor();
            hands.shutdownNow();
            assertThat(hands.awaitTermination(60, TimeUnit.SECONDS)).isTrue();
        } finally {
            server.destroyForcibly().waitFor();
        }
    }

    private static Map<String, Object> mark(String id) {
        return Map.of("id", id, "student", "orla-fenwick", "subject", "arm-lock", "standard", "SHOWN", "passed", true);
    }

    private void assertKept(int port, Set<String> answered) throws Exception {
        Process again = start(port);
        try {
            String kept = signedIn(port, again).get("/api/archive").expect(200).text();
            assertThat(answered).allMatch(id -> kept.contains('"' + id + '"'));
        } finally {
            again.destroyForcibly().waitFor();
        }
    }

    private static int freePort() throws Exception {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private Process start(int port) throws Exception {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"))));
        command.addAll(List.of(
                "lynchet.server.LynchetServer",
                "--server.port=" + port,
                "--lynchet.demo=true",
                "--lynchet.data=" + data,
                "--lynchet.today=" + RunningClub.TODAY));
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(new File(data.toFile(), "server.log"))
                .start();
    }

    /** Asks until the server answers; gives up when it has died. */
    private static HttpUser signedIn(int port, Process server) {
        while (true) {
            try {
                HttpUser coach = new HttpUser(port);
                coach.signIn("head", "saltmarsh");
                return coach;
            } catch (java.io.UncheckedIOException notYet) {
                assertThat(server.isAlive())
                        .as("the server died while starting")
                        .isTrue();
                java.util.concurrent.locks.LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
            }
        }
    }
}

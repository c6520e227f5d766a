package lynchet.browser;

import java.io.IOException;
import java.io.InputStream;
import java.net.HttpURLConnection;
import java.net.ServerSocket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application with the demo club on a fixed day, started once for all browser tests. */
final class PackagedServer {

    private static final String APP = "../server/target/app";
    private static String address;
    private static Process unpacking;

    private PackagedServer() {}

    /** Its address, such as {@code http://127.0.0.1:34567}; starts it if it is not running. */
    static synchronized String address() {
        if (address == null) {
            try {
                unpacking();
                Own demo = new Own(Path.of("target/server.log"), true, "2026-11-24", List.of());
                demo.start(List.of("-jar", "../server/target/lynchet-app.jar"));
                address = demo.address;
            } catch (IOException e) {
                throw new IllegalStateException("the packaged server did not start", e);
            }
        }
        return address;
    }

    /** A server of its own with nobody in it. */
    record NewClub(String address, String code) {}

    /** Starts one and reads the one-time code off its console. */
    static NewClub newClub(String name) {
        try {
            Path log = Path.of("target/" + name + ".log");
            Own own = new Own(log, false, "2026-11-24", List.of());
            own.start();
            Matcher code = Pattern.compile("with the code ([0-9a-f]+)").matcher("");
            while (!code.reset(Files.readString(log)).find()) {
                LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
            }
            return new NewClub(own.address, code.group(1));
        } catch (IOException e) {
            throw new IllegalStateException("the packaged server did not start", e);
        }
    }

    /**
     * What was packaged is unpacked once as the command does it, which halves the work of each of the many starts. The demo
     * club's server does not wait for it: the first tests would have to stand by for half a minute.
     */
    private static synchronized Process unpacking() throws IOException {
        if (unpacking == null) {
            unpacking = new ProcessBuilder("../lynchet", "unpack")
                    .redirectErrorStream(true)
                    .redirectOutput(Path.of("target/unpack.log").toFile())
                    .start();
        }
        return unpacking;
    }

    /** What starts it from there. */
    private static List<String> unpacked() throws IOException {
        try {
            if (unpacking().waitFor() != 0) {
                throw new IOException("./lynchet unpack failed; see browser-tests/target/unpack.log");
            }
        } catch (InterruptedException e) {
            throw new IllegalStateException("the packaged server was not unpacked", e);
        }
        return List.of("-XX:SharedArchiveFile=" + APP + "/classes.jsa", "-jar", APP + "/lynchet-app.jar");
    }

    /** A server with its own data, which can be killed and started again at the same address. */
    static final class Own {

        private final Path log;
        private final boolean demo;
        private final String today;
        private final int port;
        private final Path data;
        private final List<String> more;
        private Process process;
        final String address;

        /** @param more what else the program is told */
        Own(Path log, boolean demo, String today, List<String> more) throws IOException {
            this(log, demo, today, more, Files.createTempDirectory("lynchet-browser-tests"));
        }

        private Own(Path log, boolean demo, String today, List<String> more, Path data) throws IOException {
            this.log = log;
            this.more = more;
            this.demo = demo;
            this.today = today;
            try (ServerSocket socket = new ServerSocket(0)) {
                port = socket.getLocalPort();
            }
            this.data = data;
            address = "http://127.0.0.1:" + port;
        }

        /** The demo club, its data in a folder that the test has made. */
        static Own demoIn(Path data, Path log) throws IOException {
            Own own = new Own(log, true, "2026-11-24", List.of(), data);
            own.start();
            return own;
        }

        void start() throws IOException {
            start(unpacked());
        }

        private void start(List<String> program) throws IOException {
            List<String> command = new ArrayList<>(List.of(
                    Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                    "-XX:TieredStopAtLevel=1",
                    "-XX:+UseSerialGC",
                    "-Dspring.aot.enabled=true")); // as the command starts it
            command.addAll(program);
            command.addAll(List.of(
                    "--server.port=" + port,
                    "--lynchet.demo=" + demo,
                    "--lynchet.data=" + data,
                    "--lynchet.today=" + today));
            command.addAll(more);
            process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(log.toFile())
                    .start();
            Process started = process;
            Runtime.getRuntime().addShutdownHook(new Thread(started::destroyForcibly));
            while (!isUp()) {
                if (!process.isAlive()) {
                    throw new IOException("it died; see browser-tests/" + log);
                }
                LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
            }
        }

        private boolean isUp() throws IOException {
            return more.isEmpty()
                    ? answers(address + "/actuator/health")
                    : Files.readString(log).contains("A tablet installs"); // the last thing that a start by HTTPS says
        }

        int port() {
            return port;
        }

        /** As when somebody pulls the plug. */
        void kill() throws InterruptedException {
            process.destroyForcibly().waitFor();
        }
    }

    /** What a browser that knows nothing yet is given at an address. */
    static String page(String url) throws IOException {
        HttpURLConnection connection =
                (HttpURLConnection) URI.create(url).toURL().openConnection();
        connection.setRequestProperty("Accept", "text/html");
        try (InputStream body = connection.getInputStream()) {
            return new String(body.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static boolean answers(String url) {
        try {
            return ((HttpURLConnection) URI.create(url).toURL().openConnection()).getResponseCode() == 200;
        } catch (IOException notYet) {
            return false;
        }
    }
}

package lynchet.bench.club;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged server as {@code ./lynchet run} starts it, with 512 MB of heap. */
public final class Server implements AutoCloseable {

    private final Process process;
    private final Path log;
    public final String address;

    /** @param flags what the JVM is started with, as {@code ./lynchet} does it */
    public Server(List<String> flags, Path app, Path data) throws IOException {
        int port;
        try (ServerSocket socket = new ServerSocket(0)) {
            port = socket.getLocalPort();
        }
        log = data.resolve("server.log");
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(flags);
        command.addAll(List.of("-jar", app.toString(), "--server.port=" + port, "--lynchet.data=" + data));
        process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        address = "http://127.0.0.1:" + port;
        Runtime.getRuntime().addShutdownHook(new Thread(process::destroyForcibly));
    }

    /** Ends it as a power cut would, in the middle of whatever it does. */
    public void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    /** Begins to stop, and does not wait for it. */
    public void beginToStop() {
        process.destroy();
    }

    public long pid() {
        return process.pid();
    }

    public boolean isAlive() {
        return process.isAlive();
    }

    /** What it has written to its console. */
    public String said() throws IOException {
        return Files.readString(log);
    }

    /** Waits until data is answered. */
    User user() {
        while (true) {
            try {
                return new User(address);
            } catch (java.io.UncheckedIOException notYet) {
                if (!process.isAlive()) {
                    throw new IllegalStateException("the server died; see " + log);
                }
                LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(20));
            }
        }
    }

    public String firstCode() throws IOException {
        Matcher code = Pattern.compile("with the code ([0-9a-f]+)").matcher("");
        while (!code.reset(Files.readString(log)).find()) {
            LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
        }
        return code.group(1);
    }

    @Override
    public void close() {
        process.destroy();
        try {
            if (!process.waitFor(120, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}

package lynchet.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.ReentrantLock;
import lynchet.core.people.StudentState;
import lynchet.server.mat.StudentStates;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationContextInitializedEvent;
import org.springframework.context.ConfigurableApplicationContext;

/** Starts the real application once, with the demo club on a fixed day; tests speak HTTP to it. */
public final class RunningClub implements BeforeAllCallback {

    public static final String TODAY = "2026-11-24";

    private static final ReentrantLock BEGINNING = new ReentrantLock();
    private static ConfigurableApplicationContext application;
    private static Path demo;

    @Override
    public synchronized void beforeAll(ExtensionContext context) {
        if (application == null) {
            application = another();
        }
    }

    /** One more demo club, for a test that leaves nothing as it was; the test closes it. */
    public static ConfigurableApplicationContext another() {
        return onDisk(folder());
    }

    /** The club in this folder, the demo club where there is none yet. */
    public static ConfigurableApplicationContext onDisk(Path data) {
        putDemoIn(data);
        return run(data);
    }

    /** Where there is no club yet, the demo club as it begins: to make it again is as much work as to start its server. */
    static synchronized void putDemoIn(Path data) {
        try {
            if (demo == null) {
                Path made = folder();
                run(made).close();
                demo = made.resolve("club.mv.db");
            }
            Path club = data.resolve("club.mv.db");
            if (Files.notExists(club)) {
                Files.createDirectories(data);
                Files.copy(demo, club);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ConfigurableApplicationContext run(Path data) {
        return start("--server.port=0", "--lynchet.demo=true", "--lynchet.today=" + TODAY, "--lynchet.data=" + data);
    }

    /** The club in this folder on another day. */
    public static ConfigurableApplicationContext onDisk(Path data, String today) {
        putDemoIn(data);
        return start("--server.port=0", "--lynchet.demo=true", "--lynchet.today=" + today, "--lynchet.data=" + data);
    }

    private static Path folder() {
        try {
            return Files.createTempDirectory("lynchet-test");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Begins a server. The first steps of two at once would race: what they log by is shared by all of them. */
    public static ConfigurableApplicationContext start(String... options) {
        return start(new SpringApplication(LynchetServer.class), options);
    }

    /** The same with a server of one's own. */
    public static ConfigurableApplicationContext start(SpringApplication server, String... options) {
        server.addListeners(event -> {
            if (event instanceof ApplicationContextInitializedEvent) {
                letOthersBegin();
            }
        });
        BEGINNING.lock();
        try {
            return server.run(options);
        } finally {
            letOthersBegin();
        }
    }

    private static void letOthersBegin() {
        if (BEGINNING.isHeldByCurrentThread()) {
            BEGINNING.unlock();
        }
    }

    /** Somebody who has not signed in to a club. */
    public static HttpUser strangerOf(ConfigurableApplicationContext club) {
        return new HttpUser(port(club));
    }

    /** The head coach of a club, signed in. */
    public static HttpUser head(ConfigurableApplicationContext club) {
        return user(club, "head");
    }

    /** One of the demo's accounts in another club, signed in. */
    public static HttpUser user(ConfigurableApplicationContext club, String name) {
        HttpUser user = strangerOf(club);
        user.signIn(name, "saltmarsh");
        return user;
    }

    /** The states that a club keeps of students. */
    static Map<String, StudentState> states(ConfigurableApplicationContext club, List<String> students) {
        return club.getBean(StudentStates.class).of(students);
    }

    /** Where it is. */
    public static String address() {
        return "http://127.0.0.1:" + port();
    }

    static int port() {
        return port(application);
    }

    private static int port(ConfigurableApplicationContext club) {
        return Integer.parseInt(club.getEnvironment().getProperty("local.server.port"));
    }

    /** Somebody who has not signed in. */
    public static HttpUser stranger() {
        return new HttpUser(port());
    }

    /** A demo account, signed in: head, coach or viewer. */
    public static HttpUser as(String account) {
        HttpUser user = stranger();
        user.signIn(account, "saltmarsh");
        return user;
    }
}

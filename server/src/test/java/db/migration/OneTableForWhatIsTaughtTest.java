package db.migration;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A machine may stop between any two steps: the next start finds all that was taught, in one table. */
class OneTableForWhatIsTaughtTest {

    private static final int PLACES = 10;

    @TempDir
    Path folder;

    @Test
    void whereverItStopsTheNextStartFindsEverything() throws Exception {
        Path released = Path.of("src/test/resources/released/club-1.zip").toAbsolutePath();
        try (Connection old = open("before");
                PreparedStatement run = old.prepareStatement("runscript from ? compression zip")) {
            run.setString(1, released.toString());
            run.execute();
        }
        migrate("before", "22");
        copy("whole");
        AtomicInteger steps = new AtomicInteger();
        try (Connection club = open("whole")) {
            V23__OneTableForWhatIsTaught.move(stoppingAfter(club, Integer.MAX_VALUE, steps));
        }
        List<String> all = taught("whole");
        assertThat(all).hasSizeGreaterThan(500).anySatisfy(one -> assertThat(one)
                .startsWith("chains"));
        for (int place = 0; place < PLACES; place++) {
            String name = "stopped-" + place;
            copy(name);
            int last = place * steps.get() / PLACES;
            try (Connection club = open(name)) {
                V23__OneTableForWhatIsTaught.move(stoppingAfter(club, last, new AtomicInteger()));
            } catch (SQLException stopped) {
                assertThat(stopped.getMessage()).isEqualTo("stopped");
            }
            migrate(name, "23");
            assertThat(taught(name)).as("stopped after %d steps", last).isEqualTo(all);
        }
    }

    private Connection open(String name) throws SQLException {
        return DriverManager.getConnection("jdbc:h2:file:" + folder.resolve(name), "sa", "");
    }

    private void copy(String name) throws Exception {
        Files.copy(folder.resolve("before.mv.db"), folder.resolve(name + ".mv.db"));
    }

    private void migrate(String name, String target) {
        Flyway.configure()
                .dataSource("jdbc:h2:file:" + folder.resolve(name), "sa", "")
                .target(target)
                .load()
                .migrate();
    }

    private List<String> taught(String name) throws SQLException {
        List<String> all = new ArrayList<>();
        try (Connection club = open(name);
                ResultSet rows =
                        club.createStatement().executeQuery("select part, id, body from taught order by part, id")) {
            while (rows.next()) {
                all.add(rows.getString(1) + " " + rows.getString(2) + " " + rows.getString(3));
            }
        }
        return all;
    }

    /** A connection that refuses every step after so many. */
    private static Connection stoppingAfter(Connection club, int last, AtomicInteger steps) {
        return proxy(Connection.class, club, (method, made) -> {
            if (made instanceof PreparedStatement asked) {
                return proxy(PreparedStatement.class, asked, (name, result) -> step(name, result, last, steps));
            }
            return made instanceof Statement run
                    ? proxy(Statement.class, run, (name, result) -> step(name, result, last, steps))
                    : made;
        });
    }

    private interface Then {
        Object then(String method, Object result) throws SQLException;
    }

    /** What is done is done; the one after the last is never told that it was. */
    private static Object step(String method, Object result, int last, AtomicInteger steps) throws SQLException {
        if (method.startsWith("execute") && steps.incrementAndGet() > last) {
            throw new SQLException("stopped");
        }
        return result;
    }

    private static <T> T proxy(Class<T> type, Object real, Then then) {
        return type.cast(
                Proxy.newProxyInstance(type.getClassLoader(), new Class<?>[] {type}, (self, method, values) -> {
                    try {
                        return then.then(method.getName(), method.invoke(real, values));
                    } catch (InvocationTargetException e) {
                        throw e.getCause();
                    }
                }));
    }
}

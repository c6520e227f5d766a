package lynchet.server.keep;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;

/** What the data file is told. */
class H2DiskTest {

    @TempDir
    Path folder;

    /** H2 closes the file under everybody when the thread that syncs it is interrupted, and then no new file is written. */
    @Test
    void aSyncThatRunsWhenLynchetStopsIsLetEnd() throws InterruptedException {
        String url = "jdbc:h2:file:" + folder.resolve("club");
        HikariDataSource file = new HikariDataSource();
        file.setJdbcUrl(url);
        file.setUsername("sa");
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch end = new CountDownLatch(1);
        AtomicBoolean isInterrupted = new AtomicBoolean();
        JdbcTemplate slow = new JdbcTemplate(file) {
            @Override
            public void execute(String sql) {
                super.execute(sql);
                if (sql.startsWith("CHECKPOINT")) {
                    begun.countDown();
                    try {
                        end.await();
                    } catch (InterruptedException e) {
                        isInterrupted.set(true);
                    }
                }
            }
        };
        H2Disk disk = new H2Disk(slow, file, event -> {}, new Background(), url);
        begun.await();
        Thread stop = new Thread(() -> {
            try {
                disk.close();
            } catch (SQLException e) {
                throw new IllegalStateException(e);
            }
        });
        stop.start();
        while (stop.getState() != Thread.State.TIMED_WAITING && stop.isAlive()) {
            Thread.onSpinWait();
        }
        boolean isOpen = file.isRunning();
        end.countDown();
        stop.join();
        assertThat(isInterrupted).as("the sync").isFalse();
        assertThat(isOpen).as("open while it syncs").isTrue();
        assertThat(file.isClosed()).isTrue();
    }

    /** The heartbeat syncs every second: shorter than a few of them is not safe, longer fills the disk on a busy evening. */
    @Test
    void whatWasWrittenStaysForFourSyncsAndNoLonger() throws SQLException {
        String url = "jdbc:h2:file:" + folder.resolve("club");
        HikariDataSource file = new HikariDataSource();
        file.setJdbcUrl(url);
        file.setUsername("sa");
        JdbcTemplate jdbc = new JdbcTemplate(file);
        H2Disk disk = new H2Disk(jdbc, file, event -> {}, new Background(), url);
        try {
            assertThat(jdbc.queryForList(
                            "select setting_value from information_schema.settings where setting_name = 'RETENTION_TIME'",
                            Integer.class))
                    .containsOnly(4000);
        } finally {
            disk.close();
        }
    }
}

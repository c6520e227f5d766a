package lynchet.server.keep;

import jakarta.annotation.PreDestroy;
import java.nio.file.Path;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * H2's own words. It does not sync each commit, and it copies a live file only by its own command.
 *
 * <p>It writes anew what changes and leaves the old place alone for {@code RETENTION_TIME}, so that a power cut finds
 * what was synced last. The time it takes of itself, 45 s, waits for a system that never syncs; here a sync comes every
 * few seconds even in the middle of an import, so a third of it is enough and the file stays small.
 */
@Component
class H2Disk implements Disk {

    private static final Logger LOG = LoggerFactory.getLogger(H2Disk.class);
    private static final int SYNC_EVERY_SECONDS = 4;

    private final JdbcTemplate jdbc;
    private final String url;
    private final ScheduledExecutorService heartbeat = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "sync");
        thread.setDaemon(true);
        return thread;
    });

    H2Disk(JdbcTemplate jdbc, @Value("${spring.datasource.url}") String url) {
        this.jdbc = jdbc;
        this.url = url;
        if (isFile()) {
            jdbc.execute("SET RETENTION_TIME 15000");
            heartbeat.scheduleWithFixedDelay(this::beat, SYNC_EVERY_SECONDS, SYNC_EVERY_SECONDS, TimeUnit.SECONDS);
        }
    }

    private boolean isFile() {
        return url.startsWith("jdbc:h2:file:");
    }

    /** Gives back the room that changes and removals have left empty. */
    @PreDestroy
    void close() {
        heartbeat.shutdownNow();
        if (isFile()) {
            jdbc.execute("SHUTDOWN COMPACT");
        }
    }

    private void beat() {
        try {
            sync();
        } catch (RuntimeException failed) {
            LOG.warn("The data could not be synced; it is tried again.", failed);
        }
    }

    @Override
    public void sync() {
        jdbc.execute("CHECKPOINT SYNC");
    }

    @Override
    public void copyTo(Path file) {
        jdbc.update("BACKUP TO ?", file.toAbsolutePath().toString());
    }
}

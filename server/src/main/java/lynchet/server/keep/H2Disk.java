package lynchet.server.keep;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.h2.api.ErrorCode;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStoreException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * H2's own words. It does not sync each commit, and it copies a live file only by its own command.
 *
 * <p>It writes again what changes and leaves what it wrote alone for {@code RETENTION_TIME}, so that a power cut finds
 * what was synced last. The time it takes of itself, 45 s, waits for a system that never syncs. Here each answer that
 * says "kept" has been synced, and whatever is written without one, such as an import, is synced every second; old
 * places stay for four of those. A busy evening fills the file with what is kept so: at 600 records a second 15 s of it
 * were three times the club.
 */
@Component
class H2Disk implements Disk {

    private static final Logger LOG = LoggerFactory.getLogger(H2Disk.class);
    private static final int SYNC_EVERY_SECONDS = 1;
    private static final int SYNCS_BEFORE_A_PLACE_IS_TAKEN = 4;

    /** A file that cannot be written or read, a database that closed over it, and a store that broke off. */
    private static final Set<Integer> GONE = Set.of(
            ErrorCode.IO_EXCEPTION_1,
            ErrorCode.IO_EXCEPTION_2,
            ErrorCode.DATABASE_IS_CLOSED,
            ErrorCode.DATABASE_CALLED_AT_SHUTDOWN,
            ErrorCode.OBJECT_CLOSED);

    private static final Set<Integer> BROKE_OFF = Set.of(DataUtils.ERROR_WRITING_FAILED, DataUtils.ERROR_CLOSED);

    private final JdbcTemplate jdbc;
    private final HikariDataSource pool;
    private final ApplicationEventPublisher events;
    private final Background background;
    private final String url;
    private volatile boolean isOpen = true;

    H2Disk(
            JdbcTemplate jdbc,
            HikariDataSource pool,
            ApplicationEventPublisher events,
            Background background,
            @Value("${spring.datasource.url}") String url) {
        this.jdbc = jdbc;
        this.pool = pool;
        this.events = events;
        this.background = background;
        this.url = url;
        if (isFile()) {
            jdbc.execute("SET RETENTION_TIME " + 1000 * SYNC_EVERY_SECONDS * SYNCS_BEFORE_A_PLACE_IS_TAKEN);
            background
                    .thread("sync")
                    .scheduleWithFixedDelay(this::beat, SYNC_EVERY_SECONDS, SYNC_EVERY_SECONDS, TimeUnit.SECONDS);
        }
    }

    private boolean isFile() {
        return H2File.isNamedBy(url);
    }

    /**
     * Gives back the room that changes and removals have left empty. The pool closes first, so that a request that comes late
     * is refused, and told that nothing is kept: it would open the file again that is being closed.
     */
    @PreDestroy
    void close() throws SQLException {
        background.letEnd();
        if (isFile()) {
            Path asked = besides(".erased");
            boolean isAnew = Files.exists(asked);
            try (Connection last = DriverManager.getConnection(url, pool.getUsername(), pool.getPassword());
                    Statement statement = last.createStatement()) {
                pool.close();
                if (isAnew) {
                    statement.execute("SET EXCLUSIVE 2");
                    statement.execute("SCRIPT TO " + quoted(besides(".anew.sql")));
                }
                statement.execute("SHUTDOWN COMPACT");
            }
            if (isAnew) {
                writeAnew(asked);
            }
        }
    }

    /** Compacting moves pages; keys of what was removed may stand on in them. So a new file is written from the rows alone. */
    private void writeAnew(Path asked) {
        Path script = besides(".anew.sql");
        Path anew = besides(".anew" + H2File.ENDING);
        try {
            OwnerOnly.close(script);
            Files.deleteIfExists(anew);
            String target = H2File.URL + H2File.stem(anew);
            try (Connection fresh = DriverManager.getConnection(target, "sa", "");
                    Statement statement = fresh.createStatement()) {
                statement.execute("RUNSCRIPT FROM " + quoted(script));
                statement.execute("SHUTDOWN COMPACT");
            }
            OwnerOnly.close(anew);
            try (FileChannel written = FileChannel.open(anew, StandardOpenOption.WRITE)) {
                written.force(true); // on the disk before it takes the place of the old one
            }
            Files.move(
                    anew, besides(H2File.ENDING), StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            Files.delete(script);
            Files.delete(asked);
        } catch (IOException | SQLException e) {
            LOG.warn("The data file could not be written anew; it is tried again when Lynchet stops next.", e);
        }
    }

    private static String quoted(Path file) {
        return "'" + file.toString().replace("'", "''") + "'";
    }

    private Path besides(String ending) {
        String file = url.substring(H2File.URL.length()).replaceFirst(";.*", "");
        return Path.of(file + ending);
    }

    @Override
    public void writeAnewAtTheEnd() {
        if (isFile()) {
            try {
                Files.writeString(besides(".erased"), "");
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private void beat() {
        try {
            sync();
            isOpen = true;
        } catch (RuntimeException failed) {
            if (isOpen) {
                LOG.error("The data could not be synced; it is tried again each second.", failed);
                isOpen = false;
            }
            if (isGone(failed)) {
                openAgain();
            }
        }
    }

    /**
     * A database that could not write its file stays closed as long as one connection to it is held. Once none is, the next
     * one opens what was last written whole; what is remembered of it may know more than that, and is forgotten.
     */
    private void openAgain() {
        pool.getHikariPoolMXBean().softEvictConnections();
        try {
            sync();
        } catch (RuntimeException still) {
            return;
        }
        isOpen = true;
        Remembered.forgetAll();
        events.publishEvent(new Reopened());
        LOG.warn("The data is open again.");
    }

    @Override
    public boolean isGone(Throwable failed) {
        for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && GONE.contains(sql.getErrorCode())
                    || cause instanceof MVStoreException store && BROKE_OFF.contains(store.getErrorCode())) {
                return true;
            }
        }
        return false;
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

package lynchet.server.copies;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lynchet.server.keep.Disk;
import lynchet.server.keep.Durable;
import lynchet.server.keep.H2File;
import lynchet.server.keep.OwnerOnly;
import lynchet.server.keep.Refusal;
import lynchet.server.keep.Room;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.FileSystemUtils;

/**
 * Copies of the club's data, taken while everybody goes on writing. Each is read back before it counts; so many of the
 * latest are kept.
 */
@Service
public class Copies {

    static final int KEPT = 14;

    private static final Logger LOG = LoggerFactory.getLogger(Copies.class);
    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("'club-'yyyy-MM-dd-HHmmss");
    private static final Pattern COPY = Pattern.compile("club-\\d{4}-\\d\\d-\\d\\d-\\d{6}(\\.unread)?\\.zip");

    private final Disk disk;
    private final Durable durable;
    private final Room room;
    private final JdbcTemplate jdbc;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final ReadThrough whole;
    private final Path folder;
    private final boolean isFile;

    Copies(
            Disk disk,
            Durable durable,
            Room room,
            JdbcTemplate jdbc,
            PlatformTransactionManager transactions,
            Clock clock,
            ReadThrough whole,
            @Value("${lynchet.data}") Path data,
            @Value("${spring.datasource.url}") String url) {
        this.disk = disk;
        this.durable = durable;
        this.room = room;
        this.jdbc = jdbc;
        this.transaction = new TransactionTemplate(transactions);
        transaction.setReadOnly(true);
        transaction.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
        this.clock = clock;
        this.whole = whole;
        this.folder = data.resolve("copies");
        this.isFile = H2File.isNamedBy(url);
    }

    /**
     * One copy.
     *
     * @param isReadBack whether it was opened again after it was written, and every row of it is as it was in the club
     */
    record CopyView(String name, Instant at, long bytes, boolean isReadBack) {}

    /** Names of the copies there are, the newest first. */
    public List<String> names() {
        return all().stream().map(CopyView::name).toList();
    }

    /** The copies there are, the newest first. */
    List<CopyView> all() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(
                            file -> COPY.matcher(file.getFileName().toString()).matches())
                    .map(Copies::view)
                    .sorted(Comparator.comparing(CopyView::name).reversed())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static CopyView view(Path file) {
        try {
            String name = file.getFileName().toString();
            return new CopyView(
                    name, Files.getLastModifiedTime(file).toInstant(), Files.size(file), !name.contains(".unread."));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Takes a copy and reads it back; it begins with everything that was acknowledged before. */
    synchronized CopyView take() {
        if (!isFile) {
            throw Refusal.of(
                    HttpStatus.CONFLICT, "NO_FILE", null, "This club is kept in memory only; there is no file.");
        }
        String name = NAME.format(LocalDateTime.now(clock));
        Path part = folder.resolve(name + ".part");
        Path unread = folder.resolve(name + ".unread.zip");
        try {
            Files.createDirectories(folder);
            OwnerOnly.close(folder);
            Files.deleteIfExists(part);
            room.ask();
            long writes = durable.writes();
            Tables before = live();
            durable.whileNobodyWrites(() -> disk.copyTo(part)); // one in the middle was once found without its row
            OwnerOnly.close(part);
            Files.move(part, unread, StandardCopyOption.REPLACE_EXISTING);
            Tables copied = CopyFile.readBack(unread).tables();
            boolean isWhole = durable.writes() == writes ? copied.equals(before) : copied.isBetween(before, live());
            if (!isWhole) {
                throw new CopyFile.Unusable("The copy does not hold what the club holds. Take another one.");
            }
            if (!whole.read()) {
                return view(unread); // of damaged data: nothing to go back to
            }
            Path read = folder.resolve(name + ".zip");
            Files.move(unread, read, StandardCopyOption.ATOMIC_MOVE);
            prune(name + ".zip");
            return view(read);
        } catch (IOException e) {
            throw Refusal.of(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "COPY_FAILED",
                    null,
                    "The copy could not be written: " + e.getMessage());
        } catch (DataAccessException damaged) {
            whole.read();
            throw Refusal.of(
                    HttpStatus.INTERNAL_SERVER_ERROR,
                    "COPY_UNREAD",
                    null,
                    "Something in the data file cannot be read, so no copy of it was taken.");
        } catch (CopyFile.Unusable e) {
            LOG.warn("The copy {} was written and could not be read back: {}", unread, e.getMessage());
            throw Refusal.of(HttpStatus.INTERNAL_SERVER_ERROR, "COPY_UNREAD", null, e.getMessage());
        }
    }

    private Tables live() {
        return transaction.execute(status -> jdbc.execute((ConnectionCallback<Tables>) Tables::of));
    }

    /** What a stop in the middle of a copy has left. */
    @EventListener(ApplicationReadyEvent.class)
    void tidy() throws IOException {
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (Stream<Path> files = Files.list(folder)) {
            for (Path left : files.filter(Copies::isLeft).toList()) {
                FileSystemUtils.deleteRecursively(left);
            }
        }
    }

    private static boolean isLeft(Path file) {
        String name = file.getFileName().toString();
        return name.endsWith(".part") || name.startsWith(".reading-");
    }

    /** What was not finished, and what is older than those that are kept; a copy that is dated ahead is as good as old. */
    private void prune(String fresh) throws IOException {
        tidy();
        Instant now = clock.instant();
        List<CopyView> latest = all().stream()
                .sorted(Comparator.comparing((CopyView copy) -> !copy.name().equals(fresh))
                        .thenComparing(copy -> copy.at().isAfter(now)))
                .toList();
        for (CopyView old : latest.stream().skip(KEPT).toList()) {
            Files.deleteIfExists(folder.resolve(old.name()));
        }
    }

    /** @throws Refusal 404 if there is no such copy */
    Path file(String name) {
        return Optional.of(name)
                .filter(asked -> COPY.matcher(asked).matches())
                .map(folder::resolve)
                .filter(Files::isRegularFile)
                .orElseThrow(() -> Refusal.missing("copy", name));
    }

    /** The latest that can be put back; empty: there is none. */
    Optional<Path> lastGood() {
        return all().stream().filter(CopyView::isReadBack).findFirst().map(copy -> folder.resolve(copy.name()));
    }

    Optional<Instant> newestBefore(Instant now) {
        return all().stream()
                .filter(CopyView::isReadBack)
                .map(CopyView::at)
                .filter(at -> !at.isAfter(now))
                .findFirst();
    }
}

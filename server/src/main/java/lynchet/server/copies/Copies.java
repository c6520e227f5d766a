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
import lynchet.server.keep.OwnerOnly;
import lynchet.server.keep.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

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
    private final Clock clock;
    private final Whole whole;
    private final Path folder;
    private final boolean isFile;

    Copies(
            Disk disk,
            Clock clock,
            Whole whole,
            @Value("${lynchet.data}") Path data,
            @Value("${spring.datasource.url}") String url) {
        this.disk = disk;
        this.clock = clock;
        this.whole = whole;
        this.folder = data.resolve("copies");
        this.isFile = url.startsWith("jdbc:h2:file:");
    }

    /**
     * One copy.
     *
     * @param isReadBack whether it was opened again after it was written and its people were counted
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
            disk.copyTo(part);
            OwnerOnly.close(part);
            Files.move(part, unread, StandardCopyOption.REPLACE_EXISTING);
            CopyFile.readBack(unread);
            Path read = folder.resolve(name + ".zip");
            Files.move(unread, read, StandardCopyOption.ATOMIC_MOVE);
            if (whole.read()) {
                prune();
            }
            return view(read);
        } catch (IOException e) {
            throw Refusal.of(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "COPY_FAILED",
                    null,
                    "The copy could not be written: " + e.getMessage());
        } catch (CopyFile.Unusable e) {
            LOG.warn("The copy {} was written and could not be read back: {}", unread, e.getMessage());
            throw Refusal.of(HttpStatus.INTERNAL_SERVER_ERROR, "COPY_UNREAD", null, e.getMessage());
        }
    }

    /** What was not finished, and what is older than those that are kept. */
    private void prune() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path part :
                    files.filter(file -> file.toString().endsWith(".part")).toList()) {
                Files.delete(part);
            }
        }
        for (CopyView old : all().stream().skip(KEPT).toList()) {
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

    Optional<Instant> newestBefore(Instant now) {
        return all().stream()
                .filter(CopyView::isReadBack)
                .map(CopyView::at)
                .filter(at -> !at.isAfter(now))
                .findFirst();
    }
}

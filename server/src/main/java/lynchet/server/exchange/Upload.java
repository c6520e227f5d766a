package lynchet.server.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import lynchet.server.keep.Refusal;
import org.springframework.http.HttpStatus;

/** A file that somebody sends, on the disk while it is looked at; gone when it is closed. */
record Upload(Path path) implements AutoCloseable {

    /** Ten times what a large club of five years comes to. */
    private static final long MOST_BYTES = 4L << 30;

    static Upload of(InputStream body) throws IOException {
        Path file = Files.createTempFile("lynchet-", ".json");
        try (OutputStream out = Files.newOutputStream(file)) {
            byte[] some = new byte[1 << 16];
            long all = 0;
            for (int n = body.read(some); n >= 0; n = body.read(some)) {
                all += n;
                if (all > MOST_BYTES) {
                    throw Refusal.of(
                            HttpStatus.CONTENT_TOO_LARGE,
                            "TOO_LARGE",
                            "/",
                            "The file is larger than " + (MOST_BYTES >> 30) + " GB. Nothing was changed.");
                }
                write(out, some, n);
            }
        } catch (IOException | RuntimeException broken) {
            Files.deleteIfExists(file);
            throw broken;
        }
        return new Upload(file);
    }

    private static void write(OutputStream out, byte[] some, int n) {
        try {
            out.write(some, 0, n);
        } catch (IOException full) {
            throw Refusal.of(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "DISK_FULL",
                    null,
                    "There is no room on the disk to put this file down while it is looked at. Nothing was changed.");
        }
    }

    /** Closes it where nobody waits for why it cannot be. */
    void drop() {
        path.toFile().delete();
    }

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(path);
    }
}

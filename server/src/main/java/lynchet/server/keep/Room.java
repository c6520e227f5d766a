package lynchet.server.keep;

import java.nio.file.Path;
import java.util.function.LongSupplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * The room that is left on the disk where the club is kept. Nothing new is taken while there is little: a database that finds
 * none in the middle of a write closes, and what it was about to answer is not known any more.
 */
@Component
public class Room {

    /** Bytes that stay free; what is written between two looks, and what the database rearranges by itself, is far less. */
    static final long LEAST = 20L << 20;

    /** An archive that is taken in becomes at most so many times as large in the data file. */
    private static final int GROWS = 4;

    private volatile LongSupplier left;

    @Autowired
    Room(@Value("${spring.datasource.url}") String url, @Value("${lynchet.data}") String data) {
        this(H2File.isNamedBy(url) ? Path.of(data).toFile()::getUsableSpace : () -> Long.MAX_VALUE);
    }

    Room(LongSupplier left) {
        this.left = left;
    }

    /** Another measure, for a disk that cannot be filled to try it. */
    void measuredBy(LongSupplier measure) {
        left = measure;
    }

    /** Whether nothing new is taken. */
    public boolean isShort() {
        return left.getAsLong() < LEAST;
    }

    /** @throws Refusal 507 while there is too little room for a change of the usual size */
    public void ask() {
        ask(0);
    }

    /**
     * @param sent bytes of the file that is to be taken in
     * @throws Refusal 507 while there is too little room for it
     */
    public void ask(long sent) {
        if (left.getAsLong() < LEAST + GROWS * sent) {
            throw Refusal.of(
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "DISK_FULL",
                    null,
                    "The disk that the club is kept on is full, so nothing was changed. It goes on once there is room again: "
                            + "the head coach can free some.");
        }
    }
}

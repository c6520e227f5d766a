package lynchet.server.keep;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.http.HttpStatus;

/**
 * Requests whose body has not come yet. Each holds a thread, so few of them wait at once, fewer of one address, and fewest of
 * strangers; and none waits long.
 */
final class WaitingBodies {

    private static final int OF_AN_ADDRESS = 32;
    private static final int OF_A_STRANGERS_ADDRESS = 4;
    private static final int OF_STRANGERS = 24;
    private static final long SECONDS = 10;

    /** Somebody who sends slowly but steadily gets a second more for so much. */
    private static final long BYTES_A_SECOND = 20_000;

    private final AtomicInteger strangers = new AtomicInteger();
    private final ConcurrentMap<String, Integer> addresses = new ConcurrentHashMap<>();

    /** Something that waits for bytes. */
    interface Reading {
        int read() throws IOException;
    }

    /** @throws Refusal 429 while too many wait already */
    int in(HttpServletRequest request, Reading reading) throws IOException {
        boolean isStranger = request.getSession(false) == null;
        String address = (isStranger ? "stranger " : "") + request.getRemoteAddr();
        int ofAddress = addresses.merge(address, 1, Integer::sum);
        int ofStrangers = isStranger ? strangers.incrementAndGet() : 0;
        try {
            if (ofAddress > (isStranger ? OF_A_STRANGERS_ADDRESS : OF_AN_ADDRESS) || ofStrangers > OF_STRANGERS) {
                throw Refusal.of(
                        HttpStatus.TOO_MANY_REQUESTS,
                        "TOO_MANY_WAIT",
                        null,
                        "Too many from your place on the network send something slowly. Try again in a moment.");
            }
            return reading.read();
        } finally {
            addresses.computeIfPresent(address, (key, some) -> some == 1 ? null : some - 1);
            if (isStranger) {
                strangers.decrementAndGet();
            }
        }
    }

    /**
     * @param began {@link System#nanoTime()} when the first byte was asked for
     * @throws Refusal 408 when it takes too long
     */
    void inTime(long began, long read) {
        long seconds = TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - began);
        if (seconds > SECONDS + read / BYTES_A_SECOND) {
            throw Refusal.of(
                    HttpStatus.REQUEST_TIMEOUT,
                    "TOO_SLOW",
                    null,
                    "What was sent came too slowly. Nothing was changed; send it again.");
        }
    }
}

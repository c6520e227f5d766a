package lynchet.server.house;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.stereotype.Component;

/**
 * Slows wrong tries, by account and by address, and never locks anybody out: after some wrong ones the next try must
 * wait 1, 2, 4 … at most 30 seconds.
 */
@Component
class SignInBrake {

    private static final long LONGEST_SECONDS = 30;

    private record Tries(int wrong, Instant last) {}

    private final Cache<String, Tries> tries = Caffeine.newBuilder()
            .maximumSize(10_000)
            .expireAfterWrite(Duration.ofMinutes(15))
            .build();
    private final Clock clock;

    SignInBrake() {
        this(Clock.systemUTC());
    }

    SignInBrake(Clock clock) {
        this.clock = clock;
    }

    /** Seconds to wait before another try; 0: go ahead, as for the first {@code freeTries} wrong ones. */
    long secondsToWait(String key, int freeTries) {
        Tries so = tries.getIfPresent(key);
        if (so == null || so.wrong() < freeTries) {
            return 0;
        }
        long pause = Math.min(LONGEST_SECONDS, 1L << Math.min(10, so.wrong() - freeTries));
        long waited = Duration.between(so.last(), clock.instant()).toSeconds();
        return Math.max(0, pause - waited);
    }

    void wrong(String key) {
        tries.asMap().merge(key, new Tries(1, clock.instant()), (a, b) -> new Tries(a.wrong() + 1, clock.instant()));
    }

    void right(String key) {
        tries.invalidate(key);
    }
}

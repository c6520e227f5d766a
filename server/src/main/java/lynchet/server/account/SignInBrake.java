package lynchet.server.account;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import lynchet.server.keep.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Slows wrong tries and never locks anybody out: no wait is longer than half a minute. A try is counted before it is looked
 * at, so that many at once are not looked at for nothing, and a handful are looked at in the same moment.
 *
 * <p>Whose tries count for whom: a device on which the account came in before is measured by its own. Elsewhere they are
 * counted by account and address together. An account that is guessed at from many addresses is slowed for those that
 * guessed wrong before; an address that tries many names is slowed for further names.
 */
@Component
class SignInBrake {

    static final int FREE = 5;
    static final int FREE_FROM_ANYWHERE = 20;
    static final int FREE_NAMES = 10;
    private static final long LONGEST_SECONDS = 30;
    private static final int AT_ONCE = 4;
    private static final long PATIENCE_SECONDS = 10;
    private static final Set<String> WRONG = Set.of("WRONG_PASSWORD", "CODE_WRONG", "SECOND_WRONG");

    /**
     * Who tries what.
     *
     * @param account or what else is guessed at; without case
     * @param device known as one on which this account came in before; null: it is not
     */
    record Tried(String account, String address, @Nullable String device) {
        Tried {
            account = account.strip().toLowerCase(Locale.ROOT);
        }

        private String own() {
            return device == null ? "at " + account + " from " + address : "at " + account + " on " + device;
        }
    }

    /** Too many were wrong: another one has to wait. */
    static final class TooSoon extends RuntimeException {

        private static final long serialVersionUID = 1L;

        final long seconds;

        private TooSoon(long seconds) {
            super(null, null, false, false);
            this.seconds = seconds;
        }

        Refusal refusal() {
            return Refusal.of(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "SLOW_DOWN",
                    "/password",
                    seconds == 1
                            ? "Too many wrong tries. Wait a second and try again."
                            : "Too many wrong tries. Wait " + seconds + " seconds and try again.");
        }
    }

    private record Tries(int wrong, long last) {}

    private final LongSupplier nanos;
    private final Cache<String, Tries> tries;
    private final Semaphore known = new Semaphore(AT_ONCE, true);
    private final Semaphore strangers = new Semaphore(AT_ONCE, true);

    SignInBrake() {
        this(System::nanoTime);
    }

    /** @param nanos a clock that only goes forward, whatever the machine's clock is set to */
    SignInBrake(LongSupplier nanos) {
        this.nanos = nanos;
        this.tries = Caffeine.newBuilder()
                .maximumSize(50_000)
                .ticker(nanos::getAsLong)
                .expireAfterWrite(Duration.ofMinutes(15))
                .build();
    }

    /**
     * Looks whether a try is right.
     *
     * @param look refuses with {@link #WRONG} where it is not
     * @throws TooSoon where it has to wait, and is not looked at
     */
    <T> T once(Tried tried, Supplier<T> look) {
        boolean isFreshName = count(tried);
        Semaphore turn = tried.device() == null ? strangers : known;
        boolean isWrong = false;
        boolean isRight = false;
        try {
            if (!turn.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
                throw new TooSoon(1);
            }
            try {
                T seen = look.get();
                isRight = true;
                return seen;
            } catch (Refusal refused) {
                isWrong = isWrong(refused);
                throw refused;
            } finally {
                turn.release();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new TooSoon(1);
        } finally {
            if (!isWrong) {
                forgive(tried, isFreshName, isRight);
            }
        }
    }

    static boolean isWrong(Refusal refused) {
        return WRONG.contains(refused.code());
    }

    /** Counts a try as wrong until it turns out to be right; says whether it is the first of this account from this address. */
    private synchronized boolean count(Tried tried) {
        boolean isFreshName = tried.device() == null && tries.getIfPresent(tried.own()) == null;
        long wait = toWait(tried.own(), FREE);
        if (tried.device() == null && tries.getIfPresent("from " + tried.address()) != null) {
            wait = Math.max(wait, toWait("at " + tried.account(), FREE_FROM_ANYWHERE));
            wait = Math.max(wait, isFreshName ? toWait("from " + tried.address(), FREE_NAMES) : 0);
        }
        if (wait > 0) {
            throw new TooSoon(wait);
        }
        add(tried.own(), 1);
        if (tried.device() == null) {
            add("at " + tried.account(), 1);
            add("from " + tried.address(), isFreshName ? 1 : 0);
        }
        return isFreshName;
    }

    private long toWait(String key, int free) {
        Tries so = tries.getIfPresent(key);
        if (so == null || so.wrong() < free) {
            return 0;
        }
        long pause = Math.min(LONGEST_SECONDS, 1L << Math.min(10, so.wrong() - free));
        long waited = TimeUnit.NANOSECONDS.toSeconds(nanos.getAsLong() - so.last());
        return Math.max(0, pause - waited);
    }

    private void add(String key, int some) {
        Tries so = tries.getIfPresent(key);
        tries.put(key, new Tries((so == null ? 0 : so.wrong()) + some, nanos.getAsLong()));
    }

    /** What was right, or was not looked at, was no wrong try; and nobody who is in has wrong ones behind them. */
    private synchronized void forgive(Tried tried, boolean isFreshName, boolean isRight) {
        Tries own = tries.getIfPresent(tried.own());
        less(tried.own(), isRight && own != null ? own.wrong() : 1);
        if (tried.device() == null) {
            less("at " + tried.account(), 1);
            less("from " + tried.address(), isFreshName ? 1 : 0);
        }
    }

    private void less(String key, int some) {
        Tries so = tries.getIfPresent(key);
        if (so != null && so.wrong() <= some) {
            tries.invalidate(key);
        } else if (so != null) {
            tries.put(key, new Tries(so.wrong() - some, so.last()));
        }
    }
}

package lynchet.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.IntStream;
import lynchet.server.account.SignInBrake.TooSoon;
import lynchet.server.account.SignInBrake.Tried;
import lynchet.server.keep.Refusal;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpStatus;

/** Wrong tries are slowed where they are made, and nobody else is held by them. */
class SignInBrakeTest {

    private final AtomicLong nanos = new AtomicLong(TimeUnit.DAYS.toNanos(3));
    private final SignInBrake brake = new SignInBrake(nanos::get);

    private static Tried from(String address, String account) {
        return new Tried(account, address, null);
    }

    private void later(long seconds) {
        nanos.addAndGet(TimeUnit.SECONDS.toNanos(seconds));
    }

    private void wrong(Tried tried) {
        assertThatThrownBy(() -> brake.once(tried, SignInBrakeTest::refuse)).isInstanceOf(Refusal.class);
    }

    private static <T> T refuse() {
        throw Refusal.of(HttpStatus.UNAUTHORIZED, "WRONG_PASSWORD", "/password", "No.");
    }

    private long mustWait(Tried tried) {
        return catchThrowable(() -> brake.once(tried, () -> "in")) instanceof TooSoon soon ? soon.seconds : 0;
    }

    @Test
    void theWaitDoublesUpToHalfAMinuteWhateverTheClockOfTheMachineSays() {
        Tried ana = from("10.0.0.1", "Ana");
        for (int n = 0; n < SignInBrake.FREE; n++) {
            wrong(ana);
        }
        for (long pause : new long[] {1, 2, 4, 8, 16, 30, 30}) {
            assertThat(mustWait(from("10.0.0.1", " aNA "))).isEqualTo(pause);
            later(pause - 1);
            assertThat(mustWait(ana)).isEqualTo(1);
            later(1);
            wrong(ana);
        }
        later(30);
        assertThat(brake.once(ana, () -> "in")).isEqualTo("in");
        wrong(ana);
        assertThat(mustWait(ana)).as("coming in wipes out the wrong tries").isZero();
    }

    /** What holds the guesser holds neither the owner on a known device, nor elsewhere, nor anybody beside the guesser. */
    @Test
    void nobodyIsHeldBySomebodyElsesGuessing() {
        for (int minute = 0; minute < 60; minute++) {
            Throwable seen = catchThrowable(() -> brake.once(from("10.0.0.9", "head"), SignInBrakeTest::refuse));
            assertThat(seen).isNotNull();
            later(1);
        }
        assertThat(mustWait(from("10.0.0.9", "head"))).isPositive();
        assertThat(mustWait(new Tried("head", "10.0.0.9", "my-phone"))).isZero();
        assertThat(mustWait(from("10.0.0.2", "head"))).isZero();
        assertThat(mustWait(from("10.0.0.9", "coach"))).isZero();
    }

    /** From many addresses: slow for those that guessed wrong, at once for one that never did. */
    @Test
    void anAccountThatIsGuessedAtFromEverywhereIsSlowedForThoseThatGuess() {
        for (int n = 0; n < SignInBrake.FREE_FROM_ANYWHERE; n++) {
            wrong(from("10.0.1." + n, "head"));
        }
        assertThat(mustWait(from("10.0.1.0", "head"))).isEqualTo(1);
        assertThat(mustWait(from("10.0.2.1", "head"))).isZero();
    }

    @Test
    void anAddressThatTriesManyNamesIsSlowedForFurtherNames() {
        for (int n = 0; n < SignInBrake.FREE_NAMES; n++) {
            wrong(from("10.0.0.3", "name" + n));
        }
        assertThat(mustWait(from("10.0.0.3", "another"))).isEqualTo(1);
        assertThat(mustWait(from("10.0.0.3", "name0"))).isZero();
        assertThat(mustWait(from("10.0.0.4", "another"))).isZero();
    }

    /** A device that guesses is slowed like everybody, and only it. */
    @Test
    void aKnownDeviceHasABrakeOfItsOwn() {
        Tried phone = new Tried("head", "10.0.0.5", "phone");
        for (int n = 0; n < SignInBrake.FREE; n++) {
            wrong(phone);
        }
        assertThat(mustWait(phone)).isEqualTo(1);
        assertThat(mustWait(new Tried("head", "10.0.0.5", "tablet"))).isZero();
        assertThat(mustWait(from("10.0.0.5", "head"))).isZero();
    }

    /** Counted before they are looked at, and a handful in the same moment. */
    @Test
    void ofTwoHundredAtOnceAFewAreLookedAt() throws Exception {
        AtomicInteger looked = new AtomicInteger();
        AtomicInteger now = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        CountDownLatch go = new CountDownLatch(1);
        ExecutorService guessers = Executors.newFixedThreadPool(100);
        try {
            List<Callable<Object>> guesses = IntStream.range(0, 200)
                    .<Callable<Object>>mapToObj(n -> () -> {
                        go.await();
                        return catchThrowable(() -> brake.once(from("10.0.0.6", "victim" + n % 40), () -> {
                            looked.incrementAndGet();
                            most.accumulateAndGet(now.incrementAndGet(), Math::max);
                            Thread.yield();
                            now.decrementAndGet();
                            return refuse();
                        }));
                    })
                    .toList();
            var answers = guesses.stream().map(guessers::submit).toList();
            go.countDown();
            for (var answer : answers) {
                answer.get();
            }
        } finally {
            guessers.shutdownNow();
        }
        assertThat(looked.get()).isBetween(1, SignInBrake.FREE_NAMES * SignInBrake.FREE);
        assertThat(most.get()).isLessThanOrEqualTo(4);
    }

    /** What was refused for another reason, such as a name too long, was no guess. */
    @Test
    void whatWasNoGuessIsNotCounted() {
        Tried first = from("10.0.0.7", "first");
        for (int n = 0; n < 20; n++) {
            assertThatThrownBy(() -> brake.once(first, () -> {
                        throw Refusal.bad("ID_FORM", "/name", "No.");
                    }))
                    .isInstanceOf(Refusal.class);
        }
        assertThat(mustWait(first)).isZero();
    }

    @Test
    void aHouseIsOnePlaceHoweverManyAddressesItHas() {
        assertThat(Addresses.counted("2001:db8:1:2:3:4:5:6")).isEqualTo(Addresses.counted("2001:db8:1:2::9"));
        assertThat(Addresses.counted("2001:db8:1:3::9")).isNotEqualTo(Addresses.counted("2001:db8:1:2::9"));
        assertThat(Addresses.counted("10.0.0.1")).isEqualTo("10.0.0.1");
    }
}

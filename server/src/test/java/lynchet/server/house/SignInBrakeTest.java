package lynchet.server.house;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Map;
import lynchet.server.HttpUser;
import lynchet.server.RunningClub;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.context.ConfigurableApplicationContext;

/** Wrong tries are slowed by account and by address. */
@Execution(ExecutionMode.CONCURRENT)
class SignInBrakeTest {

    private static final class HandClock extends Clock {
        private Instant now = Instant.EPOCH;

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    private final HandClock clock = new HandClock();
    private final SignInBrake brake = new SignInBrake(clock);

    @Test
    void theWaitDoublesUpToHalfAMinuteAndAnotherOneIsFree() {
        for (int wrong = 0; wrong < 3; wrong++) {
            assertThat(brake.secondsToWait("ana", 3)).isZero();
            brake.wrong("ana");
        }
        for (long pause : new long[] {1, 2, 4, 8, 16, 30, 30}) {
            assertThat(brake.secondsToWait("ana", 3)).isEqualTo(pause);
            clock.now = clock.now.plusSeconds(pause - 1);
            assertThat(brake.secondsToWait("ana", 3)).isEqualTo(1);
            clock.now = clock.now.plusSeconds(1);
            assertThat(brake.secondsToWait("ana", 3)).isZero();
            brake.wrong("ana");
        }
        assertThat(brake.secondsToWait("bo", 3)).isZero();
        brake.right("ana");
        assertThat(brake.secondsToWait("ana", 3)).isZero();
    }

    /** Twenty names tried from one address: the next must wait, whoever it is. */
    @Test
    void anAddressThatTriesManyNamesIsSlowed() {
        try (ConfigurableApplicationContext club = RunningClub.another()) {
            HttpUser stranger = RunningClub.strangerOf(club);
            stranger.get("/api/session/welcome").expect(200);
            for (int i = 0; i < 20; i++) {
                stranger.post("/api/session", Map.of("name", "nobody-" + i, "password", "not-this-one"))
                        .expect(401);
            }
            HttpUser.Answer slowed = stranger.post("/api/session", Map.of("name", "head", "password", "saltmarsh"))
                    .expect(429);
            assertThat(slowed.code()).isEqualTo("SLOW_DOWN");
        }
    }
}

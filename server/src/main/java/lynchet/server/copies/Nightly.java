package lynchet.server.copies;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.concurrent.TimeUnit;
import lynchet.server.keep.Background;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;

/** Takes a copy each night; by day when the last one is older than a day, since many a house is dark at night. */
@Component
@Lazy(false)
class Nightly {

    private static final Logger LOG = LoggerFactory.getLogger(Nightly.class);
    private static final int LOOK_EVERY_MINUTES = 5;
    private static final int HOUR = 3;

    private final Copies copies;
    private final Clock clock;

    Nightly(@Lazy Copies copies, Clock clock, Background background, @Value("${lynchet.copies}") boolean isOn) {
        this.copies = copies;
        this.clock = clock;
        if (isOn) {
            background
                    .thread("copies")
                    .scheduleWithFixedDelay(this::look, LOOK_EVERY_MINUTES, LOOK_EVERY_MINUTES, TimeUnit.MINUTES);
        }
    }

    private void look() {
        try {
            if (isDue(
                    copies.newestBefore(clock.instant()).orElse(null),
                    clock.instant(),
                    LocalDateTime.now(clock).getHour())) {
                copies.take();
            }
        } catch (RuntimeException failed) {
            LOG.warn("The nightly copy was not taken; it is tried again.", failed);
        }
    }

    /** @param newest when the last copy was taken; null: there is none */
    static boolean isDue(Instant newest, Instant now, int hour) {
        if (newest == null) {
            return true;
        }
        Duration old = Duration.between(newest, now);
        return old.compareTo(Duration.ofHours(24)) > 0 || hour == HOUR && old.compareTo(Duration.ofHours(12)) > 0;
    }
}

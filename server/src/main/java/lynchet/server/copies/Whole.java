package lynchet.server.copies;

import jakarta.annotation.PreDestroy;
import java.io.OutputStream;
import java.time.Clock;
import java.time.Instant;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import lynchet.server.club.Exports;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Reads everything that is kept once through, since the data file opens and works although something inside it is damaged
 * that nobody has asked for yet: a minute after each start, beside the work, and before old copies are let go of.
 */
@Component
@Lazy(false)
class Whole {

    private static final Logger LOG = LoggerFactory.getLogger(Whole.class);

    private final ObjectProvider<Exports> exports;
    private final Clock clock;
    private final boolean isOn;
    private final ScheduledThreadPoolExecutor later = new ScheduledThreadPoolExecutor(1, work -> {
        Thread thread = new Thread(work, "reading-through");
        thread.setDaemon(true);
        return thread;
    });
    private volatile WholeView last;

    Whole(ObjectProvider<Exports> exports, Clock clock, @Value("${lynchet.copies}") boolean isOn) {
        this.exports = exports;
        this.clock = clock;
        this.isOn = isOn;
        later.setExecuteExistingDelayedTasksAfterShutdownPolicy(false);
    }

    /**
     * What came of it.
     *
     * @param at when it was read through; null: that is still being done, or is not done here
     * @param damage what is wrong and the way back; null: nothing
     */
    record WholeView(@Nullable Instant at, @Nullable String damage) {}

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (isOn) {
            later.schedule(this::read, 1, TimeUnit.MINUTES); // whoever opens the first page comes first
        }
    }

    /** Reads everything now; says whether all of it could be read. */
    boolean read() {
        try {
            exports.getObject().all(OutputStream.nullOutputStream());
            last = new WholeView(clock.instant(), null);
            return true;
        } catch (RuntimeException | StackOverflowError damaged) {
            String why =
                    "Something in the data file is damaged and cannot be read. ./lynchet restore FILE puts a copy back;"
                            + " the nightly ones stand in the folder copies, and none of them is let go of any more.";
            last = new WholeView(clock.instant(), why);
            LOG.error("{}", why, damaged);
            return false;
        }
    }

    WholeView view() {
        WholeView known = last;
        return known == null ? new WholeView(null, null) : known;
    }

    /** Lets a reading end; one that is interrupted would close the data file under everybody. */
    @PreDestroy
    void close() throws InterruptedException {
        later.shutdown();
        later.awaitTermination(10, TimeUnit.SECONDS);
    }
}

package lynchet.server.copies;

import java.io.OutputStream;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.concurrent.TimeUnit;
import lynchet.server.club.Exports;
import lynchet.server.keep.Background;
import lynchet.server.keep.Durable;
import lynchet.server.keep.Room;
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
 * that nobody has asked for yet: soon after each start, beside the work, and before old copies are removed.
 */
@Component
@Lazy(false)
class ReadThrough {

    private static final Logger LOG = LoggerFactory.getLogger(ReadThrough.class);

    /** Those who open the first page come first. */
    private static final int SECONDS_AFTER_THE_START = 10;

    private final ObjectProvider<Exports> exports;
    private final ObjectProvider<Copies> copies;
    private final Durable durable;
    private final Room room;
    private final Clock clock;
    private final boolean isOn;
    private final Background background;
    private volatile Reading last;

    ReadThrough(
            ObjectProvider<Exports> exports,
            ObjectProvider<Copies> copies,
            Durable durable,
            Room room,
            Clock clock,
            Background background,
            @Value("${lynchet.copies}") boolean isOn) {
        this.exports = exports;
        this.copies = copies;
        this.durable = durable;
        this.room = room;
        this.clock = clock;
        this.background = background;
        this.isOn = isOn;
    }

    /**
     * What came of it.
     *
     * @param at when it was read through; null: that is still being done, or is not done here
     * @param damage what is wrong and the way back; null: nothing
     * @param isFull whether the disk is full, so that nothing new is taken
     */
    record ReadThroughView(@Nullable Instant at, @Nullable String damage, boolean isFull) {}

    private record Reading(Instant at, @Nullable String damage) {}

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (isOn) {
            background.thread("reading-through").schedule(this::read, SECONDS_AFTER_THE_START, TimeUnit.SECONDS);
        }
    }

    /** Reads everything now; says whether all of it could be read. From damaged data is read and nothing is written to it. */
    boolean read() {
        try {
            exports.getObject().all(OutputStream.nullOutputStream());
            last = new Reading(clock.instant(), null);
            durable.takeAgain();
            return true;
        } catch (RuntimeException | StackOverflowError damaged) {
            if (durable.isGone(damaged)) {
                return false; // a full disk, and not what is on it; it is read once the data is open again
            }
            String why =
                    "Something in the data file is damaged, so nothing more is written to it. Stop Lynchet and put the last"
                            + " copy back: ./lynchet restore "
                            + copies.getObject().lastGood().map(Path::toString).orElse("FILE")
                            + ". Until then no old copy is removed.";
            last = new Reading(clock.instant(), why);
            durable.takeNoMore();
            LOG.error("{}", why, damaged);
            return false;
        }
    }

    ReadThroughView view() {
        Reading known = last;
        return new ReadThroughView(
                known == null ? null : known.at(), known == null ? null : known.damage(), room.isShort());
    }
}

package lynchet.server.club;

import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import lynchet.core.club.Club;
import lynchet.core.club.Part;
import lynchet.core.club.Parts;
import lynchet.server.keep.Background;
import lynchet.server.keep.Reopened;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What the club teaches, read as one snapshot that is published after the commit that changed it. Writes take one lock,
 * since its rules cross its parts.
 */
@Service
public class TeachingSnapshots {

    private final Stores stores;
    private final ClubSettings settings;
    private final TransactionTemplate transaction;
    private final Background background;
    private final ReentrantLock writing = new ReentrantLock();
    private volatile Snapshot current;
    private long revision;

    TeachingSnapshots(Stores stores, ClubSettings settings, TransactionTemplate transaction, Background background) {
        this.stores = stores;
        this.settings = settings;
        this.transaction = transaction;
        this.background = background;
    }

    /** The present revision; inside a transaction that changed it, what stands for everybody else. */
    public Snapshot now() {
        Snapshot seen = current;
        return seen != null
                ? seen
                : inTurn(() -> {
                    if (current == null) {
                        publish(transaction.execute(status -> read()));
                    }
                    return current;
                });
    }

    /** Reads it while the person who came first still signs in; should that fail, the person who asks next is told why. */
    @EventListener(ApplicationReadyEvent.class)
    void readAhead() {
        background.thread("taught").submit(this::now);
    }

    @EventListener(Reopened.class)
    void readAgain() {
        inTurn(() -> current = null);
    }

    private Club read() {
        Club club = Club.named(settings.name());
        for (Part<?> part : Parts.taught().toList()) {
            club = read(club, part);
        }
        return club;
    }

    private <T> Club read(Club club, Part<T> part) {
        return club.with(part, stores.of(part).all());
    }

    private void publish(Club taught) {
        current = new Snapshot(taught, ++revision);
    }

    /** Runs a write, its transaction included, while nobody else writes what is taught. */
    public <T> T inTurn(Supplier<T> write) {
        writing.lock();
        try {
            return write.get();
        } finally {
            writing.unlock();
        }
    }

    /** Publishes a checked state once the running transaction has committed. */
    void publishAfterCommit(Snapshot next) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                inTurn(() -> current = next);
            }
        });
    }

    /** A revision that is not published yet. */
    Snapshot next(Club taught) {
        return new Snapshot(taught, ++revision);
    }
}

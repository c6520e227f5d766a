package lynchet.server.keep;

import jakarta.persistence.PersistenceException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.ReentrantLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.Supplier;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Component;

/**
 * Answers only after what was committed is synced to disk.
 *
 * <p>Commits that wait at the same time share one {@link Disk#sync sync}: whoever holds the lock syncs for everyone who
 * committed before it began.
 */
@Component
public class Durable {

    private final Disk disk;
    private final ReentrantLock syncing = new ReentrantLock();
    private final AtomicLong committed = new AtomicLong();
    private volatile long synced;
    private final ReentrantReadWriteLock whole = new ReentrantReadWriteLock(true);

    Durable(Disk disk) {
        this.disk = disk;
    }

    /** Runs a transaction and returns its result once it is on disk. */
    public <T> T write(Supplier<T> transaction) {
        T result;
        whole.readLock().lock();
        try {
            result = retryOnce(transaction);
        } finally {
            whole.readLock().unlock();
        }
        return synced(result);
    }

    /** Two devices may send the same thing in the same moment: the second look finds what the first one kept. */
    private static <T> T retryOnce(Supplier<T> transaction) {
        try {
            return transaction.get();
        } catch (DataIntegrityViolationException | ConcurrencyFailureException | PersistenceException overtaken) {
            return transaction.get();
        }
    }

    /**
     * Runs a transaction that reads and rewrites the whole club while nobody else writes, so that what others are told
     * is kept is not among what it throws away.
     */
    public <T> T writeAlone(Supplier<T> transaction) {
        T result;
        whole.writeLock().lock();
        try {
            result = transaction.get();
        } finally {
            whole.writeLock().unlock();
        }
        return synced(result);
    }

    /**
     * How many writes there were. What was read while this stood at a number is still what the club is told as long as it
     * stands there: a write that is not counted yet has not been acknowledged.
     */
    public long writes() {
        return committed.get();
    }

    private <T> T synced(T result) {
        long mine = committed.incrementAndGet();
        syncing.lock();
        try {
            if (synced < mine) {
                long upTo = committed.get();
                disk.sync();
                synced = upTo;
            }
        } finally {
            syncing.unlock();
        }
        return result;
    }
}

package lynchet.server.keep;

import jakarta.persistence.LockTimeoutException;
import jakarta.persistence.OptimisticLockException;
import jakarta.persistence.PersistenceException;
import jakarta.persistence.PessimisticLockException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.ReentrantLock;
import java.util.concurrent.locks.ReentrantReadWriteLock;
import java.util.function.Supplier;
import org.hibernate.exception.ConstraintViolationException;
import org.hibernate.exception.LockAcquisitionException;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Answers only after what was committed is synced to disk.
 *
 * <p>Commits that wait at the same time share one {@link Disk#sync sync}: the person who holds the lock syncs for everyone who
 * committed before it began.
 */
@Component
public class Durable {

    private final Disk disk;
    private final ReentrantLock syncing = new ReentrantLock();
    private final AtomicLong committed = new AtomicLong();
    private volatile long synced;
    private final ReentrantReadWriteLock whole = new ReentrantReadWriteLock(true);

    private final Room room;
    private volatile boolean isClosed;

    Durable(Disk disk, Room room) {
        this.disk = disk;
        this.room = room;
    }

    /**
     * Runs a transaction and returns its result once it is on disk.
     *
     * @throws Refusal 507 while the disk is full, 503 while the data is damaged
     */
    public <T> T write(Supplier<T> transaction) {
        T result;
        ask();
        whole.readLock().lock();
        try {
            result = retryOnce(transaction);
        } finally {
            whole.readLock().unlock();
        }
        return synced(result);
    }

    private void ask() {
        if (isClosed) {
            throw Refusal.of(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "DAMAGED",
                    null,
                    "Something in the data of this club is damaged, so nothing new is taken. The head coach sees the way back.");
        }
        room.ask();
    }

    /** The data is damaged: from now on every write is refused. */
    public void takeNoMore() {
        isClosed = true;
    }

    public void takeAgain() {
        isClosed = false;
    }

    /** Whether something failed because the data file cannot be reached, so that it is not known what was kept. */
    public boolean isGone(Throwable failed) {
        return disk.isGone(failed);
    }

    /** Two devices may send the same thing in the same moment: the second look finds what the first one kept. */
    private static <T> T retryOnce(Supplier<T> transaction) {
        try {
            return transaction.get();
        } catch (DataIntegrityViolationException | ConcurrencyFailureException | PersistenceException failed) {
            if (isOvertaken(failed)) {
                return transaction.get();
            }
            throw failed;
        }
    }

    /** Whether somebody else was faster; nothing else passes by being tried again. */
    private static boolean isOvertaken(RuntimeException failed) {
        return !(failed instanceof PersistenceException)
                || failed instanceof ConstraintViolationException
                || failed instanceof LockAcquisitionException
                || failed instanceof OptimisticLockException
                || failed instanceof PessimisticLockException
                || failed instanceof LockTimeoutException;
    }

    /**
     * Runs a transaction while nobody else writes: one that rewrites the whole club, so that what others are told is kept is
     * not among what it throws away, or one that takes out what a record may point at.
     */
    public <T> T writeAlone(Supplier<T> transaction) {
        T result;
        ask();
        if (whole.getReadHoldCount() > 0) {
            throw new IllegalStateException("a write waits for itself: it cannot be alone inside another one");
        }
        whole.writeLock().lock();
        try {
            result = transaction.get();
        } finally {
            whole.writeLock().unlock();
        }
        return synced(result);
    }

    /** Runs something while nobody writes: what was acknowledged is in the data, and nothing of it is half written. */
    public void whileNobodyWrites(Runnable work) {
        whole.writeLock().lock();
        try {
            work.run();
        } finally {
            whole.writeLock().unlock();
        }
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

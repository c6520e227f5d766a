package lynchet.server.keep;

import java.lang.ref.SoftReference;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Something read from the database and kept until a commit changes it, or until memory is short.
 *
 * <p>Anybody who was reading while a commit came in gets what they read, but it is not remembered.
 */
public final class Remembered<T> {

    /** How often everything was forgotten. */
    private static final AtomicLong ALL = new AtomicLong();

    private final AtomicLong generation = new AtomicLong();
    private volatile long of;
    private volatile SoftReference<T> value = new SoftReference<>(null);

    /** The remembered value, or what {@code read} says now. Inside a transaction that changed it, it is read again. */
    public T get(Supplier<T> read) {
        if (isChangedHere()) {
            return read.get();
        }
        T known = value.get();
        long all = ALL.get();
        if (known != null && of == all) {
            return known;
        }
        long before = generation.get();
        T fresh = read.get();
        if (generation.get() == before) {
            of = all;
            value = new SoftReference<>(fresh);
            if (generation.get() != before) {
                value = new SoftReference<>(null);
            }
        }
        return fresh;
    }

    /** Forgets at once and again after the running transaction, so that what others read meanwhile is not kept. */
    public void changed() {
        forget();
        if (TransactionSynchronizationManager.isSynchronizationActive() && !isChangedHere()) {
            TransactionSynchronizationManager.bindResource(this, true);
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    TransactionSynchronizationManager.unbindResource(Remembered.this);
                    forget();
                }
            });
        }
    }

    /** Whether the running transaction has changed it; what it reads then is not committed and is not for others. */
    private boolean isChangedHere() {
        return TransactionSynchronizationManager.hasResource(this);
    }

    /** What anybody remembers is read again. */
    static void forgetAll() {
        ALL.incrementAndGet();
    }

    private void forget() {
        generation.incrementAndGet();
        value = new SoftReference<>(null);
    }
}

package lynchet.server.keep;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

class RememberedTest {

    private final AtomicInteger stored = new AtomicInteger(1);
    private final Remembered<Integer> remembered = new Remembered<>();

    @Test
    void readsOnceUntilSomethingChanges() {
        assertThat(remembered.get(stored::getAndIncrement)).isEqualTo(1);
        assertThat(remembered.get(stored::getAndIncrement)).isEqualTo(1);
        remembered.changed();
        assertThat(remembered.get(stored::getAndIncrement)).isEqualTo(2);
    }

    @Test
    void whatWasReadWhileSomethingChangedIsNotKept() {
        int old = remembered.get(() -> {
            remembered.changed();
            return 7;
        });
        assertThat(old).isEqualTo(7);
        assertThat(remembered.get(() -> 8)).isEqualTo(8);
    }

    /** Somebody else reads between the change and its commit: they see the old, and it must not stay. */
    @Test
    void whatOthersReadBeforeTheCommitIsForgottenWithIt() {
        TransactionSynchronizationManager.initSynchronization();
        try {
            remembered.changed();
            assertThat(remembered.get(() -> 1)).isEqualTo(1);
            TransactionSynchronizationManager.getSynchronizations()
                    .forEach(s -> s.afterCompletion(TransactionSynchronization.STATUS_COMMITTED));
        } finally {
            TransactionSynchronizationManager.clearSynchronization();
        }
        assertThat(remembered.get(() -> 2)).isEqualTo(2);
    }
}

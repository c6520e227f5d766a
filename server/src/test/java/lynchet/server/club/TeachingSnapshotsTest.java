package lynchet.server.club;

import static org.assertj.core.api.Assertions.assertThat;

import lynchet.core.club.Club;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** What is taught is what was committed: nobody sees it before, and what was rolled back nobody ever does. */
class TeachingSnapshotsTest {

    private final TeachingSnapshots taught = new TeachingSnapshots(null, null, null, null);
    private final Snapshot before = taught.next(Club.named("Before"));

    @BeforeEach
    void publishOne() {
        TransactionSynchronizationManager.initSynchronization();
        taught.publishAfterCommit(before);
        commit();
        TransactionSynchronizationManager.clearSynchronization();
        TransactionSynchronizationManager.initSynchronization();
    }

    @AfterEach
    void clear() {
        TransactionSynchronizationManager.clearSynchronization();
    }

    private static void commit() {
        TransactionSynchronizationManager.getSynchronizations().forEach(TransactionSynchronization::afterCommit);
    }

    @Test
    void aChangeIsSeenOnceItIsCommitted() {
        Snapshot after = taught.next(Club.named("After"));
        taught.publishAfterCommit(after);
        assertThat(taught.now()).isSameAs(before);
        commit();
        assertThat(taught.now()).isSameAs(after);
        assertThat(after.revision()).isGreaterThan(before.revision());
    }

    @Test
    void whatWasRolledBackIsNeverSeen() {
        taught.publishAfterCommit(taught.next(Club.named("After")));
        TransactionSynchronizationManager.getSynchronizations()
                .forEach(one -> one.afterCompletion(TransactionSynchronization.STATUS_ROLLED_BACK));
        assertThat(taught.now()).isSameAs(before);
    }
}

package lynchet.server.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.persistence.PersistenceException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DuplicateKeyException;

/** What is answered is on the disk, and a write of the whole club is alone. */
class DurableTest {

    private final List<String> happened = Collections.synchronizedList(new ArrayList<>());
    private final ExecutorService others = Executors.newFixedThreadPool(4);

    private final class Noted implements Disk {
        @Override
        public void writeAnewAtTheEnd() {}

        @Override
        public void sync() {
            happened.add("sync");
        }

        @Override
        public boolean isGone(Throwable failed) {
            return false;
        }

        @Override
        public void copyTo(Path file) {
            throw new UnsupportedOperationException("not here");
        }
    }

    private final Durable durable = new Durable(new Noted(), new Room(() -> Long.MAX_VALUE));

    @AfterEach
    void stop() {
        others.shutdownNow();
    }

    @Test
    void theAnswerWaitsForTheDisk() {
        assertThat(durable.write(() -> {
                    happened.add("commit");
                    return "kept";
                }))
                .isEqualTo("kept");
        durable.writeAlone(() -> happened.add("alone"));
        assertThat(happened).containsExactly("commit", "sync", "alone", "sync");
    }

    @Test
    void whatFailsIsNotSyncedAndWhatWasOvertakenIsTriedOnceMore() {
        AtomicInteger tries = new AtomicInteger();
        assertThat(durable.<Integer>write(() -> {
                    if (tries.incrementAndGet() == 1) {
                        throw new DuplicateKeyException("somebody was faster");
                    }
                    return tries.get();
                }))
                .isEqualTo(2);
        happened.clear();
        assertThatThrownBy(() -> durable.write(() -> {
                    throw new DuplicateKeyException("again");
                }))
                .isInstanceOf(DuplicateKeyException.class);
        assertThat(happened).isEmpty();
        tries.set(0);
        assertThatThrownBy(() -> durable.write(() -> {
                    tries.incrementAndGet();
                    throw new PersistenceException("a mistake of ours");
                }))
                .isInstanceOf(PersistenceException.class);
        assertThat(tries).as("a mistake is not tried again").hasValue(1);
        assertThatThrownBy(() -> durable.write(() -> durable.writeAlone(() -> "inside")))
                .as("it would wait for itself")
                .isInstanceOf(IllegalStateException.class);
    }

    /** Two may write at once; the person who writes the whole club waits for them, and they for the person who does. */
    @Test
    void aWriteOfTheWholeClubIsAlone() throws Exception {
        CountDownLatch bothIn = new CountDownLatch(2);
        CountDownLatch go = new CountDownLatch(1);
        List<Future<?>> writers = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            writers.add(others.submit(() -> durable.write(() -> {
                bothIn.countDown();
                await(go);
                return happened.add("one");
            })));
        }
        await(bothIn);
        CountDownLatch leave = new CountDownLatch(1);
        Future<?> whole = others.submit(() -> durable.writeAlone(() -> {
            happened.add("whole");
            await(leave);
            return null;
        }));
        waits(whole);
        go.countDown();
        for (Future<?> writer : writers) {
            writer.get(20, TimeUnit.SECONDS);
        }
        Future<?> late = others.submit(() -> durable.write(() -> happened.add("late")));
        waits(late);
        leave.countDown();
        whole.get(20, TimeUnit.SECONDS);
        late.get(20, TimeUnit.SECONDS);
        assertThat(happened.stream().filter(what -> !what.equals("sync")))
                .containsExactly("one", "one", "whole", "late");
    }

    /** It does not come to an end by itself; were it free to, it would long have. */
    private static void waits(Future<?> held) {
        assertThatThrownBy(() -> held.get(300, TimeUnit.MILLISECONDS)).isInstanceOf(TimeoutException.class);
    }

    private static void await(CountDownLatch latch) {
        try {
            assertThat(latch.await(20, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}

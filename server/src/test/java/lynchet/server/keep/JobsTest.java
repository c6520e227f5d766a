package lynchet.server.keep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import lynchet.server.keep.Jobs.JobView;
import lynchet.server.keep.Jobs.State;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.TestingAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;

class JobsTest {

    private final Background background = new Background();
    private final Jobs jobs =
            new Jobs(new Problems(new H2Disk(null, null, null, null, "jdbc:h2:mem:none")), background);

    @AfterEach
    void stop() {
        SecurityContextHolder.clearContext();
        background.letEnd();
    }

    /** Jobs run one after the other, so whatever came before this one has ended. */
    private void untilDone() throws InterruptedException {
        var me = SecurityContextHolder.getContext().getAuthentication();
        as("the last one");
        CountDownLatch last = new CountDownLatch(1);
        jobs.start(Jobs.Kind.IMPORT, "last", progress -> {
            last.countDown();
            return null;
        });
        last.await();
        SecurityContextHolder.getContext().setAuthentication(me);
    }

    private JobView now(JobView job) {
        return jobs.find(job.id()).orElseThrow();
    }

    @Test
    void whatIsDoneSaysWhatCameOfIt() throws InterruptedException {
        JobView job = jobs.start(Jobs.Kind.IMPORT, "count", progress -> {
            progress.at("counting", 3, 3);
            return "three";
        });
        untilDone();
        assertThat(now(job).state()).isEqualTo(State.DONE);
        assertThat(now(job).result()).isEqualTo("three");
    }

    /** Whatever was thrown: out of memory or a stack that ran over is no job that runs for an hour. */
    @Test
    void anErrorEndsAJobAndStandsInTheLog() throws InterruptedException {
        ListAppender<ILoggingEvent> log = new ListAppender<>();
        log.start();
        ((Logger) LoggerFactory.getLogger(Jobs.class)).addAppender(log);
        for (Throwable thrown : List.of(new StackOverflowError(), new IllegalStateException("broken"))) {
            JobView job = jobs.start(Jobs.Kind.IMPORT, "break", progress -> {
                if (thrown instanceof Error error) {
                    throw error;
                }
                throw (RuntimeException) thrown;
            });
            untilDone();
            assertThat(now(job).state()).isEqualTo(State.FAILED);
            assertThat(now(job).problem().getProperties()).containsEntry("code", "BROKEN");
        }
        assertThat(log.list).extracting(ILoggingEvent::getLevel).containsExactly(Level.ERROR, Level.ERROR);
        assertThat(log.list.get(0).getThrowableProxy().getClassName()).contains("StackOverflow");
    }

    @Test
    void whatFailsSaysWhyAndTheNextOneRuns() throws InterruptedException {
        JobView job = jobs.start(Jobs.Kind.IMPORT, "break", progress -> {
            throw Refusal.bad("BAD_LINE", "line 3", "Line 3 is bad.");
        });
        untilDone();
        assertThat(now(job).state()).isEqualTo(State.FAILED);
        assertThat(now(job).problem().getDetail()).isEqualTo("Line 3 is bad.");
        assertThat(now(job).problem().getProperties()).containsEntry("code", "BAD_LINE");
    }

    @Test
    void whatIsCancelledStopsAtItsNextStep() throws InterruptedException {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch cancelled = new CountDownLatch(1);
        AtomicBoolean wentOn = new AtomicBoolean();
        JobView job = jobs.start(Jobs.Kind.IMPORT, "long", progress -> {
            begun.countDown();
            await(cancelled);
            progress.at("next", 1, 2);
            wentOn.set(true);
            return null;
        });
        begun.await(); // one that has not begun would give its place to the next
        JobView waiting = jobs.start(Jobs.Kind.IMPORT, "behind", progress -> wentOn.getAndSet(true));
        jobs.cancel(job.id());
        jobs.cancel(waiting.id());
        cancelled.countDown();
        untilDone();
        assertThat(now(job).state()).isEqualTo(State.CANCELLED);
        assertThat(now(waiting).state()).isEqualTo(State.CANCELLED);
        assertThat(wentOn).isFalse();
        assertThat(jobs.cancel("nothing")).isEmpty();
    }

    @Test
    void aPlanDoesNotWaitForAnImportAndShowsItsBestToItsOwnerOnly() throws InterruptedException {
        CountDownLatch found = new CountDownLatch(1);
        CountDownLatch end = new CountDownLatch(1);
        jobs.start(Jobs.Kind.IMPORT, "long", progress -> {
            await(end);
            return null;
        });
        SecurityContextHolder.getContext().setAuthentication(new TestingAuthenticationToken("head", null));
        JobView plan = jobs.start(Jobs.Kind.PLAN, "plan", progress -> {
            progress.best("a fair one");
            found.countDown();
            await(end);
            return "the best";
        });
        found.await();
        assertThat(now(plan).best()).isEqualTo("a fair one");
        assertThat(now(plan).owner()).isEqualTo("head");
        SecurityContextHolder.getContext().setAuthentication(new TestingAuthenticationToken("coach", null));
        assertThat(jobs.find(plan.id())).isEmpty();
        assertThat(jobs.cancel(plan.id())).isEmpty();
        end.countDown();
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void as(String account) {
        SecurityContextHolder.getContext().setAuthentication(new TestingAuthenticationToken(account, null));
    }

    /** What waits when Lynchet stops is not begun; what runs stops at its next step, and is not interrupted in a write. */
    @Test
    void whatRunsWhenLynchetStopsEndsAtItsNextStep() throws InterruptedException {
        CountDownLatch begun = new CountDownLatch(1);
        AtomicBoolean isInterrupted = new AtomicBoolean();
        as("coach");
        JobView plan = jobs.start(Jobs.Kind.PLAN, "plan", progress -> {
            begun.countDown();
            while (true) {
                isInterrupted.compareAndSet(false, Thread.currentThread().isInterrupted());
                progress.at("planning", 1, 2);
            }
        });
        begun.await();
        background.letEnd();
        assertThat(now(plan).state()).isEqualTo(State.CANCELLED);
        assertThat(isInterrupted).isFalse();
    }

    /** One waits for each account, the newest; it leaves at once when it is cancelled; none that waits or runs is forgotten. */
    @Test
    void ofEachAccountOneWaitsAndAHandfulInAll() throws InterruptedException {
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch end = new CountDownLatch(1);
        as("head");
        JobView running = jobs.start(Jobs.Kind.PLAN, "runs", progress -> {
            begun.countDown();
            await(end);
            return "done";
        });
        begun.await();
        AtomicBoolean isDropped = new AtomicBoolean();
        JobView given = jobs.start(Jobs.Kind.PLAN, "old", progress -> null, () -> isDropped.set(true));
        for (int n = 0; n < 150; n++) {
            jobs.start(Jobs.Kind.PLAN, "newer", progress -> null);
        }
        assertThat(isDropped).isTrue();
        assertThat(jobs.find(given.id()).map(JobView::state))
                .isIn(java.util.Optional.empty(), java.util.Optional.of(State.CANCELLED));
        assertThat(now(running).state()).isEqualTo(State.RUNNING);
        JobView last = jobs.start(Jobs.Kind.PLAN, "last", progress -> null);
        for (int n = 1; n < Jobs.MOST_WAITING; n++) {
            as("coach " + n);
            jobs.start(Jobs.Kind.PLAN, "theirs", progress -> null);
        }
        as("too many");
        AtomicBoolean isLeft = new AtomicBoolean();
        assertThatThrownBy(() -> jobs.start(Jobs.Kind.PLAN, "refused", progress -> null, () -> isLeft.set(true)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("wait");
        assertThat(isLeft).isTrue();
        jobs.start(Jobs.Kind.IMPORT, "another kind", progress -> null);
        as("head");
        assertThat(now(last).state()).isEqualTo(State.WAITING);
        assertThat(jobs.cancel(last.id()).orElseThrow().state()).isEqualTo(State.CANCELLED);
        as("too many");
        jobs.start(Jobs.Kind.PLAN, "takes the place that came free", progress -> null);
        as("head");
        end.countDown();
    }
}

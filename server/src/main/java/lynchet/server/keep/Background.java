package lynchet.server.keep;

import java.time.Duration;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;

/**
 * The threads that work beside the answering. None is ever interrupted: H2 closes the data file under everybody when the
 * thread that reads or writes it is. When Lynchet stops each is let end what it does, and then the data closes.
 */
@Component
public class Background {

    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private final List<ScheduledThreadPoolExecutor> threads = new CopyOnWriteArrayList<>();
    private volatile boolean isEnding;

    /** One thread that does one thing after the other. What has not begun when Lynchet stops is not begun. */
    public ScheduledThreadPoolExecutor thread(String name) {
        ScheduledThreadPoolExecutor one = new ScheduledThreadPoolExecutor(1, work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        });
        one.setExecuteExistingDelayedTasksAfterShutdownPolicy(false);
        threads.add(one);
        return one;
    }

    /** Whether Lynchet stops: long work that may end early does. */
    boolean isEnding() {
        return isEnding;
    }

    /** Returns once every thread has ended, or after ten seconds. */
    void letEnd() {
        isEnding = true;
        threads.forEach(ScheduledThreadPoolExecutor::shutdown);
        long until = System.nanoTime() + PATIENCE.toNanos();
        try {
            for (ScheduledThreadPoolExecutor thread : threads) {
                thread.awaitTermination(until - System.nanoTime(), TimeUnit.NANOSECONDS);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}

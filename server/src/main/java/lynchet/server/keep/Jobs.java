package lynchet.server.keep;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.ProblemDetail;
import org.springframework.security.concurrent.DelegatingSecurityContextRunnable;
import org.springframework.stereotype.Component;

/** Long work, one piece after the other, with progress and cancel. What is done is remembered for an hour. */
@Component
public class Jobs {

    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);

    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "jobs");
        thread.setDaemon(true);
        return thread;
    });
    private final Cache<String, Job> jobs = Caffeine.newBuilder()
            .expireAfterAccess(Duration.ofHours(1))
            .maximumSize(100)
            .build();
    private final Problems problems;

    Jobs(Problems problems) {
        this.problems = problems;
    }

    /** How a job stands. */
    public enum State {
        WAITING,
        RUNNING,
        DONE,
        FAILED,
        CANCELLED
    }

    /** A job as its owner sees it; {@code result} when done, {@code problem} when failed. */
    public record JobView(
            String id,
            String what,
            State state,
            String stage,
            int done,
            int total,
            Object result,
            ProblemDetail problem) {}

    private static final class Job {
        private volatile JobView view;
        private volatile boolean isUnwanted;
    }

    /** Puts work into the queue; it runs as whoever asks for it. */
    public JobView start(String what, Function<Progress, Object> work) {
        Job job = new Job();
        String id = UUID.randomUUID().toString();
        job.view = new JobView(id, what, State.WAITING, "waiting", 0, 0, null, null);
        jobs.put(id, job);
        worker.execute(new DelegatingSecurityContextRunnable(() -> run(job, work)));
        return job.view;
    }

    public Optional<JobView> find(String id) {
        return Optional.ofNullable(jobs.getIfPresent(id)).map(job -> job.view);
    }

    /** Says that a job is no longer wanted; it stops at its next step and leaves nothing. */
    public Optional<JobView> cancel(String id) {
        Optional<Job> job = Optional.ofNullable(jobs.getIfPresent(id));
        job.ifPresent(found -> found.isUnwanted = true);
        return job.map(found -> found.view);
    }

    private void run(Job job, Function<Progress, Object> work) {
        JobView at = job.view;
        Progress progress = (stage, done, total) -> {
            if (job.isUnwanted) {
                throw new Progress.Cancelled();
            }
            job.view = new JobView(at.id(), at.what(), State.RUNNING, stage, done, total, null, null);
        };
        try {
            progress.at("beginning", 0, 0);
            Object result = work.apply(progress);
            job.view = end(at, State.DONE, result, null);
        } catch (Progress.Cancelled cancelled) {
            job.view = end(at, State.CANCELLED, null, null);
        } catch (RuntimeException failed) {
            job.view = end(at, State.FAILED, null, problems.of(failed));
            LOG.debug("A job failed", failed);
        }
    }

    private static JobView end(JobView at, State state, Object result, ProblemDetail problem) {
        return new JobView(
                at.id(), at.what(), state, state.name().toLowerCase(java.util.Locale.ROOT), 1, 1, result, problem);
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }
}

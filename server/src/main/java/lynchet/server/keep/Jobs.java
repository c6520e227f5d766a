package lynchet.server.keep;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.security.concurrent.DelegatingSecurityContextRunnable;
import org.springframework.stereotype.Component;

/**
 * Long work with progress, the best found so far, and cancel. Each kind of work has a thread of its own, so that planning
 * does not wait for an import; work of one kind is done one after the other. What is done is remembered for an hour.
 */
@Component
public class Jobs {

    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);

    /** What sort of work it is. */
    public enum Kind {
        IMPORT,
        PLAN
    }

    private final Map<Kind, ExecutorService> workers = new ConcurrentHashMap<>();
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

    /**
     * A job as its owner sees it.
     *
     * @param owner account that asked for it; nobody else sees it
     * @param total 0: nobody knows how much there is to do
     * @param best the best found so far while it runs; may be null
     * @param result what came of it when it is done; may be null
     * @param problem why it failed; null unless it did
     */
    public record JobView(
            String id,
            String what,
            String owner,
            State state,
            String stage,
            int done,
            int total,
            @Nullable Object best,
            @Nullable Object result,
            @Nullable ProblemDetail problem) {}

    private static final class Job {
        private volatile JobView view;
        private volatile boolean isUnwanted;
    }

    /** Puts work into the queue of its kind; it runs as whoever asks for it. */
    public JobView start(Kind kind, String what, Function<Progress, Object> work) {
        Job job = new Job();
        String id = UUID.randomUUID().toString();
        job.view = new JobView(id, what, Journal.who(), State.WAITING, "waiting", 0, 0, null, null, null);
        jobs.put(id, job);
        workers.computeIfAbsent(kind, Jobs::worker)
                .execute(new DelegatingSecurityContextRunnable(() -> run(job, work)));
        return job.view;
    }

    private static ExecutorService worker(Kind kind) {
        return Executors.newSingleThreadExecutor(work -> {
            Thread thread = new Thread(work, "jobs-" + kind.name().toLowerCase(Locale.ROOT));
            thread.setDaemon(true);
            return thread;
        });
    }

    /** A job of whoever asks; somebody else's is as if it were not there. */
    public Optional<JobView> find(String id) {
        return own(id).map(job -> job.view);
    }

    private Optional<Job> own(String id) {
        return Optional.ofNullable(jobs.getIfPresent(id))
                .filter(job -> job.view.owner().equals(Journal.who()));
    }

    /** Says that a job is no longer wanted; it stops at its next step and leaves nothing. */
    public Optional<JobView> cancel(String id) {
        Optional<Job> job = own(id);
        job.ifPresent(found -> found.isUnwanted = true);
        return job.map(found -> found.view);
    }

    private void run(Job job, Function<Progress, Object> work) {
        JobView at = job.view;
        Progress progress = new Progress() {
            private Object best;

            @Override
            public void at(String stage, int done, int total) {
                if (job.isUnwanted) {
                    throw new Cancelled();
                }
                job.view = new JobView(
                        at.id(), at.what(), at.owner(), State.RUNNING, stage, done, total, best, null, null);
            }

            @Override
            public void best(Object soFar) {
                best = soFar;
                JobView now = job.view;
                job.view = new JobView(
                        now.id(),
                        now.what(),
                        now.owner(),
                        now.state(),
                        now.stage(),
                        now.done(),
                        now.total(),
                        soFar,
                        null,
                        null);
            }
        };
        try {
            progress.at("beginning", 0, 0);
            Object result = work.apply(progress);
            job.view = end(at, State.DONE, result, null);
        } catch (Progress.Cancelled cancelled) {
            job.view = end(at, State.CANCELLED, null, null);
        } catch (Throwable failed) {
            ProblemDetail problem = problems.of(failed);
            job.view = end(at, State.FAILED, null, problem);
            if (problem.getStatus() < HttpStatus.INTERNAL_SERVER_ERROR.value()) {
                LOG.info("The job {} was refused: {}", at.what(), problem.getDetail());
            } else {
                LOG.error("The job {} failed", at.what(), failed);
            }
            if (failed instanceof Error error) {
                throw error;
            }
        }
    }

    private static JobView end(JobView at, State state, Object result, ProblemDetail problem) {
        return new JobView(
                at.id(),
                at.what(),
                at.owner(),
                state,
                state.name().toLowerCase(Locale.ROOT),
                1,
                1,
                null,
                result,
                problem);
    }

    @PreDestroy
    void stop() {
        workers.values().forEach(ExecutorService::shutdownNow);
    }
}

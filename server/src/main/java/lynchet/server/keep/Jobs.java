package lynchet.server.keep;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Future;
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
 * does not wait for an import; work of one kind is done one after the other, and of each account one thing waits. What is done
 * is remembered for an hour.
 */
@Component
public class Jobs {

    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);

    /** What sort of work it is. */
    public enum Kind {
        IMPORT,
        PLAN
    }

    /** Of different accounts, for one kind. */
    static final int MOST_WAITING = 5;

    private final Map<Kind, ExecutorService> workers = new ConcurrentHashMap<>();
    /** Those that wait or run: they are not forgotten, however many came after them. */
    private final Map<String, Job> live = new ConcurrentHashMap<>();

    private final Cache<String, Job> ended = Caffeine.newBuilder()
            .expireAfterAccess(Duration.ofHours(1))
            .maximumSize(100)
            .build();
    private final Problems problems;
    private final Background background;

    Jobs(Problems problems, Background background) {
        this.problems = problems;
        this.background = background;
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
        private final Kind kind;
        private final Runnable unbegun;
        private volatile JobView view;
        private volatile boolean isUnwanted;
        private Future<?> place;

        private Job(Kind kind, Runnable unbegun) {
            this.kind = kind;
            this.unbegun = unbegun;
        }
    }

    /** Puts work that leaves nothing behind into the queue of its kind. */
    public JobView start(Kind kind, String what, Function<Progress, Object> work) {
        return start(kind, what, work, () -> {});
    }

    /**
     * Puts work into the queue of its kind; it runs in the name of the account that asks. What they had waiting there gives its place up.
     *
     * @param unbegun done instead of work that is cancelled before it begins
     * @throws Refusal 429 while a handful of others wait
     */
    public synchronized JobView start(Kind kind, String what, Function<Progress, Object> work, Runnable unbegun) {
        String owner = Journal.who();
        List<Job> waiting = live.values().stream()
                .filter(job -> job.kind == kind && job.view.state() == State.WAITING && !job.isUnwanted)
                .toList();
        waiting.stream().filter(job -> job.view.owner().equals(owner)).forEach(this::cancel);
        if (waiting.stream().filter(job -> !job.view.owner().equals(owner)).count() >= MOST_WAITING) {
            unbegun.run();
            throw Refusal.of(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "JOBS_MANY",
                    null,
                    MOST_WAITING + " others wait for this already. Try again in a minute.");
        }
        Job job = new Job(kind, unbegun);
        String id = UUID.randomUUID().toString();
        job.view = new JobView(id, what, owner, State.WAITING, "waiting", 0, 0, null, null, null);
        live.put(id, job);
        job.place = workers.computeIfAbsent(kind, this::worker)
                .submit(new DelegatingSecurityContextRunnable(() -> begin(job, work)));
        return job.view;
    }

    private ExecutorService worker(Kind kind) {
        return background.thread("jobs-" + kind.name().toLowerCase(Locale.ROOT));
    }

    /** A job of the person who asks; somebody else's is as if it were not there. */
    public Optional<JobView> find(String id) {
        return own(id).map(job -> job.view);
    }

    private Optional<Job> own(String id) {
        return Optional.ofNullable(live.getOrDefault(id, ended.getIfPresent(id)))
                .filter(job -> job.view.owner().equals(Journal.who()));
    }

    /** Says that a job is no longer wanted: one that waits leaves at once, one that runs stops at its next step; nothing stays of it. */
    public Optional<JobView> cancel(String id) {
        Optional<Job> job = own(id);
        job.ifPresent(this::cancel);
        return job.map(found -> found.view);
    }

    private synchronized void cancel(Job job) {
        job.isUnwanted = true;
        if (job.view.state() == State.WAITING && job.place.cancel(false)) {
            job.unbegun.run();
            end(job, end(job.view, State.CANCELLED, null, null));
        }
    }

    private void end(Job job, JobView how) {
        job.view = how;
        ended.put(how.id(), job);
        live.remove(how.id());
    }

    /** One that was cancelled in the moment in which its turn came is not begun. */
    private void begin(Job job, Function<Progress, Object> work) {
        synchronized (this) {
            JobView at = job.view;
            if (at.state() != State.WAITING) {
                return;
            }
            job.view = new JobView(at.id(), at.what(), at.owner(), State.RUNNING, "beginning", 0, 0, null, null, null);
        }
        run(job, work);
    }

    private void run(Job job, Function<Progress, Object> work) {
        JobView at = job.view;
        Progress progress = new Progress() {
            private Object best;

            @Override
            public void at(String stage, int done, int total) {
                if (job.isUnwanted || background.isEnding()) {
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
            end(job, end(at, State.DONE, result, null));
        } catch (Progress.Cancelled cancelled) {
            end(job, end(at, State.CANCELLED, null, null));
        } catch (Throwable failed) {
            ProblemDetail problem = problems.of(failed);
            end(job, end(at, State.FAILED, null, problem));
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
}

package dobbin.server.jobs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.raster.Parallel;
import dobbin.server.web.Failures;
import dobbin.server.web.NotFound;
import dobbin.server.web.Refused;
import dobbin.server.work.Lines;
import dobbin.slim.Progress;
import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.RejectedExecutionException;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Runs jobs, a few at a time, and remembers the latest that ended for who asks how they went. */
@Service
public class Jobs {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
    /** The message to other instances that a job is to be stopped. */
    public static final String STOP = "stop";

    private static final int AT_A_TIME = 4;
    /** The most jobs of one person at a time, so that there is room for those of others. */
    private static final int MOST_OF_ONE = AT_A_TIME - 1;

    private static final int MOST_WAITING = 1_000;
    private static final int REMEMBERED = 500;

    private final Lines lines = Lines.bounded("job", AT_A_TIME, MOST_OF_ONE, MOST_WAITING);
    private final Map<String, Job> underWay = new ConcurrentHashMap<>();
    private final Cache<String, Job> ended =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    /** Work that reports how far it is, and gives the name of what it made. */
    public interface Work {
        String run(Progress progress);
    }

    /**
     * @param reel that it works on
     * @param listener told of every change, not too often, on the job's own threads
     */
    public Job start(String reel, String title, Consumer<Job.View> listener, Work work) {
        return start(UUID.randomUUID().toString(), reel, title, listener, work);
    }

    /** Starts work that has an id already. */
    Job start(String id, String reel, String title, Consumer<Job.View> listener, Work work) {
        Job job = new Job(id, reel, title, listener);
        underWay.put(job.id(), job);
        try {
            lines.execute(() -> run(job, work));
        } catch (RejectedExecutionException e) {
            underWay.remove(job.id());
            throw new Refused(HttpStatus.SERVICE_UNAVAILABLE, "Too much is waiting to be done. Try again in a moment.");
        }
        return job;
    }

    /** Does something among the jobs, and waits for it. */
    public <V> V call(Supplier<V> work) {
        return Parallel.join(CompletableFuture.supplyAsync(work, lines::execute));
    }

    /** @return how many run or wait */
    public int underWay() {
        return underWay.size();
    }

    /** Event: somebody stopped a job, on whichever instance it runs. */
    record Stopped(String id) {}

    /** A job, wherever it runs. */
    record ReelJob(String reel, Job.View view) {}

    /** @return the job, where it runs here or ended here not long ago */
    Optional<Job> here(String id) {
        return underWay(id).or(() -> Optional.ofNullable(ended.getIfPresent(id)));
    }

    /** @return the job, where it runs or waits here */
    Optional<Job> underWay(String id) {
        return Optional.ofNullable(underWay.get(id));
    }

    /** Stops it if it runs here. */
    public void cancel(String id) {
        underWay(id).ifPresent(Job::cancel);
    }

    static NotFound noJob(String id) {
        return new NotFound("There is no job " + id + ". The server may have been started again since.");
    }

    private void run(Job job, Work work) {
        try {
            end(job, Job.State.DONE, work.run(job::progress), null);
        } catch (CancellationException e) {
            end(job, Job.State.CANCELLED, null, null);
        } catch (Refused e) {
            end(job, Job.State.FAILED, null, e.getMessage());
        } catch (RuntimeException | OutOfMemoryError | StackOverflowError e) {
            LOG.error("A job on the reel {} failed", job.reel(), e);
            end(job, Job.State.FAILED, null, Failures.sentence(e));
        }
    }

    private void end(Job job, Job.State state, String result, String problem) {
        ended.put(job.id(), job);
        underWay.remove(job.id());
        job.end(state, result, problem);
    }

    @PreDestroy
    void stop() {
        lines.stop();
    }
}

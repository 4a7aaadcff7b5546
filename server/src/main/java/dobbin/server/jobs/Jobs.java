package dobbin.server.jobs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.server.web.NotFound;
import dobbin.slim.Progress;
import jakarta.annotation.PreDestroy;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Runs jobs, and remembers the latest for who asks how they went. */
@Service
public class Jobs {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
    private static final int REMEMBERED = 500;

    private final ExecutorService threads = Executors.newCachedThreadPool();
    private final Cache<String, Job> jobs =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    /** Work that reports how far it is, and gives the name of what it made. */
    public interface Work {
        String run(Progress progress);
    }

    /** @param listener told of every change, not too often, on the job's own threads */
    public Job start(String title, Consumer<Job.View> listener, Work work) {
        Job job = new Job(title, listener);
        jobs.put(job.id(), job);
        threads.execute(() -> run(job, work));
        return job;
    }

    public Job find(String id) {
        Job job = jobs.getIfPresent(id);
        if (job == null) {
            throw new NotFound("There is no job " + id + ". The server may have been started again since.");
        }
        return job;
    }

    private static void run(Job job, Work work) {
        try {
            job.end(Job.State.DONE, work.run(job::progress), null);
        } catch (CancellationException e) {
            job.end(Job.State.CANCELLED, null, null);
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("{} failed", job.view().title(), e);
            job.end(Job.State.FAILED, null, "This did not work out: " + e.getMessage());
        }
    }

    @PreDestroy
    void stop() {
        threads.shutdownNow();
    }
}

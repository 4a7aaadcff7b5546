package dobbin.server.schedule;

import com.github.kagkarlsson.scheduler.ScheduledExecution;
import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.event.AbstractSchedulerListener;
import com.github.kagkarlsson.scheduler.exceptions.ExecutionException;
import com.github.kagkarlsson.scheduler.exceptions.TaskInstanceException;
import com.github.kagkarlsson.scheduler.logging.LogLevel;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.ExecutionContext;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.TaskInstanceId;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Tasks that one of the instances on a database does. Whoever picks one sends heartbeats while it is at it; where they stop, another
 * takes it over. Picking, heartbeats and taking over are db-scheduler's. What is to be done is told before the start.
 */
@Component
public class Schedule implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Schedule.class);

    /** The six that may be missing, and two until that is noticed, are 12 s: another instance has a task within 15. */
    private static final Duration HEARTBEAT = Duration.ofMillis(1_500);

    private static final int MISSED_HEARTBEATS = 6;
    private static final Duration POLL = Duration.ofSeconds(1);
    private static final Duration AGAIN = Duration.ofSeconds(3);
    private static final Duration LONGEST_STOP = Duration.ofSeconds(2);
    private static final Duration SOON = Duration.ofSeconds(10);
    /** Of what recurs there is one each. */
    private static final String ONLY = "only";

    private final ScheduleStore store;
    private final List<Task<Void>> tasks = new ArrayList<>();
    private final List<Recurring> recurring = new ArrayList<>();
    private final ExecutorService threads = Executors.newCachedThreadPool(Schedule::thread);
    private final CompletableFuture<Void> stopping = new CompletableFuture<>();
    private volatile Scheduler scheduler;

    Schedule(ScheduleStore store) {
        this.store = store;
    }

    private static Thread thread(Runnable work) {
        Thread thread = new Thread(work, "schedule");
        thread.setDaemon(true);
        return thread;
    }

    /** Begins with something that is done once. */
    public interface Work {
        /**
         * @param crashes how many instances ended while they were at it, one after the other
         * @return completed once it has ended, however it did
         * @throws RuntimeException where it cannot be begun now; then it is tried again
         */
        CompletableFuture<?> begin(String id, int crashes);
    }

    /** Tasks of one kind, each of which is done once. */
    public final class Once {
        private final Task<Void> task;

        private Once(Task<Void> task) {
            this.task = task;
        }

        /** Adds it unless it is there. */
        public void ensure(String id) {
            scheduler.scheduleIfNotExists(task.instance(id), store.now());
        }

        /** In the transaction of the current thread, if there is one: then it is begun once that has ended, and never if it is rolled back. */
        public void add(String id) {
            scheduler.schedule(task.instance(id), store.now());
            if (!TransactionSynchronizationManager.isSynchronizationActive()) {
                scheduler.triggerCheckForDueExecutions();
                return;
            }
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCommit() {
                    scheduler.triggerCheckForDueExecutions();
                }
            });
        }
    }

    /** A task that is done again and again. */
    public final class Recurring {
        private final TaskInstanceId only;
        private final Duration first;

        private Recurring(Task<Void> task, Duration first) {
            this.only = task.instance(ONLY);
            this.first = first;
        }

        /** Brings it forward, unless it is under way. */
        public void soon() {
            bringForward(SOON);
        }

        private void bringForward(Duration within) {
            Instant time = store.now().plus(within);
            try {
                if (scheduler
                        .getScheduledExecution(only)
                        .map(ScheduledExecution::getExecutionTime)
                        .filter(time::isBefore)
                        .isPresent()) {
                    scheduler.reschedule(only, time);
                }
            } catch (TaskInstanceException e) {
                LOG.debug("{} is under way", only, e);
            }
        }

        private void ensure() {
            scheduler.scheduleIfNotExists(
                    new TaskInstance<Void>(only.getTaskName(), only.getId()),
                    store.now().plus(first));
            bringForward(first);
        }
    }

    /** @param name by which all instances know it */
    public Once once(String name, Work work) {
        Task<Void> task = task(name).execute((instance, context) -> begin(work, instance.getId(), context));
        tasks.add(task);
        return new Once(task);
    }

    /**
     * @param name by which all instances know it
     * @param first the longest until it is done after a start
     * @param pause from its end to the next time
     */
    public Recurring every(String name, Duration first, Duration pause, Runnable work) {
        Task<Void> task = task(name).execute((instance, context) -> {
            work.run();
            return again(pause);
        });
        Recurring made = new Recurring(task, first);
        tasks.add(task);
        recurring.add(made);
        return made;
    }

    /** A task that fails is tried again. One whose instance died is begun anew, and the crash is counted. */
    private Tasks.TaskBuilder<Void> task(String name) {
        return Tasks.custom(name, Void.class)
                .onFailure((failed, then) ->
                        then.reschedule(failed, failed.getTimeDone().plus(AGAIN)))
                .onDeadExecution((dead, then) -> then.reschedule(dead, dead.getTimeDone()));
    }

    private CompletionHandler<Void> begin(Work work, String id, ExecutionContext context) {
        CompletableFuture<?> ended;
        try {
            ended = work.begin(id, context.getExecution().consecutiveFailures);
        } catch (RuntimeException e) {
            LOG.warn("A task is begun again in a moment: {}", e.getMessage());
            return again(AGAIN);
        }
        CompletableFuture.anyOf(ended, stopping).join();
        // On shutdown, another instance may run it at once.
        return ended.isDone() ? unlessTakenOver((done, then) -> then.remove()) : again(Duration.ZERO);
    }

    private static CompletionHandler<Void> again(Duration pause) {
        return unlessTakenOver(
                (done, then) -> then.reschedule(done, done.getTimeDone().plus(pause)));
    }

    /** Where heartbeats stopped for a while, another instance has the task by now and decides what becomes of it. */
    private static CompletionHandler<Void> unlessTakenOver(CompletionHandler<Void> ending) {
        return (done, then) -> {
            try {
                ending.complete(done, then);
            } catch (ExecutionException e) {
                LOG.debug("Another has taken it over", e);
            }
        };
    }

    /** @return whether this instance is about to end, and leaves to others what it is at */
    public boolean isStopping() {
        return stopping.isDone();
    }

    @Override
    public void start() {
        scheduler = Scheduler.create(store.source(), List.copyOf(tasks))
                .schedulerName(new SchedulerName.Fixed(UUID.randomUUID().toString()))
                .clock(store)
                .pollingInterval(POLL)
                .heartbeatInterval(HEARTBEAT)
                .missedHeartbeatsLimit(MISSED_HEARTBEATS)
                // Who waits for a turn waits in the line of a person, and not for one of these threads.
                .executorService(threads)
                .failureLogging(LogLevel.WARN, true)
                .shutdownMaxWait(LONGEST_STOP)
                .addSchedulerListener(new Outages())
                .build();
        recurring.forEach(Recurring::ensure);
        scheduler.start();
    }

    @Override
    public void stop() {
        if (stopping.complete(null)) {
            scheduler.stop();
        }
    }

    @Override
    public boolean isRunning() {
        return scheduler != null && !isStopping();
    }

    /** Starts before the web server takes requests, and stops after it. */
    @Override
    public int getPhase() {
        return 0;
    }

    /** Says once, and not each second, that the database is not there. */
    private static final class Outages extends AbstractSchedulerListener {
        private volatile boolean told;

        @Override
        public void onSchedulerEvent(SchedulerEventType event) {
            if (event == SchedulerEventType.UNEXPECTED_ERROR && !told) {
                told = true;
                LOG.warn("The database cannot be asked what is to be done. It is asked again each second.");
            }
            if (event == SchedulerEventType.RAN_EXECUTE_DUE) {
                told = false;
            }
        }
    }
}

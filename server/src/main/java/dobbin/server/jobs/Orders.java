package dobbin.server.jobs;

import dobbin.server.data.DataStore;
import dobbin.server.schedule.Schedule;
import dobbin.server.web.Failures;
import dobbin.server.web.Refused;
import dobbin.server.work.Requester;
import dobbin.slim.Progress;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Jobs that somebody asked for. Each is done once, also where the instance that began with it is killed: then another takes it over,
 * or the same one after its next start.
 */
@Component
public class Orders {
    private static final Logger LOG = LoggerFactory.getLogger(Orders.class);
    private static final int TIMES_ASKED = 5;
    private static final int MOST_CRASHES = 3;
    private static final int MOST_OF_ONE = 32;
    private static final int MOST_OF_ALL = 256;
    private static final String OTHER_VERSION = "It was asked for in another version of Dobbin. Ask for it again.";

    private final JobStore store;
    private final Jobs jobs;
    private final EventHub hub;
    private final DataStore data;
    private final JsonMapper json;

    private final Map<String, Kind<?>> kinds = new ConcurrentHashMap<>();
    private final TransactionTemplate transaction;
    private final Schedule schedule;
    private final Schedule.Once tasks;

    Orders(
            JobStore store,
            Jobs jobs,
            EventHub hub,
            DataStore data,
            JsonMapper json,
            TransactionTemplate transaction,
            Schedule schedule) {
        this.transaction = transaction;
        this.schedule = schedule;
        this.tasks = schedule.once("job", this::begin);
        schedule.every("forget jobs", Duration.ofHours(1), Duration.ofHours(1), store::forget);
        this.store = store;
        this.jobs = jobs;
        this.hub = hub;
        this.data = data;
        this.json = json;
    }

    /** Does what was asked for. */
    public interface Maker<R> {
        /** @return what came of it */
        String make(Order<R> order, Progress progress);
    }

    /** Something that was asked for, while it is made. */
    public final class Order<R> {
        private final String id;
        private final String reel;
        private final R request;
        private volatile boolean isDone;

        private Order(String id, String reel, R request) {
            this.id = id;
            this.reel = reel;
            this.request = request;
        }

        public String reel() {
            return reel;
        }

        public R request() {
            return request;
        }

        /**
         * Call it in the transaction that keeps what came of it, so that it is kept once.
         *
         * @throws CancellationException where it was stopped, or done by another meanwhile
         */
        public void done(String result) {
            if (!store.end(id, Job.State.DONE, result, null)) {
                throw new CancellationException("It was stopped, or done by another meanwhile");
            }
            isDone = true;
        }
    }

    /** @param request with which it was asked for */
    public record Found<R>(R request, Job.View view) {}

    /** Jobs of one kind. */
    public final class Kind<R> {
        private final String name;
        private final Class<R> type;
        private final boolean alone;
        private final Maker<R> maker;

        private Kind(String name, Class<R> type, boolean alone, Maker<R> maker) {
            this.name = name;
            this.type = type;
            this.alone = alone;
            this.maker = maker;
        }

        /**
         * @return the job, or the one that is under way where there may be one on a reel
         * @throws Refused where too much is under way
         */
        public Found<R> take(String reel, String title, R request) {
            JobStore.Row row = new JobStore.Row(
                    UUID.randomUUID().toString(),
                    reel,
                    name,
                    title,
                    Requester.now(),
                    json.writeValueAsString(request),
                    Job.State.RUNNING,
                    null,
                    null);
            checkThereIsRoom(row.whose());
            while (!add(row, aloneOn(reel))) {
                Optional<Found<R>> before = underWay(reel);
                if (before.isPresent()) {
                    return before.get();
                }
            }
            data.force();
            return new Found<>(request, row.view());
        }

        /** @return the job of this kind on that reel, where there may be one */
        public Optional<Found<R>> underWay(String reel) {
            return store.findAlone(aloneOn(reel)).map(row -> new Found<>(request(row), view(row)));
        }

        private String aloneOn(String reel) {
            return alone ? name + ' ' + reel : null;
        }

        private R request(JobStore.Row row) {
            return json.readValue(row.request(), type);
        }

        private CompletableFuture<?> begin(JobStore.Row row) {
            Order<R> order = new Order<>(row.id(), row.reel(), request(row));
            return jobs.start(
                            row.id(),
                            row.reel(),
                            row.title(),
                            view -> hub.publishEverywhere(row.reel(), "job", view),
                            progress -> made(order, progress))
                    .ended();
        }

        /** A job that fails is not tried on another instance; one whose instance stops is. */
        private String made(Order<R> order, Progress progress) {
            try {
                String result = maker.make(order, progress);
                if (!order.isDone) {
                    order.done(result);
                }
                data.force();
                return result;
            } catch (CancellationException e) {
                throw e;
            } catch (RuntimeException | OutOfMemoryError | StackOverflowError e) {
                Optional<String> kept = schedule.isStopping() ? Optional.empty() : keptInSpiteOf(e, order.id);
                if (kept.isEmpty()) {
                    throw e;
                }
                return kept.get();
            }
        }
    }

    /**
     * A connection may be cut after what came of a job was kept, and before that was answered: then the database says that it is
     * done. Else it has failed.
     *
     * @return what came of it, or nothing
     */
    private Optional<String> keptInSpiteOf(Throwable failure, String id) {
        for (int attempt = 1; ; attempt++) {
            try {
                return store.end(id, Job.State.FAILED, null, Failures.sentence(failure))
                        ? Optional.empty()
                        : store.find(id)
                                .filter(row -> row.state() == Job.State.DONE)
                                .map(JobStore.Row::result);
            } catch (DataAccessException e) {
                if (attempt == TIMES_ASKED) {
                    return Optional.empty();
                }
                LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(1));
            }
        }
    }

    /** A kind of which a reel may have several at a time. @param type of what it is asked for with, which JSON can hold */
    public <R> Kind<R> kind(String name, Class<R> type, Maker<R> maker) {
        return known(new Kind<>(name, type, false, maker));
    }

    /** A kind of which a reel has one at a time. @param type of what it is asked for with, which JSON can hold */
    public <R> Kind<R> oneAtATime(String name, Class<R> type, Maker<R> maker) {
        return known(new Kind<>(name, type, true, maker));
    }

    private <R> Kind<R> known(Kind<R> kind) {
        kinds.put(kind.name, kind);
        return kind;
    }

    private void checkThereIsRoom(String whose) {
        if (!whose.isEmpty() && store.count(whose) >= MOST_OF_ONE) {
            throw new Refused(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "You have " + MOST_OF_ONE
                            + " jobs under way. Wait for some of them, or stop some, then do this again.");
        }
        if (store.count() >= MOST_OF_ALL) {
            throw new Refused(HttpStatus.SERVICE_UNAVAILABLE, "Too much is waiting to be done. Try again in a moment.");
        }
    }

    /** @return whether it is to be done from now on: not where there is another that has to be alone */
    private boolean add(JobStore.Row row, String alone) {
        try {
            transaction.executeWithoutResult(status -> {
                store.insert(row, alone);
                tasks.add(row.id());
            });
            return true;
        } catch (DuplicateKeyException e) {
            return false;
        }
    }

    /** Jobs may have come without their tasks: from an earlier version, a copy, or another database. */
    @EventListener
    void ready(ApplicationReadyEvent event) {
        store.underWay().forEach(tasks::ensure);
    }

    /** A job that was stopped, or whose reel is gone, has ended before it was begun. */
    private CompletableFuture<?> begin(String id, int crashes) {
        Optional<JobStore.Row> found = store.find(id).filter(row -> row.state() == Job.State.RUNNING);
        // It is under way already where heartbeats stopped for a while and the instance did not.
        return jobs.underWay(id)
                .<CompletableFuture<?>>map(Job::ended)
                .or(() -> found.map(row -> begin(row, crashes)))
                .orElseGet(() -> CompletableFuture.completedFuture(null));
    }

    private CompletableFuture<?> begin(JobStore.Row row, int crashes) {
        if (crashes >= MOST_CRASHES) {
            return giveUp(row, "It was begun " + MOST_CRASHES + " times, and each time Dobbin ended before it did.");
        }
        if (!kinds.containsKey(row.kind())) {
            return giveUp(row, OTHER_VERSION);
        }
        Requester.While theirs = Requester.is(row.whose() == null ? "" : row.whose());
        try {
            return kinds.get(row.kind()).begin(row);
        } catch (JacksonException e) {
            return giveUp(row, OTHER_VERSION);
        } finally {
            theirs.close();
        }
    }

    private CompletableFuture<?> giveUp(JobStore.Row row, String why) {
        store.end(row.id(), Job.State.FAILED, null, why);
        hub.publishEverywhere(
                row.reel(), "job", find(row.id()).map(Jobs.ReelJob::view).orElseThrow());
        LOG.warn("A job on the reel {} is given up: {}", row.reel(), why);
        return CompletableFuture.completedFuture(null);
    }

    /** Ends the job in the database, so that no instance takes it over. */
    @EventListener
    void stopped(Jobs.Stopped stopped) {
        if (store.end(stopped.id(), Job.State.CANCELLED, null, null)) {
            data.force();
        }
    }

    /** @return a job that was asked for, wherever it is done or how it ended not long ago */
    Optional<Jobs.ReelJob> find(String id) {
        return store.find(id).map(row -> new Jobs.ReelJob(row.reel(), view(row)));
    }

    private Job.View view(JobStore.Row row) {
        return jobs.here(row.id()).map(Job::view).orElseGet(row::view);
    }
}

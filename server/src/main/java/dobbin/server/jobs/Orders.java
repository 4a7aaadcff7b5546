package dobbin.server.jobs;

import dobbin.server.data.DataStore;
import dobbin.server.people.SignedIn;
import dobbin.server.web.Failures;
import dobbin.server.web.Refused;
import dobbin.server.work.Whose;
import dobbin.slim.Progress;
import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Jobs that somebody asked for. Each is done once, also where the Dobbin that began with it is killed: the next to look for such
 * takes it over.
 */
@Component
public class Orders {
    private static final Logger LOG = LoggerFactory.getLogger(Orders.class);
    /** With the ten seconds that one is held for, less than 15 s until another has it. */
    private static final int LOOK_SECONDS = 3;
    /** One that ends its Dobbin each time is given up. */
    private static final int TIMES_ASKED = 5;

    private static final int MOST_TRIES = 3;

    private final JobStore store;
    private final Jobs jobs;
    private final EventHub hub;
    private final DataStore data;
    private final JsonMapper json;

    private final Map<String, Kind<?>> kinds = new ConcurrentHashMap<>();
    private final Set<String> held = ConcurrentHashMap.newKeySet();
    private volatile boolean stopping;

    Orders(JobStore store, Jobs jobs, EventHub hub, DataStore data, JsonMapper json) {
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

        /** @return the job, or the one that is under way where there may be one on a reel */
        public Found<R> take(String reel, String title, R request) {
            JobStore.Row row = new JobStore.Row(
                    UUID.randomUUID().toString(),
                    reel,
                    name,
                    title,
                    SignedIn.name().orElse(null),
                    json.writeValueAsString(request),
                    1,
                    Job.State.RUNNING,
                    null,
                    null);
            while (!store.insert(row, aloneOn(reel))) {
                Optional<Found<R>> before = underWay(reel);
                if (before.isPresent()) {
                    return before.get();
                }
            }
            data.force();
            try {
                return new Found<>(request, begin(row, request).view());
            } catch (Refused e) {
                store.end(row.id(), Job.State.FAILED, null, e.getMessage());
                throw e;
            }
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

        private void goOn(JobStore.Row row) {
            begin(row, request(row));
        }

        private Job begin(JobStore.Row row, R request) {
            Order<R> order = new Order<>(row.id(), row.reel(), request);
            held.add(row.id());
            try {
                return jobs.start(
                        row.id(),
                        row.reel(),
                        row.title(),
                        view -> hub.publishEverywhere(row.reel(), "job", view),
                        progress -> made(order, progress));
            } catch (Refused e) {
                held.remove(row.id());
                throw e;
            }
        }

        /** What fails here would fail elsewhere; what is stopped with its Dobbin is left for another. */
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
                Optional<String> kept = stopping ? Optional.empty() : keptInSpiteOf(e, order.id);
                if (kept.isEmpty()) {
                    throw e;
                }
                return kept.get();
            } finally {
                held.remove(order.id);
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

    /** @param type of what it is asked for with, which JSON can hold */
    public <R> Kind<R> kind(String name, Class<R> type, Maker<R> maker) {
        return known(new Kind<>(name, type, false, maker));
    }

    /** As above, where there may be one on a reel at a time. */
    public <R> Kind<R> oneAtATime(String name, Class<R> type, Maker<R> maker) {
        return known(new Kind<>(name, type, true, maker));
    }

    private <R> Kind<R> known(Kind<R> kind) {
        kinds.put(kind.name, kind);
        return kind;
    }

    /** Holds on what is made here, and takes over what nobody holds any more. */
    @Scheduled(fixedDelay = LOOK_SECONDS, initialDelay = LOOK_SECONDS, timeUnit = TimeUnit.SECONDS)
    void look() {
        try {
            store.hold(held);
            store.left().stream()
                    .filter(row -> kinds.containsKey(row.kind()) && store.take(row.id()))
                    .forEach(this::takeOver);
        } catch (DataAccessException e) {
            LOG.warn("Jobs that nobody does any more are looked for again later: {}", e.getMessage());
        }
    }

    private void takeOver(JobStore.Row row) {
        if (row.tries() >= MOST_TRIES) {
            giveUp(row, "It was begun " + MOST_TRIES + " times, and each time Dobbin ended before it did.");
            return;
        }
        Whose.While theirs = Whose.is(row.person() == null ? "" : row.person());
        try {
            kinds.get(row.kind()).goOn(row);
        } catch (Refused e) {
            store.leave(Set.of(row.id()));
        } catch (JacksonException e) {
            giveUp(row, "It was asked for in another version of Dobbin. Ask for it again.");
        } finally {
            theirs.close();
        }
    }

    private void giveUp(JobStore.Row row, String why) {
        store.end(row.id(), Job.State.FAILED, null, why);
        hub.publishEverywhere(
                row.reel(), "job", find(row.id()).map(Jobs.Found::view).orElseThrow());
        LOG.warn("A job on the reel {} is given up: {}", row.reel(), why);
    }

    /** Whoever stops it takes the order back, so that nobody takes it over. */
    @EventListener
    void stopped(Jobs.Stopped stopped) {
        if (store.end(stopped.id(), Job.State.CANCELLED, null, null)) {
            data.force();
        }
    }

    /** @return a job that was asked for, wherever it is done or how it ended not long ago */
    Optional<Jobs.Found> find(String id) {
        return store.find(id).map(row -> new Jobs.Found(row.reel(), view(row)));
    }

    private Job.View view(JobStore.Row row) {
        return jobs.here(row.id()).map(Job::view).orElseGet(row::view);
    }

    @Scheduled(fixedDelay = 1, initialDelay = 1, timeUnit = TimeUnit.HOURS)
    void forget() {
        store.forget();
    }

    /** What was not ended here is for another at once. */
    @PreDestroy
    void leave() {
        stopping = true;
        try {
            store.leave(held);
            held.clear();
        } catch (DataAccessException e) {
            LOG.debug("Others take over once it is held no longer", e);
        }
    }
}

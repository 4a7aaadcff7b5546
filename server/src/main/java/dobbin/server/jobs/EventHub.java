package dobbin.server.jobs;

import dobbin.server.access.AccessChanged;
import dobbin.server.instances.OtherInstances;
import dobbin.server.web.Refused;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.BooleanSupplier;
import org.springframework.context.event.EventListener;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Who listens to which reel. One stream a tab carries all there is to say, since browsers open few at a time. Whoever
 * publishes never waits for a listener: each has a queue and a writer of its own.
 */
@Component
@EnableScheduling
public class EventHub {
    private static final long NEVER = 0;
    private static final int HEARTBEAT_MILLIS = 10_000;

    private static final int MOST_OF_ONE = 64;

    /** How many streams each has open. */
    private final Map<String, Integer> open = new ConcurrentHashMap<>();

    private final OtherInstances instances;
    private final Map<String, List<Listener>> listeners = new ConcurrentHashMap<>();
    private final ExecutorService writers = Executors.newCachedThreadPool();

    EventHub(OtherInstances instances) {
        this.instances = instances;
    }

    /**
     * @param whose person or session, or the address where nobody signs in
     * @param stillMay asked now and then: whether they still may
     * @throws Refused where that one has too many open
     */
    public SseEmitter listen(String reel, String whose, BooleanSupplier stillMay) {
        if (open.merge(whose, 1, Integer::sum) > MOST_OF_ONE) {
            left(whose);
            throw new Refused(HttpStatus.TOO_MANY_REQUESTS, "Too many reels are open at once. Close some of the tabs.");
        }
        SseEmitter emitter = new SseEmitter(NEVER);
        Listener listener = new Listener(emitter, writers, stillMay);
        listeners.compute(reel, (id, all) -> {
            List<Listener> more = all == null ? new CopyOnWriteArrayList<>() : all;
            more.add(listener);
            return more;
        });
        Runnable leave = () -> leave(reel, whose, listener);
        emitter.onCompletion(leave);
        emitter.onTimeout(leave);
        emitter.onError(failure -> leave.run());
        // Without a first line the browser would not learn that it is connected until something happens.
        listener.tell(() -> SseEmitter.event().comment("listening"));
        return emitter;
    }

    private void leave(String reel, String whose, Listener listener) {
        listeners.computeIfPresent(reel, (id, all) -> {
            if (all.remove(listener)) {
                left(whose);
            }
            return all.isEmpty() ? null : all;
        });
        listener.close();
    }

    private void left(String whose) {
        open.computeIfPresent(whose, (who, count) -> count == 1 ? null : count - 1);
    }

    /** @return how many are open */
    public int streams() {
        return open.values().stream().mapToInt(Integer::intValue).sum();
    }

    public boolean hasListeners(String reel) {
        return !listeners.getOrDefault(reel, List.of()).isEmpty();
    }

    /** @return the reels that somebody listens to */
    public Set<String> listenedTo() {
        return Set.copyOf(listeners.keySet());
    }

    /** Also to whoever listens to it at another instance of Dobbin. @param data becomes JSON */
    public void publishEverywhere(String reel, String event, Object data) {
        publish(reel, event, data);
        instances.tell(reel, event, data);
    }

    /** To whoever listens here. @param data becomes JSON */
    public void publish(String reel, String event, Object data) {
        for (Listener listener : listeners.getOrDefault(reel, List.of())) {
            listener.tell(() -> SseEmitter.event().name(event).data(data, MediaType.APPLICATION_JSON));
        }
    }

    /** Pages that have it open ask what they may do now. */
    @EventListener
    void given(AccessChanged given) {
        publishEverywhere(given.reel(), "access", Map.of());
    }

    /** A line now and then shows which listeners have gone; and those who may not listen any more are let go. */
    @Scheduled(fixedRate = HEARTBEAT_MILLIS)
    void heartbeat() {
        for (List<Listener> all : listeners.values()) {
            all.forEach(Listener::ask);
        }
    }

    @PreDestroy
    void stop() {
        writers.shutdownNow();
    }
}

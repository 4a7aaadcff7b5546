package dobbin.server.jobs;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.MediaType;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Who listens to which reel. One stream a tab carries all there is to say, since browsers open few at a time. */
@Component
@EnableScheduling
public class EventHub {
    private static final long NEVER = 0;
    private static final int HEARTBEAT_MILLIS = 15_000;

    private static final Logger LOG = LoggerFactory.getLogger(EventHub.class);

    private final Map<String, List<SseEmitter>> listeners = new ConcurrentHashMap<>();

    public SseEmitter listen(String reel) {
        SseEmitter emitter = new SseEmitter(NEVER);
        List<SseEmitter> all = listeners.computeIfAbsent(reel, id -> new CopyOnWriteArrayList<>());
        all.add(emitter);
        Runnable leave = () -> all.remove(emitter);
        emitter.onCompletion(leave);
        emitter.onTimeout(leave);
        emitter.onError(failure -> leave.run());
        // Without a first line the browser would not learn that it is connected until something happens.
        send(emitter, SseEmitter.event().comment("listening"));
        return emitter;
    }

    public boolean hasListeners(String reel) {
        return !listeners.getOrDefault(reel, List.of()).isEmpty();
    }

    /** @param data becomes JSON */
    public void publish(String reel, String event, Object data) {
        for (SseEmitter emitter : listeners.getOrDefault(reel, List.of())) {
            send(emitter, SseEmitter.event().name(event).data(data, MediaType.APPLICATION_JSON));
        }
    }

    /** A line now and then shows which listeners have gone. */
    @Scheduled(fixedRate = HEARTBEAT_MILLIS)
    void heartbeat() {
        for (List<SseEmitter> all : listeners.values()) {
            all.forEach(emitter -> send(emitter, SseEmitter.event().comment("still here")));
        }
    }

    private static void send(SseEmitter emitter, SseEmitter.SseEventBuilder event) {
        try {
            emitter.send(event);
        } catch (IOException | IllegalStateException e) {
            close(emitter);
        }
    }

    /** One that has gone before it was served cannot even be told so. */
    private static void close(SseEmitter emitter) {
        try {
            emitter.complete();
        } catch (IllegalStateException e) {
            LOG.debug("A listener left before it was served", e);
        }
    }
}

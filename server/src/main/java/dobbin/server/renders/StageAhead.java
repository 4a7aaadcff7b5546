package dobbin.server.renders;

import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.reel.Frame;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import dobbin.server.work.Turns.Urgency;
import jakarta.annotation.PreDestroy;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Begins to draw the frame on the stage as soon as an edit is made. The browser asks for that picture next, once it has read
 * the answer to the edit, and finds it under way.
 */
@Component
class StageAhead {
    private static final Logger LOG = LoggerFactory.getLogger(StageAhead.class);
    private static final int REELS_REMEMBERED = 50;

    private final Reels reels;
    private final Renders renders;
    private final Map<String, Stage> stages = Caffeine.newBuilder()
            .maximumSize(REELS_REMEMBERED)
            .<String, Stage>build()
            .asMap();
    private final ExecutorService asking = Executors.newSingleThreadExecutor();
    private volatile OpenReel latest;

    StageAhead(Reels reels, Renders renders) {
        this.reels = reels;
        this.renders = renders;
    }

    private record Stage(int frame, int width) {}

    /** Somebody waits for the frame that looks like {@code drawn}. */
    void waitedFor(String id, String drawn, int width) {
        reels.open(id).keys().frame(drawn).ifPresent(frame -> stages.put(id, new Stage(frame.id(), width)));
    }

    @EventListener
    void changed(Reels.Changed change) {
        OpenReel open = change.reel();
        Stage stage = stages.get(open.id());
        if (stage == null) {
            return;
        }
        latest = open;
        asking.execute(() -> {
            if (latest == open) {
                open.reel().frames().stream()
                        .filter(frame -> frame.id() == stage.frame)
                        .findFirst()
                        .ifPresent(frame -> draw(open, frame, stage.width));
            }
        });
    }

    private void draw(OpenReel open, Frame frame, int width) {
        try {
            renders.png(open.id(), open.keys().of(frame), width, Set.of(), Urgency.NOW);
        } catch (RuntimeException | OutOfMemoryError e) {
            // It has changed again meanwhile, or cannot be drawn: whoever asks for it is told.
            LOG.debug("Nothing was drawn ahead for {}", open.id(), e);
        }
    }

    @PreDestroy
    void stop() {
        asking.shutdownNow();
    }
}

package dobbin.server.jobs;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.Executor;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * One event stream: what is to be told waits in a bounded queue and is written by one thread at a time. A listener that
 * does not read is let go once the queue is full; when it comes again it asks for all it missed.
 */
final class Listener {
    private static final int MOST_WAITING = 200;
    private static final Logger LOG = LoggerFactory.getLogger(Listener.class);

    private final SseEmitter emitter;
    private final Executor writers;
    private final Deque<Supplier<SseEmitter.SseEventBuilder>> waiting = new ArrayDeque<>();
    private final BooleanSupplier stillMay;
    private boolean writing;
    private boolean closed;

    /** @param stillMay whether whoever listens still may */
    Listener(SseEmitter emitter, Executor writers, BooleanSupplier stillMay) {
        this.stillMay = stillMay;
        this.emitter = emitter;
        this.writers = writers;
    }

    /** Never waits. */
    synchronized void tell(Supplier<SseEmitter.SseEventBuilder> event) {
        if (closed) {
            return;
        }
        if (waiting.size() == MOST_WAITING) {
            letGo();
            return;
        }
        waiting.add(event);
        if (!writing) {
            writing = true;
            writers.execute(this::write);
        }
    }

    /** Shows whether anybody is there, and whether they still may listen. */
    void ask() {
        if (stillMay.getAsBoolean()) {
            tell(() -> SseEmitter.event().comment("still here"));
        } else {
            letGo();
        }
    }

    private synchronized void letGo() {
        close();
        writers.execute(this::complete);
    }

    synchronized void close() {
        closed = true;
        waiting.clear();
    }

    private synchronized Supplier<SseEmitter.SseEventBuilder> next() {
        Supplier<SseEmitter.SseEventBuilder> event = waiting.poll();
        writing = event != null;
        return event;
    }

    private void write() {
        for (var event = next(); event != null; event = next()) {
            try {
                emitter.send(event.get());
            } catch (IOException | IllegalStateException e) {
                close();
                complete();
            }
        }
    }

    /** A client that has gone before it was served gets no answer. */
    private void complete() {
        try {
            emitter.complete();
        } catch (IllegalStateException e) {
            LOG.debug("A listener left before it was served", e);
        }
    }
}

package dobbin.server.pictures;

import dobbin.gather.GatherOptions;
import dobbin.server.Settings;
import dobbin.server.web.Refused;
import dobbin.server.work.Lines;
import dobbin.server.work.Turns;
import dobbin.server.worker.Workers;
import dobbin.still.Checkpoint;
import dobbin.still.UnreadablePicture;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Reads files off the request, large ones a few at a time (fewer while somebody works) and small ones beside them, each with so much of a processor at most. Whoever
 * asked can give it up.
 */
@Component
class Reading {
    private static final int AT_A_TIME = Runtime.getRuntime().availableProcessors();
    private static final int MOST_WAITING = 10_000;

    private final PictureLibrary library;
    private final Duration most;
    private final Lines large;
    private final Lines small = Lines.of("reads small", AT_A_TIME);
    /** These wait for a worker process; those of one person hold up nobody else's. */
    private final Lines drawings =
            Lines.bounded("reads drawings", Workers.PROCESSES, Workers.OF_ONE_PERSON, MOST_WAITING);

    Reading(PictureLibrary library, Turns turns, Settings settings) {
        this.large = turns.beside("reads");
        this.library = library;
        this.most = settings.longestReading();
    }

    /** A file that is being read. */
    final class UnderWay {
        private final AtomicBoolean unwanted = new AtomicBoolean();
        private final CompletableFuture<PictureLibrary.TakenFile> result = new CompletableFuture<>();

        CompletableFuture<PictureLibrary.TakenFile> result() {
            return result;
        }

        void giveUp() {
            unwanted.set(true);
        }

        private void read(Incoming incoming, String name, GatherOptions choices) {
            ReadingTime time = new ReadingTime(most);
            Checkpoint checkpoint = new Checkpoint() {
                @Override
                public void check() {
                    if (unwanted.get()) {
                        throw new CancellationException("is not wanted any more");
                    }
                    time.check();
                }

                @Override
                public void came() {
                    time.came();
                }
            };
            try (incoming) {
                checkpoint.check();
                result.complete(library.take(incoming, name, choices, checkpoint));
            } catch (CancellationException e) {
                result.completeExceptionally(new UnreadablePicture(e.getMessage(), e));
            } catch (UnreadablePicture | RuntimeException | OutOfMemoryError e) {
                result.completeExceptionally(e);
            }
        }
    }

    /** @param incoming is closed in the end */
    UnderWay begin(Incoming incoming, String name, GatherOptions choices) {
        UnderWay reading = new UnderWay();
        try {
            lineOf(incoming).execute(() -> reading.read(incoming, name, choices));
        } catch (RejectedExecutionException e) {
            incoming.close();
            throw new Refused(HttpStatus.SERVICE_UNAVAILABLE, "Dobbin is being stopped.");
        }
        return reading;
    }

    private Lines lineOf(Incoming incoming) {
        if (library.isDrawing(incoming)) {
            return drawings;
        }
        return library.isSmall(incoming) ? small : large;
    }

    @PreDestroy
    void stop() {
        drawings.stop();
        large.stop();
        small.stop();
    }
}

package dobbin.server.deliveries;

import dobbin.raster.Raster;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.server.reels.ReelSnapshot;
import dobbin.server.work.Budget;
import dobbin.server.work.Latest;
import dobbin.server.work.Remembered;
import dobbin.server.work.Turns;
import dobbin.slim.Delivered;
import dobbin.slim.Drawing;
import dobbin.slim.Encoded;
import dobbin.slim.Framed;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.slim.Stages;
import dobbin.slim.Trials;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Service;

/**
 * Makes files, each once however many want it, and keeps the latest: what was weighed a moment ago is delivered at once,
 * other delays cost nothing, and frames that did not change are not drawn again.
 */
@Service
public class Encoder {
    /**
     * A drawn frame, and what is remembered of it as long as it is kept: two plans (up to 4), two sets of codes (up to 2) and
     * its colors.
     */
    private static final int BYTES_A_PIXEL = 12;

    /** At most two of it with hard edges, where it has soft ones. */
    private static final int BYTES_OF_HARD_EDGES = 8;

    /** Frames under way at a time, each drawn, hardened, planned and coded. */
    private static final int BYTES_OF_WORK_A_PIXEL = 200;

    /** Two frames at a time, as drawn and as delivered, and what blurring them needs. */
    private static final int BYTES_LOOKED_A_PIXEL = 128;
    /** What is on screen, what was before, and two frames that are looked at. */
    private static final int BYTES_REPLAYED_A_PIXEL = 16;

    private static final long KEPT_BYTES = 48_000_000;
    private static final int PATIENCE_MILLIS = 50;

    private final Slim slim;
    private final Pictures pictures;
    private final Budget budget;
    private final Latest<Encoded> encoded;
    private final Remembered<Raster> drawn;
    private final Map<String, Making> underWay = new ConcurrentHashMap<>();

    Encoder(Slim slim, Pictures pictures, Budget budget) {
        this.slim = slim;
        this.pictures = pictures;
        this.budget = budget;
        this.encoded = new Latest<>(budget, Budget.Kept.FILES, (key, loop) -> loop.bytes());
        this.drawn = new Remembered<>(
                budget,
                Budget.Kept.DRAWN_FOR_FILES,
                (key, raster) ->
                        Math.toIntExact(bytesAPixel(raster) * raster.size().area()));
    }

    private static int bytesAPixel(Raster raster) {
        return BYTES_A_PIXEL + (raster.isOpaque() ? 0 : BYTES_OF_HARD_EDGES);
    }

    Optional<Delivered> known(ReelSnapshot seen) {
        return knownEncoding(seen).map(loop -> Slim.file(loop, seen.reel()));
    }

    /** @return what the reel's file is made of, if that is kept */
    public Optional<Encoded> knownEncoding(ReelSnapshot seen) {
        return encoded.known(Slim.nameOfEncoded(seen.reel(), seen.keys()));
    }

    /** @return draws the reel's frames, each once as long as there is memory for them */
    public Drawing drawing(ReelSnapshot seen) {
        return (reel, tracks, frame, framed) -> frame(seen, frame, framed);
    }

    /** @return where trials wait for memory */
    public Trials.Admission admission() {
        return new Trials.Admission() {
            @Override
            public <T> T during(Reel reel, Progress progress, Supplier<T> work) {
                return budget.during(bytesOfWork(reel), () -> progress.report(0, 1), work::get);
            }

            @Override
            public <T> T toLook(Reel reel, Progress progress, Supplier<T> work) {
                long seen = reel.delivery().framing().seenSize(reel.canvas()).area();
                long bytes = BYTES_LOOKED_A_PIXEL * seen
                        + BYTES_REPLAYED_A_PIXEL * reel.deliveredSize().area();
                return budget.during(Math.min(bytes, budget.mostBytes()), () -> progress.report(0, 1), work::get);
            }

            @Override
            public long mostKept() {
                return budget.bytesFor(Budget.Kept.COMPARED);
            }
        };
    }

    /** @throws CancellationException from {@code progress} */
    public Delivered encode(ReelSnapshot seen, Progress progress) {
        Reel reel = seen.reel();
        String name = Slim.nameOfEncoded(reel, seen.keys());
        while (true) {
            Optional<Encoded> known = encoded.known(name);
            if (known.isPresent()) {
                return Slim.file(known.get(), reel);
            }
            Making mine = new Making();
            mine.join(progress);
            Making others = underWay.putIfAbsent(name, mine);
            if (others == null) {
                return Slim.file(make(seen, name, mine, progress), reel);
            }
            if (others.join(progress)) {
                waitFor(others, progress);
            }
        }
    }

    private Encoded make(ReelSnapshot seen, String name, Making making, Progress progress) {
        Reel reel = seen.reel();
        try {
            Encoded made = budget.during(
                    bytesOfWork(reel), () -> making.tell(progress), () -> slim.encode(reel, drawing(seen), making));
            encoded.keep(name, made);
            return made;
        } finally {
            underWay.remove(name, making);
            making.ended().complete(null);
        }
    }

    /** Waits for the same file that another thread makes. If that fails, the caller makes it again and gets the failure itself. */
    private static void waitFor(Making others, Progress progress) {
        try {
            while (!others.ended().isDone()) {
                others.tell(progress);
                try {
                    others.ended().get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS);
                } catch (TimeoutException e) {
                    // Asks again whether it is still wanted.
                }
            }
        } catch (ExecutionException e) {
            throw new IllegalStateException("It ends without a result", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancellationException();
        } finally {
            others.leave(progress);
        }
    }

    private static long bytesOfWork(Reel reel) {
        long pixels = reel.deliveredSize().area();
        return Math.min(KEPT_BYTES, 4 * pixels * reel.deliveredFrames().size()) + BYTES_OF_WORK_A_PIXEL * pixels;
    }

    private Raster frame(ReelSnapshot seen, Frame frame, Framed framed) {
        return drawn.get(
                seen.keys().of(frame) + ' ' + framed,
                () -> framed.draw(seen.reel(), seen.keys().tracks(), frame, pictures));
    }

    @Configuration
    static class Engine {
        @Bean
        Slim slim(Turns turns) {
            return new Slim(turns.at(Turns.Urgency.LATER), Stages.UNTOLD, new PictureMemory());
        }
    }
}

package dobbin.slim;

import dobbin.compare.Viewed;
import dobbin.gif.Replay;
import dobbin.raster.Bilinear;
import dobbin.raster.Compositor;
import dobbin.raster.Parallel;
import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Framing;
import dobbin.reel.Reel;
import dobbin.reel.Scaling;
import dobbin.reel.Tracks;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.stream.IntStream;

/**
 * The drawn loop, against which delivered ones are measured at the size it is looked at ({@link Framing#seenSize}). A
 * smaller file is enlarged as browsers do. What is transparent is looked at on the matte, or where there is none on white
 * and on black.
 *
 * <p>Does not depend on colors, width, or which frames are delivered; so one serves to compare many settings.
 */
public final class Original {
    private static final int WHITE = 0xFFFFFF;
    private static final int BLACK = 0;
    private static final int OPAQUE = 0xFF000000;
    /** More would hold more pictures in memory than {@link Trials.Admission#toLook} counts. */
    private static final int AT_ONCE = 2;

    private final Reel reel;
    private final List<Frame> loop;
    private final Tracks tracks;
    private final Drawing drawing;
    private final Framed framed;
    private final Executor executor;
    private final long rememberedBytes;
    private final Map<Integer, List<Viewed>> known = new ConcurrentHashMap<>();

    /**
     * @param rememberedBytes the most that is kept of what is seen of the drawn frames, for comparing more than once
     */
    public Original(Reel reel, Drawing drawing, long rememberedBytes, Executor executor) {
        Framing framing = reel.delivery().framing();
        Framing plain =
                new Framing(framing.crop(), Framing.FOLLOWS, Framing.FOLLOWS, 1, Scaling.SMOOTH, framing.every());
        this.reel = reel.withDelivery(reel.delivery().with(plain));
        this.loop = reel.loop();
        this.tracks = new Tracks(reel.frames());
        this.drawing = drawing;
        this.executor = executor;
        this.rememberedBytes = rememberedBytes;
        this.framed = Framed.of(this.reel, framing.seenSize(reel.canvas()));
    }

    /**
     * A frame that is looked at.
     *
     * @param frame of the loop, from 0
     * @param encoded which frame of the encoded loop shows then
     * @param weight how much it counts
     */
    record Looked(int frame, int encoded, double weight) {}

    /**
     * Looks at some frames, spread over the loop, each for those around it.
     *
     * @param encoded of this loop, at whatever settings
     * @param every which frames it has, as {@link Framing#every} says
     * @param mostFrames how many frames are looked at
     * @throws CancellationException from {@code progress}
     */
    public Appearance compare(Encoded encoded, int every, int mostFrames, Progress progress) {
        int count = Math.min(mostFrames, loop.size());
        double[] weights = new double[count];
        for (int i = 0; i < loop.size(); i++) {
            weights[(int) ((long) i * count / loop.size())] += loop.get(i).delayMillis();
        }
        List<Looked> looked = IntStream.range(0, count)
                .mapToObj(i -> {
                    int frame = middle(i, count, loop.size());
                    return new Looked(frame, frame / every, weights[i]);
                })
                .toList();
        return compare(encoded, looked, progress);
    }

    Appearance compare(Encoded encoded, List<Looked> looked, Progress progress) {
        Replay replay = new Replay(encoded.size(), encoded.settings().palette(), encoded.stored());
        List<CompletableFuture<Double>> running = new ArrayList<>();
        for (Looked each : looked) {
            progress.report(running.size(), looked.size());
            if (running.size() >= AT_ONCE) {
                Parallel.join(running.get(running.size() - AT_ONCE));
            }
            Raster delivered = replay.at(each.encoded);
            running.add(CompletableFuture.supplyAsync(() -> error(each.frame, delivered), executor));
        }
        List<Double> errors = running.stream().map(Parallel::join).toList();
        double sum = 0;
        double weight = 0;
        int worst = 0;
        for (int i = 0; i < errors.size(); i++) {
            sum += looked.get(i).weight * errors.get(i);
            weight += looked.get(i).weight;
            worst = errors.get(i) > errors.get(worst) ? i : worst;
        }
        return new Appearance(sum / weight, looked.get(worst).frame, errors.get(worst));
    }

    /** @return the frame as it is drawn at the size it is looked at */
    public Raster frame(int index) {
        return drawing.draw(reel, tracks, loop.get(index), framed);
    }

    /** @return the picture as it is seen on a page of that color, 0xRRGGBB */
    public static Raster on(Raster picture, int page) {
        if (picture.isOpaque()) {
            return picture;
        }
        int[] argb = picture.argb().clone();
        for (int i = 0; i < argb.length; i++) {
            argb[i] = Compositor.over(argb[i], OPAQUE | page);
        }
        return Raster.of(picture.size(), argb);
    }

    private double error(int frame, Raster delivered) {
        List<Viewed> drawn = drawn(frame);
        List<Integer> pages = drawn.size() == 1 ? pages().subList(0, 1) : pages();
        double sum = 0;
        for (int i = 0; i < drawn.size(); i++) {
            Raster on = on(delivered, pages.get(i));
            sum += drawn.get(i).meanError(Viewed.of(looked(on, framed.delivered())));
        }
        return sum / drawn.size();
    }

    private List<Viewed> drawn(int frame) {
        List<Viewed> before = known.get(frame);
        if (before != null) {
            return before;
        }
        List<Viewed> drawn = viewed(frame);
        long bytes = drawn.stream().mapToLong(Viewed::bytes).sum();
        if ((known.size() + 1) * bytes <= rememberedBytes) {
            known.put(frame, drawn);
        }
        return drawn;
    }

    private List<Viewed> viewed(int frame) {
        Raster picture = frame(frame);
        // An opaque picture is the same on every page.
        return pages().stream()
                .limit(picture.isOpaque() ? 1 : 2)
                .map(page -> Viewed.of(on(picture, page)))
                .toList();
    }

    private List<Integer> pages() {
        String matte = reel.delivery().matte();
        if (!matte.isEmpty()) {
            return List.of(Integer.parseInt(matte, 16));
        }
        return List.of(WHITE, BLACK);
    }

    /** A larger one is reduced with every pixel counting, a smaller one enlarged as browsers do. */
    private static Raster looked(Raster opaque, Size size) {
        return opaque.width() > size.width() ? Resampler.resize(opaque, size) : Bilinear.resize(opaque, size);
    }

    /** The middle one of those a sampled frame stands for. */
    private static int middle(int i, int count, int frames) {
        return (int) (((2L * i + 1) * frames) / (2L * count));
    }
}

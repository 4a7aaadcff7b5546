package dobbin.server.slimming;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.compare.Heat;
import dobbin.compare.Viewed;
import dobbin.gif.Replay;
import dobbin.raster.Bounds;
import dobbin.raster.Overlay;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Crop;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.render.Renderer;
import dobbin.server.deliveries.Encoder;
import dobbin.server.reels.ReelSnapshot;
import dobbin.server.work.Turns;
import dobbin.server.work.Turns.Urgency;
import dobbin.slim.DitherPatches;
import dobbin.slim.Encoded;
import dobbin.slim.Framed;
import dobbin.slim.Original;
import dobbin.still.PngWriter;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import org.springframework.stereotype.Component;

/** Pictures of a file's frames beside the drawn ones, and of all frames seen together. */
@Component
class FilePictures {
    private static final int FILES_PLAYED = 8;
    /** Frames seen together, spread over the loop, and how large. */
    private static final int OVERLAID = 40;

    private static final int OVERLAY_SIDE = 640;
    private static final int AT_A_TIME = 4;

    private final Encoder encoder;
    private final Pictures pictures;
    private final Turns turns;
    private final Cache<String, Replay> played =
            Caffeine.newBuilder().maximumSize(FILES_PLAYED).build();

    FilePictures(Encoder encoder, Pictures pictures, Turns turns) {
        this.encoder = encoder;
        this.pictures = pictures;
        this.turns = turns;
    }

    /** Which picture of a frame. */
    enum Sight {
        /** As the file shows it. */
        DELIVERED,
        /** As it was drawn, before its colors were reduced. */
        DRAWN,
        /** Where the two differ. */
        HEAT
    }

    /** @param place which of the delivered frames, from 0 */
    byte[] frame(ReelSnapshot seen, String file, Encoded encoded, int place, Sight sight) {
        return turns.call(Urgency.SEEN, () -> {
            Raster raster = switch (sight) {
                case DELIVERED -> delivered(file, encoded, place);
                case DRAWN -> drawn(seen, place);
                case HEAT -> heat(drawn(seen, place), delivered(file, encoded, place), seen.reel());
            };
            return PngWriter.bytes(raster);
        });
    }

    byte[] dithers(ReelSnapshot seen) {
        return turns.call(Urgency.SEEN, () -> {
            Raster middle = drawn(seen, seen.reel().deliveredFrames().size() / 2);
            return PngWriter.bytes(DitherPatches.of(middle, seen.reel().delivery()));
        });
    }

    /** All frames that play, seen together. */
    byte[] overlay(ReelSnapshot seen) {
        Size size = seen.reel().canvas().reducedTo(OVERLAY_SIDE);
        return PngWriter.bytes(overlaid(seen, size, OVERLAID).together());
    }

    /** @return the part outside which no frame shows anything but one color, or nothing where there is none but that */
    Optional<Crop> trimmed(ReelSnapshot seen) {
        Size canvas = seen.reel().canvas();
        Size size = canvas.reducedTo(OVERLAY_SIDE);
        double scale = (double) canvas.width() / size.width();
        return overlaid(seen, size, Integer.MAX_VALUE)
                .content()
                .map(box -> new Bounds(
                                (int) Math.floor(box.left() * scale),
                                (int) Math.floor(box.top() * scale),
                                (int) Math.ceil(box.right() * scale),
                                (int) Math.ceil(box.bottom() * scale))
                        .within(Bounds.all(canvas)))
                .map(Crop::of);
    }

    /** A few frames are drawn at a time, and added in order. */
    private Overlay overlaid(ReelSnapshot seen, Size size, int most) {
        List<Frame> loop = seen.reel().loop();
        Overlay overlay = new Overlay(size);
        int count = Math.min(most, loop.size());
        Deque<CompletableFuture<Raster>> drawing = new ArrayDeque<>();
        for (int i = 0; i < count + AT_A_TIME; i++) {
            if (i < count) {
                Frame frame = loop.get((int) ((long) i * loop.size() / count));
                drawing.add(CompletableFuture.supplyAsync(
                        () -> Renderer.draw(seen.reel(), seen.keys().tracks(), frame, pictures, size),
                        turns.at(Urgency.SEEN)));
            }
            if (i >= AT_A_TIME && !drawing.isEmpty()) {
                overlay.add(drawing.remove().join());
            }
        }
        return overlay;
    }

    private Raster delivered(String file, Encoded encoded, int place) {
        return played.get(
                        file,
                        missing -> new Replay(encoded.size(), encoded.settings().palette(), encoded.stored()))
                .at(place);
    }

    private Raster drawn(ReelSnapshot seen, int place) {
        Frame frame = seen.reel().deliveredFrames().get(place);
        return encoder.drawing(seen).draw(seen.reel(), seen.keys().tracks(), frame, Framed.of(seen.reel()));
    }

    private static Raster heat(Raster drawn, Raster delivered, Reel reel) {
        String matte = reel.delivery().matte();
        int page = matte.isEmpty() ? 0xFFFFFF : Integer.parseInt(matte, 16);
        Raster original = Original.on(drawn, page);
        float[] errors = Viewed.of(original).errors(Viewed.of(Original.on(delivered, page)));
        return Heat.of(original, errors);
    }
}

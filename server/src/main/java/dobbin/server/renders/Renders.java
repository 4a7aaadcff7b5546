package dobbin.server.renders;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.dither.Dither;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.render.Looks;
import dobbin.render.Pictures;
import dobbin.render.Renderer;
import dobbin.server.Settings;
import dobbin.server.reels.Reels;
import dobbin.server.web.NotFound;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.still.PngWriter;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Draws what is looked at, and keeps the latest of it. */
@Service
class Renders {
    static final int MAX_WIDTH = 1600;
    private static final int PREVIEW_COLORS = 128;
    private static final int PREVIEW_SIDE = 256;

    private final Reels reels;
    private final Pictures pictures;
    private final Slim slim;
    private final Cache<String, byte[]> drawn;

    Renders(Reels reels, Pictures pictures, Slim slim, Settings settings) {
        this.reels = reels;
        this.pictures = pictures;
        this.slim = slim;
        this.drawn = Caffeine.newBuilder()
                .maximumWeight(settings.renderCache().toBytes())
                .weigher((String key, byte[] bytes) -> bytes.length)
                .build();
    }

    byte[] png(String id, String key, int width) {
        return drawn.get(key + ' ' + width, missing -> {
            Raster raster = reels.findNear(id, reel -> looking(reel, key).map(frame -> draw(reel, frame, width)))
                    .orElseThrow(() -> new NotFound("No frame of this reel looks like that any more."));
            return PngWriter.bytes(raster);
        });
    }

    private static Optional<Frame> looking(Reel reel, String key) {
        return reel.frames().stream()
                .filter(frame -> Looks.of(reel, frame).equals(key))
                .findFirst();
    }

    /** Nothing is kept of it: the next one differs a little. */
    byte[] draft(Reel reel, FrameContent content, int width) {
        Frame frame = Frame.of(reel.nextId(), Ranges.MIN_DELAY_MILLIS, content);
        return PngWriter.bytes(draw(reel, frame, width));
    }

    byte[] preview(String id, String key) {
        return drawn.get(key, missing -> {
            Reel reel = reels.findNear(
                            id,
                            each -> Optional.of(each)
                                    .filter(it -> Looks.ofLoop(it).equals(key)))
                    .orElseThrow(() -> new NotFound("This reel does not look like that any more."));
            int width = reel.canvas().reducedTo(PREVIEW_SIDE).width();
            Delivery small = new Delivery(width, PREVIEW_COLORS, Dither.ERROR, "");
            return slim.deliver(reel.withDelivery(small), pictures, Progress.NONE)
                    .bytes();
        });
    }

    private Raster draw(Reel reel, Frame frame, int width) {
        Size canvas = reel.canvas();
        Size size = canvas.width() <= width ? canvas : canvas.withWidth(width);
        return Renderer.draw(reel, frame, pictures, size);
    }
}

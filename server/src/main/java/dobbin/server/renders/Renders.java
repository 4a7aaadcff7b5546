package dobbin.server.renders;

import dobbin.dither.Dither;
import dobbin.edit.EditRejected;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Art;
import dobbin.reel.Card;
import dobbin.reel.Cutout;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Key;
import dobbin.reel.PictureRef;
import dobbin.reel.Pose;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.render.RenderKeys;
import dobbin.render.Renderer;
import dobbin.server.jobs.Jobs;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.reels.ReelSnapshot;
import dobbin.server.reels.Reels;
import dobbin.server.web.NotFound;
import dobbin.server.work.Budget;
import dobbin.server.work.Remembered;
import dobbin.server.work.Turns;
import dobbin.server.work.Turns.Urgency;
import dobbin.slim.Progress;
import dobbin.slim.Slim;
import dobbin.still.PngWriter;
import dobbin.timing.Easing;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Service;

/** Draws what is looked at, and keeps the latest of it. */
@Service
class Renders {
    static final int MAX_WIDTH = 1600;
    /** A box is cut from a frame at full size; 20 megapixels take 80 MB. */
    private static final int MAX_CUT_PIXELS = 20_000_000;

    private static final int PREVIEW_COLORS = 128;
    private static final int PREVIEW_SIDE = 256;

    private final Reels reels;
    private final Pictures pictures;
    private final PictureLibrary library;
    private final Slim slim;
    private final Turns turns;
    private final Jobs jobs;
    private final Remembered<byte[]> drawn;

    Renders(Reels reels, Pictures pictures, PictureLibrary library, Slim slim, Turns turns, Jobs jobs, Budget budget) {
        this.reels = reels;
        this.pictures = pictures;
        this.library = library;
        this.slim = slim;
        this.turns = turns;
        this.jobs = jobs;
        this.drawn = new Remembered<>(budget, Budget.Kept.SEEN, (key, bytes) -> bytes.length);
    }

    byte[] png(String id, String key, int width, Set<Integer> without, Urgency urgency) {
        return drawn.get(
                key + ' ' + width + ' ' + new TreeSet<>(without),
                () -> turns.call(urgency, () -> {
                    Raster raster = reels.findNear(
                                    id,
                                    seen -> seen.keys()
                                            .frame(key)
                                            .map(frame -> draw(without(seen.reel(), without), frame, width)))
                            .orElseThrow(() -> new NotFound("No frame of this reel looks like that any more."));
                    return PngWriter.bytes(raster);
                }));
    }

    byte[] art(String id, int cutout, String key, int width) {
        return drawn.get(
                key + " alone " + width,
                () -> turns.call(Urgency.SEEN, () -> {
                    Raster raster = reels.findNear(
                                    id,
                                    seen -> showing(seen, cutout, key).map(each -> {
                                        Reel reel = seen.reel();
                                        Cutout shown = cutout(reel, cutout).orElseThrow();
                                        return Renderer.art(reel, shown, each, pictures, scale(shown.art(), width));
                                    }))
                            .orElseThrow(() -> new NotFound("No cut-out of this reel looks like that any more."));
                    return PngWriter.bytes(raster);
                }));
    }

    /** @param box in pixels of the canvas */
    PictureRef cutting(String id, String key, Bounds box) {
        return turns.call(Urgency.NOW, () -> {
            Raster raster = reels.findNear(
                            id,
                            seen -> seen.keys()
                                    .frame(key)
                                    .map(frame ->
                                            Renderer.draw(seen.reel(), frame, pictures, cuttingSize(seen.reel()))))
                    .orElseThrow(() -> new NotFound("No frame of this reel looks like that any more."));
            Bounds seen = box.within(Bounds.all(raster.size()));
            if (seen.isEmpty()) {
                throw new EditRejected("width", "of the box must reach over the canvas");
            }
            return library.keep(raster.cut(seen));
        });
    }

    private static Size cuttingSize(Reel reel) {
        Size canvas = reel.canvas();
        if (canvas.area() > MAX_CUT_PIXELS) {
            throw new EditRejected(
                    "width",
                    "of the canvas is too much to cut from: " + canvas + ", at most " + MAX_CUT_PIXELS / 1_000_000
                            + " megapixels. Make the canvas smaller first");
        }
        return canvas;
    }

    /** Nothing is kept of it: the next one differs a little. */
    byte[] artDraft(Reel reel, Art art, int width) {
        Frame frame = Frame.of(reel.nextId(), Ranges.MIN_DELAY_MILLIS, Card.blank(""));
        Reel alone = Reel.empty("Draft").withFrames(List.of(frame), reel.nextId() + 1);
        Cutout cutout = Cutout.of(1, "Draft", art, new Key(frame.id(), Pose.at(0, 0), Easing.EVEN));
        return turns.call(
                Urgency.NOW, () -> PngWriter.bytes(Renderer.art(alone, cutout, frame, pictures, scale(art, width))));
    }

    /** Lettering and shapes are sharp at any size, so a small one is not made larger than it is. */
    private static double scale(Art art, int width) {
        return Math.min(1, width / Math.max(art.width(), art.height()));
    }

    private static Optional<Cutout> cutout(Reel reel, int id) {
        return reel.cutouts().stream().filter(each -> each.id() == id).findFirst();
    }

    private static Optional<Frame> showing(ReelSnapshot seen, int id, String key) {
        RenderKeys keys = seen.keys();
        return cutout(seen.reel(), id)
                .flatMap(cutout -> seen.reel().frames().stream()
                        .filter(frame -> keys.ofArt(cutout, keys.tracks().index(frame.id()))
                                .equals(key))
                        .findFirst());
    }

    private static Reel without(Reel reel, Set<Integer> cutouts) {
        return reel.withCutouts(reel.cutouts().stream()
                .filter(each -> !cutouts.contains(each.id()))
                .toList());
    }

    /** Nothing is kept of it: the next one differs a little. */
    byte[] draft(Reel reel, FrameContent content, int width) {
        Frame frame = Frame.of(reel.nextId(), Ranges.MIN_DELAY_MILLIS, content);
        return turns.call(Urgency.NOW, () -> PngWriter.bytes(draw(reel, frame, width)));
    }

    /** Made in the background, in small pieces, since many are asked for when a shelf opens. */
    byte[] preview(String id, String key) {
        return drawn.get(key, () -> {
            Reel reel = reels.findNear(
                            id,
                            seen -> Optional.of(seen.reel())
                                    .filter(it -> seen.keys().ofLoop().equals(key)))
                    .orElseThrow(() -> new NotFound("This reel does not look like that any more."));
            int width = reel.canvas().reducedTo(PREVIEW_SIDE).width();
            Delivery small = new Delivery(width, PREVIEW_COLORS, Dither.SIERRA_LITE, "", Encoding.USUAL);
            return jobs.call(() -> slim.deliver(reel.withDelivery(small), pictures, Progress.NONE)
                    .bytes());
        });
    }

    private Raster draw(Reel reel, Frame frame, int width) {
        Size canvas = reel.canvas();
        Size size = canvas.width() <= width ? canvas : canvas.withWidth(width);
        return Renderer.draw(reel, frame, pictures, size);
    }
}

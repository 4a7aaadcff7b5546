package dobbin.server.drawing;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import dobbin.draw.DrawnPart;
import dobbin.draw.Mark;
import dobbin.draw.Press;
import dobbin.draw.Scene;
import dobbin.draw.SeenColors;
import dobbin.draw.Shift;
import dobbin.edit.Batch;
import dobbin.edit.Cell;
import dobbin.edit.Edit;
import dobbin.edit.EditRejected;
import dobbin.edit.RemoveCutouts;
import dobbin.edit.SetInk;
import dobbin.edit.ShowCutouts;
import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Card;
import dobbin.reel.Cutout;
import dobbin.reel.Frame;
import dobbin.reel.Ink;
import dobbin.reel.Key;
import dobbin.reel.OutOfRange;
import dobbin.reel.PictureRef;
import dobbin.reel.Pose;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.render.Renderer;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.reels.OpenReel;
import dobbin.server.reels.Reels;
import dobbin.server.reels.StaleBase;
import dobbin.server.work.Turns;
import dobbin.server.work.Turns.Urgency;
import dobbin.timing.Easing;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Makes marks on frames: each is one step, and its ink a picture like any other. */
@Service
public class Drawings {
    /** Pictures are worked with up to this; ink must stay exact. */
    private static final int LONGEST_SIDE = 1600;

    private static final int LOOKED_AT_SIDE = 320;
    private static final int ATTEMPTS = 5;
    /** Of the largest marks. */
    private static final double MOST_AT_ONCE = 10;

    private final Reels reels;
    private final PictureLibrary pictures;
    private final Turns turns;
    /** A lock is there as long as anybody holds it or waits for it. */
    private final LoadingCache<String, ReentrantLock> hands =
            Caffeine.newBuilder().weakValues().build(reel -> new ReentrantLock(true));

    Drawings(Reels reels, PictureLibrary pictures, Turns turns) {
        this.reels = reels;
        this.pictures = pictures;
        this.turns = turns;
    }

    /** Makes a mark on some frames, in one step. */
    public OpenReel mark(String id, List<Integer> frames, Mark mark) {
        return inTurn(id, reel -> turns.call(Urgency.NOW, () -> marked(reel, frames, mark)));
    }

    /** Makes a cut-out ink on some frames, where it lies there, in one step. On these frames it is not there any more. */
    OpenReel imprint(String id, int cutout, List<Integer> frames) {
        return inTurn(id, reel -> turns.call(Urgency.NOW, () -> imprinted(reel, cutout(reel, cutout), frames)));
    }

    /** Marks on one reel are made one after the other, each on the ink that the one before left. */
    private OpenReel inTurn(String id, Function<Reel, Edit> drawing) {
        ReentrantLock hand = hands.get(id);
        hand.lock();
        try {
            return edited(id, drawing);
        } finally {
            hand.unlock();
        }
    }

    private OpenReel edited(String id, Function<Reel, Edit> drawing) {
        StaleBase last = null;
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            OpenReel open = reels.open(id);
            Edit edit = drawing.apply(open.reel());
            try {
                return reels.edit(id, open.revision(), edit);
            } catch (StaleBase e) {
                last = e;
            }
        }
        throw last;
    }

    private SetInk marked(Reel reel, List<Integer> frames, Mark mark) {
        if (frames.size() * mark.cost() > MOST_AT_ONCE) {
            throw new EditRejected("frames", "are too many for so large a mark. Draw it on fewer at a time");
        }
        return drawn(reel, frames, mark.verb(), frame -> mark.on(ink(reel, frame), scene(reel, frame, mark)));
    }

    private Edit imprinted(Reel reel, Cutout cutout, List<Integer> frames) {
        checkFrames(reel, frames);
        if (cutout.hidden() || cutout.away().stream().anyMatch(frames::contains)) {
            throw new EditRejected("cutout", "is not seen on every one of these frames");
        }
        SetInk inks = drawn(reel, frames, "Make a cut-out ink", frame -> {
            int[] argb = ink(reel, frame).argb().clone();
            Raster layer = Renderer.cutout(reel, cutout, frame, pictures, reel.canvas());
            Compositor.over(layer, 0, 0, argb, reel.canvas());
            return Raster.of(reel.canvas(), argb);
        });
        boolean elsewhere = reel.frames().stream()
                .map(Frame::id)
                .anyMatch(frame -> !frames.contains(frame) && !cutout.away().contains(frame));
        Edit gone = elsewhere
                ? new ShowCutouts(
                        frames.stream()
                                .map(frame -> new Cell(cutout.id(), frame))
                                .toList(),
                        false)
                : new RemoveCutouts(List.of(cutout.id()));
        return new Batch(List.of(inks, gone), inks.title(reel));
    }

    /** Before anything is drawn on the first of them. */
    private static void checkFrames(Reel reel, List<Integer> frames) {
        Set<Integer> there = reel.frames().stream().map(Frame::id).collect(Collectors.toSet());
        Set<Integer> named = new HashSet<>();
        for (Integer frame : frames) {
            if (!there.contains(frame)) {
                throw new EditRejected("frames", "name one that is no longer in this reel");
            }
            if (!named.add(frame)) {
                throw new EditRejected("frames", "name one twice");
            }
        }
    }

    /** @param layer what is drawn on a frame then */
    private SetInk drawn(Reel reel, List<Integer> frames, String verb, Function<Frame, Raster> layer) {
        checkFrames(reel, frames);
        Size canvas = reel.canvas();
        if (Math.max(canvas.width(), canvas.height()) > LONGEST_SIDE) {
            throw new EditRejected(
                    "canvas",
                    "is " + canvas + ", and ink is drawn on canvases of up to " + LONGEST_SIDE
                            + " pixels a side. Make the canvas smaller on the sheet first");
        }
        try {
            return new SetInk(
                    frames.stream()
                            .map(id -> frame(reel, id))
                            .map(frame -> new SetInk.Drawn(
                                    frame.id(), frame.ink().picture(), kept(layer.apply(frame), frame.ink())))
                            .toList(),
                    verb);
        } catch (OutOfRange e) {
            throw new EditRejected(e.field(), e.getMessage(), e);
        }
    }

    private Raster ink(Reel reel, Frame frame) {
        return Renderer.ink(frame.ink(), reel, pictures, reel.canvas());
    }

    private Scene scene(Reel reel, Frame frame, Mark mark) {
        Size canvas = reel.canvas();
        return new Scene(
                () -> Renderer.underInk(reel, frame, pictures, canvas),
                () -> Renderer.draw(reel, frame, pictures, canvas),
                () -> Renderer.ink(((Shift) mark).from(), reel, pictures, canvas),
                () -> art((Press) mark, canvas));
    }

    /** Letters can be far larger than the canvas: what is not seen of them is not drawn. */
    private Raster art(Press press, Size canvas) {
        Frame frame = Frame.of(1, Ranges.MIN_DELAY_MILLIS, Card.blank(""));
        Reel alone = Reel.empty("Press").withFrames(List.of(frame), 2);
        Cutout cutout = Cutout.of(3, "Press", press.art(), new Key(frame.id(), Pose.at(0, 0), Easing.EVEN));
        return Renderer.artAt(alone, cutout, frame, pictures, press.x(), press.y(), canvas);
    }

    /** @param before the ink that it was drawn on */
    private Ink kept(Raster layer, Ink before) {
        Optional<Bounds> part = DrawnPart.of(layer);
        if (part.isEmpty()) {
            return Ink.NONE;
        }
        int x = part.get().left();
        int y = part.get().top();
        PictureRef picture = pictures.keep(layer.cut(part.get()), before.picture(), before.x() - x, before.y() - y);
        return new Ink(picture.picture(), picture.size(), x, y);
    }

    private static Frame frame(Reel reel, int id) {
        return reel.frames().stream()
                .filter(each -> each.id() == id)
                .findFirst()
                .orElseThrow(() -> new EditRejected("frame", "is no longer in this reel"));
    }

    private static Cutout cutout(Reel reel, int id) {
        return reel.cutouts().stream()
                .filter(each -> each.id() == id)
                .findFirst()
                .orElseThrow(() -> new EditRejected("cutout", "is no longer in this reel"));
    }

    /** @return the layer of a frame that has that name, as large as the canvas */
    Optional<Raster> layer(String id, String name) {
        return reels.findNear(id, seen -> {
            Reel reel = seen.reel();
            for (Frame frame : reel.frames()) {
                if (nameOf(frame.ink()).equals(name)) {
                    return Optional.of(Renderer.ink(frame.ink(), reel, pictures, reel.canvas()));
                }
                if (seen.keys().ofUnderInk(frame).equals(name)) {
                    return Optional.of(Renderer.underInk(reel, frame, pictures, seenSize(reel)));
                }
                if (seen.keys().ofOverInk(frame).equals(name)) {
                    return Optional.of(Renderer.overInk(reel, frame, pictures, seenSize(reel)));
                }
            }
            return Optional.empty();
        });
    }

    /** The name of a layer of ink in its address. */
    private static String nameOf(Ink ink) {
        return ink.picture() + '.' + ink.x() + '.' + ink.y();
    }

    private static Size seenSize(Reel reel) {
        return reel.canvas().reducedTo(LONGEST_SIDE);
    }

    /** @return up to so many colors of what is seen on a frame, the most frequent first */
    List<String> colors(String id, int frame, int count) {
        Reel reel = reels.open(id).reel();
        return turns.call(
                Urgency.NOW,
                () -> SeenColors.of(
                        Renderer.draw(
                                reel,
                                frame(reel, frame),
                                pictures,
                                reel.canvas().reducedTo(LOOKED_AT_SIDE)),
                        count));
    }
}

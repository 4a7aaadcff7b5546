package dobbin.render;

import dobbin.raster.Affine;
import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Border;
import dobbin.reel.Card;
import dobbin.reel.Cutout;
import dobbin.reel.Fill;
import dobbin.reel.Frame;
import dobbin.reel.FrameContent;
import dobbin.reel.Ink;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.List;
import java.util.function.Predicate;

/** Frames to pictures. The same frame, canvas and pictures give the same pixels, whoever asks. */
public final class Renderer {
    private Renderer() {}

    /**
     * Draws {@code frame} as it shows on the canvas of {@code reel}, scaled to {@code size}: the backdrop, the cut-outs
     * under the stills, what the frame itself shows, the ink on it, the other cut-outs, the border. What nothing covers is transparent.
     *
     * @param size of the canvas's ratio, but for rounding
     */
    public static Raster draw(Reel reel, Frame frame, Pictures pictures, Size size) {
        return draw(reel, new Tracks(reel.frames()), frame, pictures, size);
    }

    /** Draws one of many frames of a reel. @param tracks of that reel, computed once for all of them */
    public static Raster draw(Reel reel, Tracks tracks, Frame frame, Pictures pictures, Size size) {
        Raster content = inked(content(frame.content(), reel.canvas(), pictures, size), frame.ink(), reel, pictures);
        if (reel.cutouts().isEmpty()
                && reel.backdrop().equals(Fill.NONE)
                && reel.border().none()) {
            return content;
        }
        Affine place = Affine.scale(
                (double) size.width() / reel.canvas().width(),
                (double) size.height() / reel.canvas().height());
        CutoutPainter painter = new CutoutPainter(tracks, tracks.index(frame.id()), pictures);
        int[] argb = backdrop(reel, place, pictures, size);
        painter.draw(those(reel, Cutout::under), place, argb, size);
        Compositor.over(content, 0, 0, argb, size);
        painter.draw(those(reel, cutout -> !cutout.under()), place, argb, size);
        if (!reel.border().none()) {
            BorderPainter.draw(reel.border(), reel.canvas(), place, argb, size);
        }
        return Raster.of(size, argb);
    }

    /** Draws what lies under the ink of a frame: the backdrop, the cut-outs under the stills, and what the frame itself shows. */
    public static Raster underInk(Reel reel, Frame frame, Pictures pictures, Size size) {
        return draw(
                reel.withCutouts(those(reel, Cutout::under)).withBorder(Border.NONE),
                frame.withInk(Ink.NONE),
                pictures,
                size);
    }

    /** Draws what lies over the ink of a frame, on nothing: the other cut-outs and the border. */
    public static Raster overInk(Reel reel, Frame frame, Pictures pictures, Size size) {
        return draw(
                reel.withCutouts(those(reel, cutout -> !cutout.under())).withBackdrop(Fill.NONE),
                frame.withContent(Card.blank("")).withInk(Ink.NONE),
                pictures,
                size);
    }

    /** Draws a cut-out as it lies on a frame, on nothing: as it is blended where there is nothing below. */
    public static Raster cutout(Reel reel, Cutout cutout, Frame frame, Pictures pictures, Size size) {
        Reel alone = reel.withCutouts(List.of(cutout)).withBackdrop(Fill.NONE).withBorder(Border.NONE);
        return draw(alone, frame.withContent(Card.blank("")).withInk(Ink.NONE), pictures, size);
    }

    /**
     * Draws what a cut-out shows on a frame, without its pose, shadow and blend mode.
     *
     * @param scale pixels to a unit of its box
     */
    public static Raster art(Reel reel, Cutout cutout, Frame frame, Pictures pictures, double scale) {
        Size size = new Size((int) Math.max(1, Math.ceil(cutout.art().width() * scale)), (int)
                Math.max(1, Math.ceil(cutout.art().height() * scale)));
        return art(reel, cutout, frame, pictures, Affine.scale(scale, scale), size);
    }

    /**
     * Draws a cut-out at its own scale onto a picture of that size, as far as it lies on it.
     *
     * @param x where the left of its box lies on the picture, and {@code y} its top
     */
    public static Raster artAt(Reel reel, Cutout cutout, Frame frame, Pictures pictures, int x, int y, Size size) {
        return art(reel, cutout, frame, pictures, Affine.shift(x, y), size);
    }

    private static Raster art(Reel reel, Cutout cutout, Frame frame, Pictures pictures, Affine place, Size size) {
        Tracks tracks = new Tracks(reel.frames());
        int[] argb = new int[Math.toIntExact(size.area())];
        new CutoutPainter(tracks, tracks.index(frame.id()), pictures)
                .alone(cutout, place, size)
                .ifPresent(layer -> Compositor.over(layer.raster(), layer.x(), layer.y(), argb, size));
        return Raster.of(size, argb);
    }

    private static Raster inked(Raster content, Ink ink, Reel reel, Pictures pictures) {
        if (ink.none()) {
            return content;
        }
        int[] argb = content.argb().clone();
        Compositor.over(ink(ink, reel, pictures, content.size()), 0, 0, argb, content.size());
        return Raster.of(content.size(), argb);
    }

    /** @return what is drawn by hand, as large as the canvas scaled to {@code size} */
    public static Raster ink(Ink ink, Reel reel, Pictures pictures, Size size) {
        return ink.none() ? Raster.filled(size, 0) : StillPainter.draw(ink.still(), reel.canvas(), pictures, size);
    }

    private static Raster content(FrameContent content, Size canvas, Pictures pictures, Size size) {
        return content.match(
                still -> StillPainter.draw(still, canvas, pictures, size),
                card -> CardPainter.draw(card, canvas, size),
                fade -> Compositor.mix(
                        content(fade.from(), canvas, pictures, size),
                        content(fade.to(), canvas, pictures, size),
                        fade.share()));
    }

    private static int[] backdrop(Reel reel, Affine place, Pictures pictures, Size size) {
        Size canvas = reel.canvas();
        return reel.backdrop()
                .match(
                        fill -> filled(fill, canvas, place, size),
                        still -> StillPainter.draw(still, canvas, pictures, size)
                                .argb()
                                .clone());
    }

    private static int[] filled(Fill fill, Size canvas, Affine place, Size size) {
        if (!fill.gradient()) {
            return Raster.filled(size, OutlinePainter.argb(fill.color())).argb();
        }
        return OutlinePainter.draw(Bounds.all(size), place, pen -> {
                    pen.setPaint(OutlinePainter.paint(fill, canvas.width(), canvas.height()));
                    pen.fillRect(0, 0, canvas.width(), canvas.height());
                })
                .raster()
                .argb();
    }

    private static List<Cutout> those(Reel reel, Predicate<Cutout> wanted) {
        return reel.cutouts().stream().filter(wanted).toList();
    }
}

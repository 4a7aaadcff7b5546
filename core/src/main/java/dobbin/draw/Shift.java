package dobbin.draw;

import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.HardPixels;
import dobbin.raster.Raster;
import dobbin.raster.Region;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import dobbin.reel.Ink;
import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import java.util.List;

/**
 * Moves, scales or copies the ink inside an outline.
 *
 * @param outline its corners, x and y each, in pixels of the canvas; two corners are those of a box
 * @param to the place that the outline's box goes to
 * @param from the ink that was copied, of this frame or another; {@link Ink#NONE} for what is on the frame now
 * @param keeps whether the ink stays where it was as well; ink that was copied always does
 * @param hard whether pixels stay whole when it is scaled
 */
public record Shift(
        @jakarta.validation.constraints.Size(min = 4, max = 10_000)
        List<Double> outline,

        Region to,
        Ink from,
        boolean keeps,
        boolean hard)
        implements Mark {
    private static final double FARTHEST = 100_000;
    /** Moved ink of up to this many times the pixels of the canvas is made whole. */
    private static final int MOST_TIMES = 4;

    public Shift {
        outline = List.copyOf(outline);
        Ranges.check(Shift.class, "outline", outline.size());
        if (outline.size() % 2 != 0) {
            throw new OutOfRange("outline", "must be two numbers each");
        }
        outline.forEach(number -> Ranges.checkAmount("outline", number, -FARTHEST, FARTHEST));
        if (to == null || from == null) {
            throw new OutOfRange(to == null ? "to" : "from", "must be given");
        }
        Ranges.checkAmount("x", to.x(), -FARTHEST, FARTHEST);
        Ranges.checkAmount("y", to.y(), -FARTHEST, FARTHEST);
        Ranges.checkAmount("width", to.width(), 1, Ranges.MAX_SIDE);
        Ranges.checkAmount("height", to.height(), 1, Ranges.MAX_SIDE);
    }

    @Override
    public Raster on(Raster ink, Scene scene) {
        Raster source = from.none() ? ink : scene.source().get();
        boolean[] inside = Outline.inside(outline, ink.size());
        int[] argb = ink.argb().clone();
        Bounds box = Outline.box(outline).within(Bounds.all(source.size()));
        if (box.isEmpty()) {
            return ink;
        }
        Raster taken = taken(source, inside, box);
        if (from.none() && !keeps) {
            for (int at = 0; at < argb.length; at++) {
                argb[at] = inside[at] ? 0 : argb[at];
            }
        }
        Bounds whole = Outline.box(outline);
        double across = to.width() / whole.width();
        double down = to.height() / whole.height();
        Size size = new Size((int) Math.max(1, Math.round(box.width() * across)), (int)
                Math.max(1, Math.round(box.height() * down)));
        int left = (int) Math.round(to.x() + (box.left() - whole.left()) * across);
        int top = (int) Math.round(to.y() + (box.top() - whole.top()) * down);
        Bounds seen = new Bounds(left, top, left + size.width(), top + size.height()).within(Bounds.all(ink.size()));
        if (seen.isEmpty()) {
            return Raster.of(ink.size(), argb);
        }
        if (size.area() <= MOST_TIMES * ink.size().area()) {
            Compositor.over(scaled(taken, size), left, top, argb, ink.size());
        } else {
            Bounds part = new Bounds(seen.left() - left, seen.top() - top, seen.right() - left, seen.bottom() - top);
            Compositor.over(scaled(taken, size, part), seen.left(), seen.top(), argb, ink.size());
        }
        return Raster.of(ink.size(), argb);
    }

    private Raster scaled(Raster taken, Size size) {
        if (size.equals(taken.size())) {
            return taken;
        }
        return hard ? HardPixels.resize(taken, Bounds.all(taken.size()), size) : Resampler.resize(taken, size);
    }

    /** Makes only what is seen of it: {@code part} of it at that size, which may be far larger than the canvas. */
    private Raster scaled(Raster taken, Size size, Bounds part) {
        if (hard) {
            return HardPixels.resize(taken, Bounds.all(taken.size()), size, part);
        }
        double across = (double) taken.width() / size.width();
        double down = (double) taken.height() / size.height();
        Region region =
                new Region(part.left() * across, part.top() * down, part.width() * across, part.height() * down);
        return Resampler.resize(taken, region, part.size());
    }

    @Override
    public String verb() {
        return !from.none() ? "Paste ink" : keeps ? "Copy ink" : "Move ink";
    }

    private static Raster taken(Raster source, boolean[] inside, Bounds box) {
        int[] argb = new int[Math.toIntExact(box.size().area())];
        for (int y = 0; y < box.height(); y++) {
            for (int x = 0; x < box.width(); x++) {
                int at = (box.top() + y) * source.width() + box.left() + x;
                argb[y * box.width() + x] = inside[at] ? source.argb()[at] : 0;
            }
        }
        return Raster.of(box.size(), argb);
    }
}

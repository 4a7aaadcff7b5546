package dobbin.draw;

import dobbin.raster.Raster;
import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * Fills what looks alike around a pixel. It also goes under the soft edges of lines around it, so that no light fringe
 * stays.
 *
 * @param x and {@code y} of the pixel
 * @param tolerance 0 to 100 percent, how different a color may be
 * @param gap openings in lines up to so many pixels wide are closed, 0 to 40
 * @param by what is looked at
 * @param corners whether pixels that touch at a corner are neighbors
 * @param under how many pixels it goes under lines, 0 to 10
 */
public record Pour(
        Pen pen,
        int x,
        int y,
        @Min(0) @Max(100) int tolerance,
        @Min(0) @Max(40) int gap,
        By by,
        boolean corners,
        @Min(0) @Max(10) int under)
        implements Mark {
    private static final double LEVELS_A_PERCENT = 2.55;
    private static final int OPAQUE = 255;

    public enum By {
        /** The ink alone. */
        INK,
        /** What lies under the ink. */
        STILL,
        /** All that is seen. */
        SEEN
    }

    public Pour {
        if (pen == null || by == null) {
            throw new OutOfRange(pen == null ? "pen" : "by", "must be given");
        }
        Ranges.check(Pour.class, "tolerance", tolerance);
        Ranges.check(Pour.class, "gap", gap);
        Ranges.check(Pour.class, "under", under);
    }

    @Override
    public Raster on(Raster ink, Scene scene) {
        Ranges.check("x", x, 0, ink.width() - 1);
        Ranges.check("y", y, 0, ink.height() - 1);
        Raster looked = switch (by) {
            case INK -> ink;
            case STILL -> scene.still().get();
            case SEEN -> scene.seen().get();
        };
        PixelRuns found = Flood.from(looked, x, y, (int) Math.round(LEVELS_A_PERCENT * tolerance), gap, corners);
        int[] argb = ink.argb().clone();
        found.each((start, end) -> pen.fill(argb, start, end));
        if (!pen.hard() && !pen.erases()) {
            goUnder(argb, found, ink);
        }
        return Raster.of(ink.size(), argb);
    }

    @Override
    public String verb() {
        return pen.erases() ? "Erase" : "Fill";
    }

    /** The fill reaches under lines, where it shows only through their soft edges. */
    private void goUnder(int[] argb, PixelRuns found, Raster ink) {
        int[] before = ink.argb();
        int rgb = Integer.parseInt(pen.color(), 16);
        Places reached = Growth.grow(found.pixels(), ink.width(), at -> isSoft(before[at]), under);
        for (int i = 0; i < reached.count(); i++) {
            int at = reached.get(i);
            argb[at] = InkLayer.under(argb[at], rgb, pen.opacity() / 100f);
        }
    }

    private static boolean isSoft(int pixel) {
        int alpha = pixel >>> 24;
        return alpha > 0 && alpha < OPAQUE;
    }
}

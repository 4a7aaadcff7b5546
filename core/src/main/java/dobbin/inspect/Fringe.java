package dobbin.inspect;

import dobbin.color.Oklab;
import dobbin.raster.Compositor;
import dobbin.raster.Raster;

/**
 * The fringe that edges show on a page. A pixel of a soft edge belongs to something near it; it looks right where its color
 * is a mixture of that thing's and the page's, and is a fringe where it is another.
 */
final class Fringe {
    /** Mean distance in Oklab from the nearest mixture, times 100, from which on a fringe is plain to see. */
    static final double PLAIN = 6;

    private static final int OPAQUE = 0xFF000000;
    /** Distance in pixels within which the area that an edge belongs to is looked for. */
    private static final int NEAR = 3;
    /** Fewer pixels are no edge. */
    private static final int FEWEST = 12;
    /** Of the thing in the mixtures that are tried, of 255. */
    private static final int[] SHARES = {0, 32, 64, 96, 128, 160, 192, 224, 255};

    private final Raster drawn;
    private final Raster hard;
    private final int page;

    private Fringe(Raster drawn, Raster hard, int page) {
        this.drawn = drawn;
        this.hard = hard;
        this.page = page;
    }

    /**
     * @param drawn a frame with its soft edges
     * @param hard the same with its edges as the file has them: every pixel opaque or not there
     * @param page 0xRRGGBB
     * @return how far the pixels of soft edges are from all mixtures on average: distance in Oklab times 100; 0 where there
     *     are hardly any
     */
    static double of(Raster drawn, Raster hard, int page) {
        return new Fringe(drawn, hard, page).mean();
    }

    private double mean() {
        double sum = 0;
        int count = 0;
        for (int y = 0; y < drawn.height(); y++) {
            for (int x = 0; x < drawn.width(); x++) {
                boolean soft = drawn.pixel(x, y) >>> 24 < 255 && hard.pixel(x, y) != 0;
                double off = soft ? distance(x, y) : -1;
                sum += Math.max(0, off);
                count += off < 0 ? 0 : 1;
            }
        }
        return count < FEWEST ? 0 : 100 * sum / count;
    }

    /** @return from the nearest mixture of the page and something near it; below 0 where nothing is near */
    private double distance(int x, int y) {
        int pixel = hard.pixel(x, y);
        double least = -1;
        int before = 0;
        for (int row = Math.max(0, y - NEAR); row <= Math.min(drawn.height() - 1, y + NEAR); row++) {
            for (int column = Math.max(0, x - NEAR); column <= Math.min(drawn.width() - 1, x + NEAR); column++) {
                int near = drawn.pixel(column, row);
                if (near >>> 24 == 255 && near != before) {
                    double off = fromMixture(pixel, near);
                    least = least < 0 ? off : Math.min(least, off);
                    before = near;
                }
            }
        }
        return least;
    }

    private double fromMixture(int pixel, int thing) {
        double least = Double.MAX_VALUE;
        for (int share : SHARES) {
            int mixture = Compositor.over(share << 24 | thing & 0xFFFFFF, OPAQUE | page);
            least = Math.min(least, Oklab.distance(pixel, mixture));
        }
        return least;
    }
}

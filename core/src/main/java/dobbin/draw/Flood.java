package dobbin.draw;

import dobbin.raster.Raster;
import java.util.Arrays;

/**
 * Finds the pixels around one that look like it, run by run along the rows (A. R. Smith, "Tint fill", 1979). To close gaps
 * in lines, it keeps away from them by half a gap's width, and then goes up to them again.
 */
final class Flood {
    private static final int ALPHA = 24;

    private final int width;
    private final int height;
    private final boolean corners;

    private Flood(int width, int height, boolean corners) {
        this.width = width;
        this.height = height;
        this.corners = corners;
    }

    /**
     * @param tolerance 0 to 255, how far a channel may be off
     * @param gap openings up to so many pixels wide are closed
     * @param corners whether pixels that touch at a corner are neighbors
     * @return for each pixel whether it belongs
     */
    static boolean[] from(Raster picture, int x, int y, int tolerance, int gap, boolean corners) {
        Flood flood = new Flood(picture.width(), picture.height(), corners);
        int[] argb = picture.argb();
        int wanted = argb[y * picture.width() + x];
        boolean[] alike = new boolean[argb.length];
        for (int i = 0; i < argb.length; i++) {
            alike[i] = argb[i] == wanted || isNear(argb[i], wanted, tolerance);
        }
        int away = (gap + 1) / 2;
        if (away == 0) {
            return flood.connected(alike, y * picture.width() + x);
        }
        boolean[] open = flood.keptAway(alike, away);
        int start = flood.nearestOpen(open, alike, x, y, away);
        if (start < 0) {
            return flood.connected(alike, y * picture.width() + x);
        }
        boolean[] found = flood.connected(open, start);
        for (int i = 0; i < away; i++) {
            found = grown(found, alike, picture.width());
        }
        return found;
    }

    /**
     * @return those of {@code found}, and their neighbors that are {@code allowed}; across a corner only where one of the
     *     pixels beside it is allowed, too, so that no diagonal line is crossed
     */
    static boolean[] grown(boolean[] found, boolean[] allowed, int width) {
        int height = found.length / width;
        boolean[] grown = found.clone();
        for (int at = 0; at < found.length; at++) {
            if (found[at] || !allowed[at]) {
                continue;
            }
            int x = at % width;
            int y = at / width;
            for (int dy = -1; dy <= 1 && !grown[at]; dy++) {
                for (int dx = -1; dx <= 1; dx++) {
                    boolean inside = x + dx >= 0 && x + dx < width && y + dy >= 0 && y + dy < height;
                    if (inside
                            && found[at + dy * width + dx]
                            && (dx == 0 || dy == 0 || allowed[at + dx] || allowed[at + dy * width])) {
                        grown[at] = true;
                        break;
                    }
                }
            }
        }
        return grown;
    }

    static boolean isNear(int pixel, int wanted, int tolerance) {
        int alpha = pixel >>> ALPHA;
        int wantedAlpha = wanted >>> ALPHA;
        if (alpha == 0 && wantedAlpha == 0) {
            return true;
        }
        int worst = Math.abs(alpha - wantedAlpha);
        int least = Math.min(alpha, wantedAlpha);
        for (int shift = 0; shift < ALPHA; shift += 8) {
            int off = Math.abs((pixel >> shift & 0xFF) - (wanted >> shift & 0xFF));
            worst = Math.max(worst, off * least / 255);
        }
        return worst <= tolerance;
    }

    private boolean[] connected(boolean[] open, int start) {
        boolean[] found = new boolean[open.length];
        Seeds seeds = new Seeds();
        seeds.push(start);
        int reach = corners ? 1 : 0;
        while (seeds.count > 0) {
            int seed = seeds.pop();
            if (found[seed]) {
                continue;
            }
            int row = seed / width * width;
            int left = seed;
            while (left > row && open[left - 1] && !found[left - 1]) {
                left--;
            }
            int right = seed;
            while (right + 1 < row + width && open[right + 1] && !found[right + 1]) {
                right++;
            }
            Arrays.fill(found, left, right + 1, true);
            int from = Math.max(row, left - reach);
            int to = Math.min(row + width - 1, right + reach);
            if (row > 0) {
                seed(open, found, from - width, to - width, seeds);
            }
            if (row + width < open.length) {
                seed(open, found, from + width, to + width, seeds);
            }
        }
        return found;
    }

    /** One seed for each run of open pixels. */
    private static void seed(boolean[] open, boolean[] found, int from, int to, Seeds seeds) {
        boolean before = false;
        for (int at = from; at <= to; at++) {
            boolean wanted = open[at] && !found[at];
            if (wanted && !before) {
                seeds.push(at);
            }
            before = wanted;
        }
    }

    /** Pixels to go on from. */
    private static final class Seeds {
        private int[] places = new int[256];
        private int count;

        void push(int place) {
            if (count == places.length) {
                places = Arrays.copyOf(places, 2 * count);
            }
            places[count++] = place;
        }

        int pop() {
            return places[--count];
        }
    }

    /** @return the pixels that are that far from any that are not alike, counted along rows and columns */
    private boolean[] keptAway(boolean[] alike, int away) {
        boolean[] across = new boolean[alike.length];
        for (int y = 0; y < height; y++) {
            int lastBarrier = -away - 1;
            for (int x = 0; x < width; x++) {
                int at = y * width + x;
                lastBarrier = alike[at] ? lastBarrier : x;
                across[at] = x - lastBarrier > away;
            }
            lastBarrier = width + away;
            for (int x = width - 1; x >= 0; x--) {
                int at = y * width + x;
                lastBarrier = alike[at] ? lastBarrier : x;
                across[at] &= lastBarrier - x > away;
            }
        }
        return keptAwayDown(across, away);
    }

    /** Row by row, as memory lies, with the last barrier of each column. */
    private boolean[] keptAwayDown(boolean[] across, int away) {
        boolean[] open = new boolean[across.length];
        int[] lastBarrier = new int[width];
        Arrays.fill(lastBarrier, -away - 1);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int at = y * width + x;
                lastBarrier[x] = across[at] ? lastBarrier[x] : y;
                open[at] = y - lastBarrier[x] > away;
            }
        }
        Arrays.fill(lastBarrier, height + away);
        for (int y = height - 1; y >= 0; y--) {
            for (int x = 0; x < width; x++) {
                int at = y * width + x;
                lastBarrier[x] = across[at] ? lastBarrier[x] : y;
                open[at] &= lastBarrier[x] - y > away;
            }
        }
        return open;
    }

    /** @return the open pixel nearest to the one pressed, not farther than lines are kept away from; -1 where there is none */
    private int nearestOpen(boolean[] open, boolean[] alike, int x, int y, int away) {
        int best = -1;
        int least = Integer.MAX_VALUE;
        for (int ny = Math.max(0, y - away); ny <= Math.min(height - 1, y + away); ny++) {
            for (int nx = Math.max(0, x - away); nx <= Math.min(width - 1, x + away); nx++) {
                int distance = (nx - x) * (nx - x) + (ny - y) * (ny - y);
                if (open[ny * width + nx] && alike[ny * width + nx] && distance < least) {
                    least = distance;
                    best = ny * width + nx;
                }
            }
        }
        return best;
    }
}

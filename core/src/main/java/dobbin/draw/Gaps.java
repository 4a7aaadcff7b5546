package dobbin.draw;

import java.util.Arrays;

/**
 * Fills as if small gaps in lines were closed: it keeps away from the lines by half a gap's width, and then goes up to them
 * again. Corners too narrow for that are filled, too, where they lead nowhere else.
 */
final class Gaps {
    private final boolean[] alike;
    private final int width;
    private final int height;
    private final int away;

    /** Pixels that far from any that are not alike, counted along rows and columns. */
    private final boolean[] open;

    /**
     * @param alike the pixels that may be filled
     * @param away half the width of the widest gap that is closed
     */
    Gaps(PixelRuns alike, int width, int away) {
        this.alike = alike.pixels();
        this.width = width;
        this.height = this.alike.length / width;
        this.away = away;
        this.open = down(across(alike));
    }

    /** @return for each pixel whether it is filled from there; null where it is too narrow to keep away from the lines */
    PixelRuns filled(int x, int y, boolean corners) {
        int start = nearestOpen(x, y);
        if (start < 0) {
            return null;
        }
        boolean[] filled = PixelRuns.of(open, width).connected(start, corners).pixels();
        Growth.grow(filled, width, at -> alike[at], away);
        fillDeadEnds(filled);
        return PixelRuns.of(filled, width);
    }

    private boolean[] across(PixelRuns alike) {
        boolean[] across = new boolean[this.alike.length];
        alike.each((start, end) -> {
            int first = start % width == 0 ? start : start + away;
            int last = end % width == 0 ? end : end - away;
            if (first < last) {
                Arrays.fill(across, first, last, true);
            }
        });
        return across;
    }

    /** Counts for each column how many pixels in a row are {@code across}; over the edges of the picture they go on. */
    private boolean[] down(boolean[] across) {
        boolean[] down = new boolean[across.length];
        int[] count = new int[width];
        Arrays.fill(count, away);
        for (int y = 0; y < height + away; y++) {
            int row = y * width;
            int middle = row - away * width;
            for (int x = 0; x < width; x++) {
                count[x] = y >= height || across[row + x] ? count[x] + 1 : 0;
                if (count[x] > 2 * away && middle >= 0) {
                    down[middle + x] = true;
                }
            }
        }
        return down;
    }

    /** @return the open pixel nearest to the one pressed, not farther than lines are kept away from; -1 where there is none */
    private int nearestOpen(int x, int y) {
        int best = -1;
        int least = Integer.MAX_VALUE;
        for (int ny = Math.max(0, y - away); ny <= Math.min(height - 1, y + away); ny++) {
            for (int nx = Math.max(0, x - away); nx <= Math.min(width - 1, x + away); nx++) {
                int distance = (nx - x) * (nx - x) + (ny - y) * (ny - y);
                if (open[ny * width + nx] && distance < least) {
                    least = distance;
                    best = ny * width + nx;
                }
            }
        }
        return best;
    }

    /** A narrow part beside what is filled is filled, too, unless it leads to another open part. */
    private void fillDeadEnds(boolean[] filled) {
        boolean[] seen = new boolean[filled.length];
        Places rim = PixelRuns.of(filled, width).rim();
        for (int i = 0; i < rim.count(); i++) {
            int at = rim.get(i);
            int x = at % width;
            tryDeadEnd(at - 1, x > 0, filled, seen);
            tryDeadEnd(at + 1, x + 1 < width, filled, seen);
            tryDeadEnd(at - width, at >= width, filled, seen);
            tryDeadEnd(at + width, at + width < filled.length, filled, seen);
        }
    }

    private void tryDeadEnd(int start, boolean isThere, boolean[] filled, boolean[] seen) {
        if (!isThere || filled[start] || seen[start] || !alike[start]) {
            return;
        }
        Places part = new Places();
        boolean leadsOn = false;
        seen[start] = true;
        part.push(start);
        for (int i = 0; i < part.count(); i++) {
            int at = part.get(i);
            int x = at % width;
            int[] beside = {x > 0 ? at - 1 : at, x + 1 < width ? at + 1 : at, at - width, at + width};
            for (int next : beside) {
                if (next < 0 || next >= filled.length || filled[next] || seen[next] || !alike[next]) {
                    continue;
                }
                if (open[next]) {
                    leadsOn = true;
                } else {
                    seen[next] = true;
                    part.push(next);
                }
            }
        }
        for (int i = 0; !leadsOn && i < part.count(); i++) {
            filled[part.get(i)] = true;
        }
    }
}

package dobbin.draw;

import java.util.function.IntPredicate;

/** Lets a region of a picture grow by its neighbors, corners included, ring by ring. */
final class Growth {
    private final boolean[] region;
    private final int width;
    private final int height;
    private final IntPredicate allowed;

    private Growth(boolean[] region, int width, IntPredicate allowed) {
        this.region = region;
        this.width = width;
        this.height = region.length / width;
        this.allowed = allowed;
    }

    /**
     * Adds to {@code region} the neighbors that are allowed, so many times. It grows across a corner only where one of the
     * pixels beside it is allowed, too, so that no diagonal line is crossed.
     *
     * @param region for each pixel whether it belongs; changed
     * @param allowed by the place of a pixel
     * @return the places that were added
     */
    static Places grow(boolean[] region, int width, IntPredicate allowed, int rings) {
        Growth growth = new Growth(region, width, allowed);
        Places added = new Places();
        Places rim = rings > 0 ? PixelRuns.of(region, width).rim() : added;
        for (int i = 0; i < rings && rim.count() > 0; i++) {
            rim = growth.ring(rim);
            added.addAll(rim);
        }
        return added;
    }

    private Places ring(Places rim) {
        Places ring = new Places();
        for (int i = 0; i < rim.count(); i++) {
            int at = rim.get(i);
            int x = at % width;
            int y = at / width;
            for (int ny = Math.max(0, y - 1); ny <= Math.min(height - 1, y + 1); ny++) {
                for (int nx = Math.max(0, x - 1); nx <= Math.min(width - 1, x + 1); nx++) {
                    int next = ny * width + nx;
                    if (!region[next]
                            && allowed.test(next)
                            && (nx == x || ny == y || allowed.test(y * width + nx) || allowed.test(ny * width + x))) {
                        ring.push(next);
                    }
                }
            }
        }
        return marked(ring);
    }

    /** Marked only now, so that a ring does not grow on itself; each place once. */
    private Places marked(Places ring) {
        Places once = new Places();
        for (int i = 0; i < ring.count(); i++) {
            int at = ring.get(i);
            if (!region[at]) {
                region[at] = true;
                once.push(at);
            }
        }
        return once;
    }
}

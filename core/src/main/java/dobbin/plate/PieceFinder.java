package dobbin.plate;

import dobbin.raster.Bounds;
import dobbin.raster.BoundsBuilder;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.List;

/** Finds connected drawings, those that are near one another as one. */
final class PieceFinder {
    /** Smaller ones are specks: a share of the plate, and pixels at least. */
    private static final double SPECK = 0.00004;

    private static final int SPECK_PIXELS = 6;

    private final Size size;
    private final boolean[] ink;
    private final int[] labels;

    private PieceFinder(boolean[] ink, Size size) {
        this.size = size;
        this.ink = ink;
        this.labels = new int[ink.length];
    }

    /** @param join how far parts of one drawing may be apart, in pixels across or down */
    static List<Bounds> find(boolean[] ink, Size size, int join) {
        PieceFinder finder = new PieceFinder(ink, size);
        boolean[] grown = grown(ink, size, (join + 1) / 2);
        List<Bounds> pieces = new ArrayList<>();
        int[] stack = new int[ink.length];
        for (int at = 0; at < grown.length; at++) {
            if (grown[at] && finder.labels[at] == 0) {
                finder.flood(at, pieces.size() + 1, grown, stack, pieces);
            }
        }
        pieces.removeIf(Bounds::isEmpty);
        return pieces;
    }

    /** The region connected to a pixel, across corners as well (8-connectivity). */
    private void flood(int from, int label, boolean[] grown, int[] stack, List<Bounds> pieces) {
        BoundsBuilder box = new BoundsBuilder();
        int count = 0;
        int depth = 0;
        stack[depth++] = from;
        labels[from] = label;
        while (depth > 0) {
            int at = stack[--depth];
            int x = at % size.width();
            int y = at / size.width();
            if (ink[at]) {
                box.add(x, y);
                count++;
            }
            for (int dy = -1; dy <= 1; dy++) {
                for (int dx = -1; dx <= 1; dx++) {
                    int next = at + dy * size.width() + dx;
                    boolean isInside = x + dx >= 0 && x + dx < size.width() && y + dy >= 0 && y + dy < size.height();
                    if (isInside && grown[next] && labels[next] == 0) {
                        labels[next] = label;
                        stack[depth++] = next;
                    }
                }
            }
        }
        boolean isSpeck = count < Math.max(SPECK_PIXELS, SPECK * ink.length);
        pieces.add(isSpeck ? new Bounds(0, 0, 0, 0) : box.bounds());
    }

    /** @return the same with every pixel within {@code reach} across and down of one that is set */
    private static boolean[] grown(boolean[] set, Size size, int reach) {
        return reach == 0 ? set : spread(spread(set, size, reach, true), size, reach, false);
    }

    private static boolean[] spread(boolean[] set, Size size, int reach, boolean across) {
        boolean[] spread = new boolean[set.length];
        int step = across ? 1 : size.width();
        int length = across ? size.width() : size.height();
        int lines = across ? size.height() : size.width();
        for (int line = 0; line < lines; line++) {
            int start = across ? line * size.width() : line;
            int last = Integer.MIN_VALUE / 2;
            for (int i = 0; i < length; i++) {
                last = set[start + i * step] ? i : last;
                spread[start + i * step] = i - last <= reach;
            }
            last = Integer.MAX_VALUE / 2;
            for (int i = length - 1; i >= 0; i--) {
                last = set[start + i * step] ? i : last;
                spread[start + i * step] |= last - i <= reach;
            }
        }
        return spread;
    }
}

package dobbin.palette;

import java.util.Arrays;

/**
 * How often each color occurs, over as many pictures as wanted. Exact until more than {@link Palette#MAX_ENTRIES}
 * different colors were seen; from the start also in 2^18 bins (6 bits a channel) that keep the mean of what fell in.
 * Pixels with alpha below {@link #ALPHA_CUTOFF} count as transparent and not as a color.
 */
public final class ColorCounts {
    /** Pixels at least this opaque (of 255) are drawn, others are not: a GIF pixel is there or it is not. */
    public static final int ALPHA_CUTOFF = 128;

    private static final int BINS = 1 << 18;
    private static final int SLOTS = 1024;
    private static final int FREE = -1;

    private final int[] counts = new int[BINS];
    private final long[] reds = new long[BINS];
    private final long[] greens = new long[BINS];
    private final long[] blues = new long[BINS];
    private final int[] exact = new int[SLOTS];
    private int distinct;
    private boolean transparentSeen;

    public ColorCounts() {
        Arrays.fill(exact, FREE);
    }

    /** @param argb pixels 0xAARRGGBB, only read */
    public void add(int[] argb) {
        int previous = FREE;
        for (int pixel : argb) {
            if (pixel >>> 24 < ALPHA_CUTOFF) {
                transparentSeen = true;
                continue;
            }
            int rgb = pixel & 0xFFFFFF;
            if (rgb != previous) {
                remember(rgb);
                previous = rgb;
            }
            int bin = (rgb >> 18 & 0x3F) << 12 | (rgb >> 10 & 0x3F) << 6 | rgb >> 2 & 0x3F;
            counts[bin]++;
            reds[bin] += rgb >> 16;
            greens[bin] += rgb >> 8 & 0xFF;
            blues[bin] += rgb & 0xFF;
        }
    }

    /** Adds what another count saw; its own counts stay as they are. */
    public void addAll(ColorCounts other) {
        for (int bin = 0; bin < BINS; bin++) {
            counts[bin] += other.counts[bin];
            reds[bin] += other.reds[bin];
            greens[bin] += other.greens[bin];
            blues[bin] += other.blues[bin];
        }
        for (int rgb : other.exact) {
            if (rgb != FREE) {
                remember(rgb);
            }
        }
        distinct = Math.max(distinct, other.distinct);
        transparentSeen |= other.transparentSeen;
    }

    public boolean transparentSeen() {
        return transparentSeen;
    }

    /** @return how many different colors were seen; no longer counted past {@link Palette#MAX_ENTRIES} */
    public int distinct() {
        return distinct;
    }

    /** @return the different colors, ascending; only while there are at most {@link Palette#MAX_ENTRIES} */
    int[] distinctColors() {
        return Arrays.stream(exact).filter(rgb -> rgb != FREE).sorted().toArray();
    }

    int occupiedBins() {
        int occupied = 0;
        for (int count : counts) {
            occupied += count > 0 ? 1 : 0;
        }
        return occupied;
    }

    /**
     * @param means receives the mean color of each occupied bin, 0xRRGGBB
     * @param weights receives how many pixels fell in
     */
    void occupied(int[] means, int[] weights) {
        int at = 0;
        for (int bin = 0; bin < BINS; bin++) {
            long count = counts[bin];
            if (count > 0) {
                long half = count / 2;
                means[at] = (int) ((reds[bin] + half) / count) << 16
                        | (int) ((greens[bin] + half) / count) << 8
                        | (int) ((blues[bin] + half) / count);
                weights[at++] = counts[bin];
            }
        }
    }

    private void remember(int rgb) {
        if (distinct > Palette.MAX_ENTRIES) {
            return;
        }
        int slot = (rgb * 0x9E3779B1) >>> 22;
        while (exact[slot] != FREE) {
            if (exact[slot] == rgb) {
                return;
            }
            slot = slot + 1 & SLOTS - 1;
        }
        exact[slot] = rgb;
        distinct++;
    }
}

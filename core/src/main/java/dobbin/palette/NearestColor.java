package dobbin.palette;

import dobbin.color.Oklab;
import java.util.Arrays;

/**
 * Finds the color nearest to a point in Oklab, exactly.
 *
 * <p>Space is cut into blocks, and those into 64 cells. The first point asked for in a cell settles which colors can be
 * nearest to anything in it, usually one to four, and only those are compared from then on. It learns, so it serves one
 * thread at a time.
 */
public final class NearestColor {
    private static final int STEPS = 128;
    /** The grid reaches a little farther than sRGB does, for what dithering asks for. */
    private static final float LIGHTNESS_STEPS = 104f;

    private static final float LIGHTNESS_START = 0.12f;
    private static final float CHROMA_STEPS = 180f;
    private static final float CHROMA_START = 0.36f;
    private static final int BLOCKS = 1 << 15;
    private static final int CELLS = 64;
    private static final float CELL_RADIUS = radius(1);
    private static final float BLOCK_RADIUS = radius(4);

    private final float[] lab;
    private final int colors;
    /** Which block of {@link #cells} a part of space has, or -1. */
    private final short[] blockAt = new short[BLOCKS];
    /** A cell's candidates: where they begin in {@link #pool} and how many; one alone is itself in place of its place. */
    private int[] cells = new int[32 * CELLS];

    /** For each eighth of a cell the color nearest to its middle, and 1; 0 where it was not asked for. */
    private short[] fine = new short[32 * 8 * CELLS];

    private int[] blockStart = new int[32];
    private int[] blockLength = new int[32];
    private int blocks;
    private byte[] pool = new byte[8192];
    private int pooled;
    private final float[] distances;
    /** Within this squared distance of a color, half of its gap, no other can be nearer. */
    private final float[] own;

    public NearestColor(Palette palette) {
        this(labOf(palette.colors()));
    }

    /** @param lab L, a, b of 1 to 256 colors; kept, not copied */
    NearestColor(float[] lab) {
        this.lab = lab;
        this.colors = lab.length / 3;
        this.distances = new float[colors];
        this.own = new float[colors];
        for (int color = 0; color < colors; color++) {
            own[color] = squaredGap(color) / 4;
        }
        Arrays.fill(blockAt, (short) -1);
    }

    static float[] labOf(int[] rgb) {
        float[] lab = new float[3 * rgb.length];
        for (int i = 0; i < rgb.length; i++) {
            Oklab.fromRgb(rgb[i], lab, 3 * i);
        }
        return lab;
    }

    /** @return L, a, b of each color; to be read only */
    public float[] lab() {
        return lab;
    }

    /** @return which color is nearest, counted from the first color, the first of equals */
    public int indexOf(float l, float a, float b) {
        int at = cellOf(l, a, b);
        int cell = cells[at];
        if (cell == 0) {
            cell = settle(at, l, a, b);
        }
        int length = cell & 0x1FF;
        if (length == 1) {
            return cell >>> 9;
        }
        int start = cell >>> 9;
        int nearest = pool[start] & 0xFF;
        float least = squaredDistance(nearest, l, a, b);
        if (least < own[nearest]) {
            return nearest;
        }
        for (int i = start + 1; i < start + length; i++) {
            int color = pool[i] & 0xFF;
            float distance = squaredDistance(color, l, a, b);
            if (distance < least) {
                least = distance;
                nearest = color;
            }
        }
        return nearest;
    }

    /**
     * Finds a color that is nearest to a point close by, and at most 0.007 farther from this one than the nearest: much
     * faster, and good enough where a difference is handed on or bounded anyway.
     */
    public int nearlyIndexOf(float l, float a, float b) {
        int i = fineStep((l + LIGHTNESS_START) * (2 * LIGHTNESS_STEPS));
        int j = fineStep((a + CHROMA_START) * (2 * CHROMA_STEPS));
        int k = fineStep((b + CHROMA_START) * (2 * CHROMA_STEPS));
        int place = (i >> 3) << 10 | (j >> 3) << 5 | k >> 3;
        int block = blockAt[place];
        if (block < 0) {
            block = newBlock(place, i >> 3, j >> 3, k >> 3);
        }
        int at = block << 9 | (i & 7) << 6 | (j & 7) << 3 | k & 7;
        int color = fine[at];
        return color > 0 ? color - 1 : settleFine(at, i, j, k);
    }

    /** By the middle of the cell's eighth, so that it does not matter who asks first. */
    private int settleFine(int at, int i, int j, int k) {
        int color = indexOf(
                (i + 0.5f) / (2 * LIGHTNESS_STEPS) - LIGHTNESS_START,
                (j + 0.5f) / (2 * CHROMA_STEPS) - CHROMA_START,
                (k + 0.5f) / (2 * CHROMA_STEPS) - CHROMA_START);
        fine[at] = (short) (color + 1);
        return color;
    }

    /** @return the squared distance of a color from a point */
    public float squaredDistance(int color, float l, float a, float b) {
        int at = 3 * color;
        float dl = lab[at] - l;
        float da = lab[at + 1] - a;
        float db = lab[at + 2] - b;
        return dl * dl + da * da + db * db;
    }

    /** @return how far a color is from its nearest neighbor, on average; 0 for a single one */
    public float meanGap() {
        if (colors < 2) {
            return 0;
        }
        double sum = 0;
        for (int color = 0; color < colors; color++) {
            sum += Math.sqrt(squaredGap(color));
        }
        return (float) (sum / colors);
    }

    private float squaredGap(int color) {
        float least = Float.MAX_VALUE;
        for (int other = 0; other < colors; other++) {
            if (other != color) {
                least = Math.min(least, squaredDistance(other, lab[3 * color], lab[3 * color + 1], lab[3 * color + 2]));
            }
        }
        return least;
    }

    private int cellOf(float l, float a, float b) {
        int i = step((l + LIGHTNESS_START) * LIGHTNESS_STEPS);
        int j = step((a + CHROMA_START) * CHROMA_STEPS);
        int k = step((b + CHROMA_START) * CHROMA_STEPS);
        int place = (i >> 2) << 10 | (j >> 2) << 5 | k >> 2;
        int block = blockAt[place];
        if (block < 0) {
            block = newBlock(place, i >> 2, j >> 2, k >> 2);
        }
        return block * CELLS + ((i & 3) << 4 | (j & 3) << 2 | k & 3);
    }

    private static int step(float value) {
        return value <= 0 ? 0 : Math.min((int) value, STEPS - 1);
    }

    private static int fineStep(float value) {
        return value <= 0 ? 0 : Math.min((int) value, 2 * STEPS - 1);
    }

    private int newBlock(int place, int i, int j, int k) {
        if (blocks == blockStart.length) {
            blockStart = Arrays.copyOf(blockStart, 2 * blocks);
            blockLength = Arrays.copyOf(blockLength, 2 * blocks);
            cells = Arrays.copyOf(cells, 2 * blocks * CELLS);
            fine = Arrays.copyOf(fine, 2 * blocks * 8 * CELLS);
        }
        int start = pooled;
        possible(
                null,
                0,
                colors,
                (i + 0.5f) * 4 / LIGHTNESS_STEPS - LIGHTNESS_START,
                (j + 0.5f) * 4 / CHROMA_STEPS - CHROMA_START,
                (k + 0.5f) * 4 / CHROMA_STEPS - CHROMA_START,
                reach(BLOCK_RADIUS, i, j, k));
        blockStart[blocks] = start;
        blockLength[blocks] = pooled - start;
        blockAt[place] = (short) blocks;
        return blocks++;
    }

    /** Whatever lies outside the grid falls into its border blocks, where nothing can be ruled out. */
    private static float reach(float radius, int i, int j, int k) {
        boolean border = i == 0 || j == 0 || k == 0 || i == 31 || j == 31 || k == 31;
        return border ? Float.MAX_VALUE : 2 * radius;
    }

    private int settle(int at, float l, float a, float b) {
        int i = step((l + LIGHTNESS_START) * LIGHTNESS_STEPS);
        int j = step((a + CHROMA_START) * CHROMA_STEPS);
        int k = step((b + CHROMA_START) * CHROMA_STEPS);
        int block = blockAt[(i >> 2) << 10 | (j >> 2) << 5 | k >> 2];
        int start = pooled;
        possible(
                pool,
                blockStart[block],
                blockLength[block],
                (i + 0.5f) / LIGHTNESS_STEPS - LIGHTNESS_START,
                (j + 0.5f) / CHROMA_STEPS - CHROMA_START,
                (k + 0.5f) / CHROMA_STEPS - CHROMA_START,
                reach(CELL_RADIUS, i >> 2, j >> 2, k >> 2));
        int length = pooled - start;
        sortByDistance(
                start,
                length,
                (i + 0.5f) / LIGHTNESS_STEPS - LIGHTNESS_START,
                (j + 0.5f) / CHROMA_STEPS - CHROMA_START,
                (k + 0.5f) / CHROMA_STEPS - CHROMA_START);
        int cell = length == 1 ? (pool[start] & 0xFF) << 9 | 1 : start << 9 | length;
        cells[at] = cell;
        return cell;
    }

    /** By the triangle inequality: what is nearest to a point of a cell is within two radii of the best at its center. */
    private void possible(byte[] among, int from, int count, float l, float a, float b, float reach) {
        float least = Float.MAX_VALUE;
        for (int n = 0; n < count; n++) {
            int color = among == null ? n : among[from + n] & 0xFF;
            distances[n] = squaredDistance(color, l, a, b);
            least = Math.min(least, distances[n]);
        }
        if (pooled + count > pool.length) {
            pool = Arrays.copyOf(pool, 2 * pool.length);
        }
        double farthest = Math.sqrt(least) + reach;
        double limit = farthest * farthest;
        for (int n = 0; n < count; n++) {
            if (distances[n] <= limit) {
                pool[pooled++] = among == null ? (byte) n : among[from + n];
            }
        }
    }

    /** The likeliest first; equals stay in order. */
    private void sortByDistance(int start, int length, float l, float a, float b) {
        for (int i = start + 1; i < start + length; i++) {
            byte color = pool[i];
            float distance = squaredDistance(color & 0xFF, l, a, b);
            int at = i;
            while (at > start && squaredDistance(pool[at - 1] & 0xFF, l, a, b) > distance) {
                pool[at] = pool[at - 1];
                at--;
            }
            pool[at] = color;
        }
    }

    private static float radius(int side) {
        double lightness = side / LIGHTNESS_STEPS / 2;
        double chroma = side / CHROMA_STEPS / 2;
        return (float) (1.0001 * Math.sqrt(lightness * lightness + 2 * chroma * chroma));
    }
}

package dobbin.palette;

import dobbin.color.Oklab;
import java.util.Arrays;
import java.util.concurrent.atomic.AtomicReferenceArray;

/**
 * Finds the palette entry nearest to a color in Oklab, exactly.
 *
 * <p>The RGB cube is cut into cells of 16, and those into cells of 4, values a channel. The first color asked for in a
 * cell settles which entries can be nearest to anything in it, usually one to five, and only those are compared from then
 * on. May be used by several threads.
 */
public final class NearestColor {
    /** The corners of a cell are its farthest points but for the curvature of the space, which this covers. */
    private static final double CURVATURE = 1.15;

    private final float[] lab;
    private final byte[] all;
    private final AtomicReferenceArray<byte[]> coarse = new AtomicReferenceArray<>(1 << 12);
    private final AtomicReferenceArray<byte[]> fine = new AtomicReferenceArray<>(1 << 18);

    public NearestColor(Palette palette) {
        int[] colors = palette.colors();
        lab = new float[3 * colors.length];
        all = new byte[colors.length];
        for (int i = 0; i < colors.length; i++) {
            Oklab.fromRgb(colors[i], lab, 3 * i);
            all[i] = (byte) i;
        }
    }

    /** @param rgb 0xRRGGBB, nothing above it; the index of the nearest color, the first of equals */
    public int indexOf(int rgb) {
        byte[] possible = fine.getAcquire(fineCell(rgb));
        if (possible == null) {
            possible = settleFine(rgb);
        }
        if (possible.length == 1) {
            return possible[0] & 0xFF;
        }
        float[] wanted = new float[3];
        Oklab.fromRgb(rgb, wanted, 0);
        float l = wanted[0];
        float a = wanted[1];
        float b = wanted[2];
        int nearest = 0;
        float least = Float.MAX_VALUE;
        for (byte candidate : possible) {
            int index = candidate & 0xFF;
            float distance = squaredDistance(index, l, a, b);
            if (distance < least) {
                least = distance;
                nearest = index;
            }
        }
        return nearest;
    }

    private byte[] settleFine(int rgb) {
        int coarseCell = (rgb >> 20) << 8 | (rgb >> 12 & 0xF) << 4 | rgb >> 4 & 0xF;
        byte[] possible = coarse.getAcquire(coarseCell);
        if (possible == null) {
            possible = possibleIn(rgb & 0xF0F0F0, 16, all);
            coarse.setRelease(coarseCell, possible);
        }
        byte[] fewer = possibleIn(rgb & 0xFCFCFC, 4, possible);
        fine.setRelease(fineCell(rgb), fewer);
        return fewer;
    }

    private static int fineCell(int rgb) {
        return (rgb >> 18) << 12 | (rgb >> 10 & 0x3F) << 6 | rgb >> 2 & 0x3F;
    }

    /** By the triangle inequality: what is nearest to a point of the cell is within two radii of the best at its center. */
    private byte[] possibleIn(int corner, int side, byte[] among) {
        float[] center = new float[3];
        Oklab.fromRgb(corner + 0x010101 * (side / 2), center, 0);
        double reach = 2 * CURVATURE * radius(corner, side, center);
        float[] distances = new float[among.length];
        double least = Double.MAX_VALUE;
        for (int i = 0; i < among.length; i++) {
            distances[i] = (float) Math.sqrt(squaredDistance(among[i] & 0xFF, center[0], center[1], center[2]));
            least = Math.min(least, distances[i]);
        }
        byte[] possible = new byte[among.length];
        int length = 0;
        for (int i = 0; i < among.length; i++) {
            if (distances[i] <= least + reach) {
                possible[length++] = among[i];
            }
        }
        return Arrays.copyOf(possible, length);
    }

    private static double radius(int corner, int side, float[] center) {
        float[] point = new float[3];
        double radius = 0;
        for (int i = 0; i < 8; i++) {
            int far = side - 1;
            int offset = ((i & 4) == 0 ? 0 : far << 16) | ((i & 2) == 0 ? 0 : far << 8) | ((i & 1) == 0 ? 0 : far);
            Oklab.fromRgb(corner + offset, point, 0);
            float l = point[0] - center[0];
            float a = point[1] - center[1];
            float b = point[2] - center[2];
            radius = Math.max(radius, Math.sqrt(l * l + a * a + b * b));
        }
        return radius;
    }

    private float squaredDistance(int index, float l, float a, float b) {
        int at = 3 * index;
        float dl = lab[at] - l;
        float da = lab[at + 1] - a;
        float db = lab[at + 2] - b;
        return dl * dl + da * da + db * db;
    }
}

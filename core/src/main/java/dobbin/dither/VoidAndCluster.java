package dobbin.dither;

import java.util.Random;

/**
 * R. Ulichney, "The void-and-cluster method for dither array generation", 1993: ranks so spread that the points below any
 * threshold keep their distance from one another. Gaussian of sigma 1.5 on a torus.
 */
final class VoidAndCluster {
    static final int SIDE = 64;

    private static final int AREA = SIDE * SIDE;
    private static final double SIGMA = 1.5;
    private static final int SEED = 41;

    private final float[] falloff = new float[AREA];
    private final float[] density = new float[AREA];
    private final boolean[] set = new boolean[AREA];

    private VoidAndCluster() {
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                int across = Math.min(x, SIDE - x);
                int down = Math.min(y, SIDE - y);
                falloff[y * SIDE + x] = (float) Math.exp(-(across * across + down * down) / (2 * SIGMA * SIGMA));
            }
        }
    }

    static int[] ranks() {
        VoidAndCluster points = new VoidAndCluster();
        int begun = points.scatter();
        boolean[] prototype = points.set.clone();
        float[] prototypeDensity = points.density.clone();
        int[] ranks = new int[AREA];
        for (int rank = begun - 1; rank >= 0; rank--) {
            int tightest = points.tightestCluster();
            points.put(tightest, false);
            ranks[tightest] = rank;
        }
        System.arraycopy(prototype, 0, points.set, 0, AREA);
        System.arraycopy(prototypeDensity, 0, points.density, 0, AREA);
        for (int rank = begun; rank < AREA; rank++) {
            int largest = points.largestVoid();
            points.put(largest, true);
            ranks[largest] = rank;
        }
        return ranks;
    }

    /** A tenth of all points at random, then the tightest moved to the largest void until it would go back. */
    private int scatter() {
        Random random = new Random(SEED);
        int wanted = AREA / 10;
        for (int count = 0; count < wanted; ) {
            int at = random.nextInt(AREA);
            if (!set[at]) {
                put(at, true);
                count++;
            }
        }
        while (true) {
            int tightest = tightestCluster();
            put(tightest, false);
            int largest = largestVoid();
            put(largest, true);
            if (largest == tightest) {
                return wanted;
            }
        }
    }

    private void put(int at, boolean present) {
        set[at] = present;
        float sign = present ? 1 : -1;
        int top = at / SIDE;
        int left = at % SIDE;
        for (int y = 0; y < SIDE; y++) {
            int row = (y - top & SIDE - 1) * SIDE;
            for (int x = 0; x < SIDE; x++) {
                density[y * SIDE + x] += sign * falloff[row + (x - left & SIDE - 1)];
            }
        }
    }

    private int tightestCluster() {
        int best = -1;
        for (int i = 0; i < AREA; i++) {
            if (set[i] && (best < 0 || density[i] > density[best])) {
                best = i;
            }
        }
        return best;
    }

    private int largestVoid() {
        int best = -1;
        for (int i = 0; i < AREA; i++) {
            if (!set[i] && (best < 0 || density[i] < density[best])) {
                best = i;
            }
        }
        return best;
    }
}

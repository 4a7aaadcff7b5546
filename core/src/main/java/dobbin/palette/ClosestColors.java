package dobbin.palette;

import java.util.Arrays;

/** For each of some colors the ones closest to it, itself first. Made by {@link ColorsByLightness}. */
final class ClosestColors {
    private final int each;
    private final int[] neighbors;
    private final float[] squaredDistances;

    ClosestColors(int colors, int each) {
        this.each = each;
        this.neighbors = new int[colors * each];
        this.squaredDistances = new float[colors * each];
        Arrays.fill(squaredDistances, Float.MAX_VALUE);
    }

    /** @return how many of each are known */
    int each() {
        return each;
    }

    /** @param rank 0 for itself, 1 for the closest other */
    int of(int color, int rank) {
        return neighbors[color * each + rank];
    }

    float squaredDistance(int color, int rank) {
        return squaredDistances[color * each + rank];
    }

    /** @return how far the last of a color's neighbors is, squared; what is farther is none */
    float farthest(int color) {
        return squaredDistances[color * each + each - 1];
    }

    /** Takes a neighbor in where it is closer than those there are. */
    void offer(int color, int neighbor, float squaredDistance) {
        if (squaredDistance >= farthest(color)) {
            return;
        }
        int at = color * each + each - 1;
        while (at > color * each && squaredDistances[at - 1] > squaredDistance) {
            squaredDistances[at] = squaredDistances[at - 1];
            neighbors[at] = neighbors[at - 1];
            at--;
        }
        squaredDistances[at] = squaredDistance;
        neighbors[at] = neighbor;
    }
}

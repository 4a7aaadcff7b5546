package dobbin.palette;

/**
 * Points to the nearest of the centers, given where each was before: only what was around that center at first is looked
 * at, since centers move little and points less far.
 */
final class NearestCenters {
    /** How many centers a point may move to, its own among them. */
    private static final int AROUND = 14;

    private final float[] centers;
    /** For each center the ones around it, the closest first. */
    private final int[][] around;

    /** @param centers three floats each; may be moved between calls */
    NearestCenters(float[] centers) {
        this.centers = centers;
        int count = centers.length / 3;
        around = new int[count][Math.min(count, AROUND)];
        float[] distances = new float[AROUND];
        for (int center = 0; center < count; center++) {
            closest(center, around[center], distances);
        }
    }

    /** Keeps the closest so far in order. */
    private void closest(int center, int[] closest, float[] distances) {
        int found = 0;
        for (int other = 0; other < centers.length / 3; other++) {
            float distance = squaredDistance(other, centers, 3 * center);
            if (found == closest.length && distance >= distances[found - 1]) {
                continue;
            }
            int at = found < closest.length ? found++ : found - 1;
            while (at > 0 && distances[at - 1] > distance) {
                distances[at] = distances[at - 1];
                closest[at] = closest[at - 1];
                at--;
            }
            distances[at] = distance;
            closest[at] = other;
        }
    }

    /**
     * @param points three floats each
     * @param nearest of each point, the center it had; receives the center it has
     */
    void assign(float[] points, int[] nearest) {
        for (int point = 0; point < nearest.length; point++) {
            int before = nearest[point];
            int best = before;
            float least = Float.MAX_VALUE;
            for (int center : around[before]) {
                float distance = squaredDistance(center, points, 3 * point);
                if (distance < least) {
                    least = distance;
                    best = center;
                }
            }
            nearest[point] = best;
        }
    }

    private float squaredDistance(int center, float[] points, int at) {
        float dl = centers[3 * center] - points[at];
        float da = centers[3 * center + 1] - points[at + 1];
        float db = centers[3 * center + 2] - points[at + 2];
        return dl * dl + da * da + db * db;
    }
}

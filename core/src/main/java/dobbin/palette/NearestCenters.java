package dobbin.palette;

/**
 * Points to the nearest of the centers, given where each was before: only what was around that center at first is looked
 * at, since centers move little and points less far.
 */
final class NearestCenters {
    /** How many centers a point may move to, its own among them. */
    private static final int AROUND = 14;

    private final float[] centers;
    private final ClosestColors around;

    /** @param centers three floats each; may be moved between calls */
    NearestCenters(float[] centers) {
        this.centers = centers;
        this.around = new ColorsByLightness(centers).neighbors(AROUND);
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
            for (int rank = 0; rank < around.each(); rank++) {
                int center = around.of(before, rank);
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

package dobbin.palette;

/** For each of some points in Oklab the ones closest to it, itself first. */
final class Neighbors {
    private final int each;
    private final int[] points;
    private final float[] squaredDistances;

    /**
     * @param points three floats each
     * @param most how many neighbors of each are wanted; fewer where there are fewer points
     */
    Neighbors(float[] points, int most) {
        int count = points.length / 3;
        this.each = Math.min(count, most);
        this.points = new int[count * each];
        this.squaredDistances = new float[count * each];
        for (int point = 0; point < count; point++) {
            look(points, point);
        }
    }

    /** @return how many of each are known */
    int each() {
        return each;
    }

    /** @param rank 0 for itself, 1 for the closest other */
    int of(int point, int rank) {
        return points[point * each + rank];
    }

    float squaredDistance(int point, int rank) {
        return squaredDistances[point * each + rank];
    }

    /** Keeps the closest so far in order. */
    private void look(float[] of, int point) {
        int first = point * each;
        int found = 0;
        for (int other = 0; other < of.length / 3; other++) {
            float dl = of[3 * other] - of[3 * point];
            float da = of[3 * other + 1] - of[3 * point + 1];
            float db = of[3 * other + 2] - of[3 * point + 2];
            float distance = dl * dl + da * da + db * db;
            if (found == each && distance >= squaredDistances[first + found - 1]) {
                continue;
            }
            int at = first + (found < each ? found++ : found - 1);
            while (at > first && squaredDistances[at - 1] > distance) {
                squaredDistances[at] = squaredDistances[at - 1];
                points[at] = points[at - 1];
                at--;
            }
            squaredDistances[at] = distance;
            points[at] = other;
        }
    }
}

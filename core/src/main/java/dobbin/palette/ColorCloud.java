package dobbin.palette;

import dobbin.color.Oklab;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/** Weighted points in Oklab, and the two moves that turn them into palette colors. */
final class ColorCloud {
    private final float[] points;
    private final int[] weights;

    private ColorCloud(float[] points, int[] weights) {
        this.points = points;
        this.weights = weights;
    }

    static ColorCloud of(ColorCounts counts) {
        int size = counts.occupiedBins();
        int[] means = new int[size];
        int[] weights = new int[size];
        counts.occupied(means, weights);
        float[] points = new float[3 * size];
        for (int i = 0; i < size; i++) {
            Oklab.fromRgb(means[i], points, 3 * i);
        }
        return new ColorCloud(points, weights);
    }

    /** A part of the cloud: the points {@code order[from..to)}, what they weigh, and how far they stray. */
    private record Part(int from, int to, double weight, double[] mean, double[] spread) {
        double error() {
            return spread[0] + spread[1] + spread[2];
        }

        int longestAxis() {
            int axis = spread[1] > spread[0] ? 1 : 0;
            return spread[2] > spread[axis] ? 2 : axis;
        }
    }

    /** @return up to {@code wanted} centers, three floats each */
    float[] centersByCutting(int wanted) {
        int[] order = new int[weights.length];
        for (int i = 0; i < order.length; i++) {
            order[i] = i;
        }
        PriorityQueue<Part> open = new PriorityQueue<>(
                Comparator.comparingDouble(Part::error).reversed().thenComparingInt(Part::from));
        List<Part> done = new ArrayList<>();
        open.add(part(order, 0, order.length));
        while (!open.isEmpty() && open.size() + done.size() < wanted) {
            Part worst = open.poll();
            if (worst.to - worst.from < 2 || worst.error() <= 0) {
                done.add(worst);
                continue;
            }
            int cut = bestCut(order, worst);
            open.add(part(order, worst.from, cut));
            open.add(part(order, cut, worst.to));
        }
        done.addAll(open);
        float[] centers = new float[3 * done.size()];
        for (int i = 0; i < done.size(); i++) {
            for (int axis = 0; axis < 3; axis++) {
                centers[3 * i + axis] = (float) done.get(i).mean[axis];
            }
        }
        return centers;
    }

    private Part part(int[] order, int from, int to) {
        double weight = 0;
        double[] sum = new double[3];
        double[] squares = new double[3];
        for (int i = from; i < to; i++) {
            double w = weights[order[i]];
            weight += w;
            for (int axis = 0; axis < 3; axis++) {
                double value = points[3 * order[i] + axis];
                sum[axis] += w * value;
                squares[axis] += w * value * value;
            }
        }
        double[] spread = new double[3];
        for (int axis = 0; axis < 3; axis++) {
            spread[axis] = Math.max(0, squares[axis] - sum[axis] * sum[axis] / weight);
            sum[axis] /= weight;
        }
        return new Part(from, to, weight, sum, spread);
    }

    /** Sorts the part along its longest axis and finds where to cut: least squared error of both sides together. */
    private int bestCut(int[] order, Part part) {
        int axis = part.longestAxis();
        sortAlong(order, part, axis);
        double total = part.weight * part.mean[axis];
        double leftWeight = 0;
        double leftSum = 0;
        double best = -1;
        int cut = part.from + 1;
        for (int i = part.from; i < part.to - 1; i++) {
            double w = weights[order[i]];
            leftWeight += w;
            leftSum += w * points[3 * order[i] + axis];
            double rightSum = total - leftSum;
            double gain = leftSum * leftSum / leftWeight + rightSum * rightSum / (part.weight - leftWeight);
            if (gain > best) {
                best = gain;
                cut = i + 1;
            }
        }
        return cut;
    }

    /** By value, ties by index: one long a point, so that the sort needs no comparator. */
    private void sortAlong(int[] order, Part part, int axis) {
        long[] keys = new long[part.to - part.from];
        for (int i = 0; i < keys.length; i++) {
            int point = order[part.from + i];
            int bits = Float.floatToIntBits(points[3 * point + axis]);
            int ascending = bits < 0 ? ~bits : bits | Integer.MIN_VALUE;
            keys[i] = ((long) (ascending ^ Integer.MIN_VALUE) << 32) | point;
        }
        Arrays.sort(keys);
        for (int i = 0; i < keys.length; i++) {
            order[part.from + i] = (int) keys[i];
        }
    }

    /** @param centers three floats each, moved in place to the mean of the points nearest to them */
    void settle(float[] centers, int rounds) {
        int[] nearest = new int[weights.length];
        for (int round = 0; round < rounds; round++) {
            double[] sums = new double[centers.length];
            double[] mass = new double[centers.length / 3];
            for (int i = 0; i < weights.length; i++) {
                nearest[i] = nearestCenter(centers, 3 * i, nearest[i]);
                double w = weights[i];
                mass[nearest[i]] += w;
                for (int axis = 0; axis < 3; axis++) {
                    sums[3 * nearest[i] + axis] += w * points[3 * i + axis];
                }
            }
            for (int i = 0; i < centers.length; i++) {
                if (mass[i / 3] > 0) {
                    centers[i] = (float) (sums[i] / mass[i / 3]);
                }
            }
        }
    }

    private int nearestCenter(float[] centers, int point, int guess) {
        float l = points[point];
        float a = points[point + 1];
        float b = points[point + 2];
        int nearest = guess;
        float least = distance(centers, 3 * guess, l, a, b);
        for (int at = 0, center = 0; at < centers.length; at += 3, center++) {
            float distance = distance(centers, at, l, a, b);
            if (distance < least) {
                least = distance;
                nearest = center;
            }
        }
        return nearest;
    }

    private static float distance(float[] centers, int at, float l, float a, float b) {
        float dl = centers[at] - l;
        float da = centers[at + 1] - a;
        float db = centers[at + 2] - b;
        return dl * dl + da * da + db * db;
    }
}

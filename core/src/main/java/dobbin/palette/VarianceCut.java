package dobbin.palette;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/**
 * Cuts a cloud of weighted points in two again and again, always the part with the largest squared error, at the place
 * along its longest axis that leaves the least (after X. Wu, "Color quantization by dynamic programming and principal
 * analysis", 1992; here greedy and along the coordinate axes).
 */
final class VarianceCut {
    private static final int SLICES = 64;
    /** Points no farther apart than this are the same for all purposes. */
    private static final float ONE_COLOR = 1e-5f;

    private final float[] points;
    private final float[] weights;
    private final int[] order;

    private VarianceCut(float[] points, float[] weights) {
        this.points = points;
        this.weights = weights;
        this.order = new int[weights.length];
        for (int i = 0; i < order.length; i++) {
            order[i] = i;
        }
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

    /**
     * @param centers three floats each
     * @param partOf for each point, which center's part it belongs to
     */
    record Parts(float[] centers, int[] partOf) {}

    /** @param points three floats each; cut into up to {@code wanted} parts */
    static Parts of(float[] points, float[] weights, int wanted) {
        return new VarianceCut(points, weights).cut(wanted);
    }

    private Parts cut(int wanted) {
        PriorityQueue<Part> open = new PriorityQueue<>(
                Comparator.comparingDouble(Part::error).reversed().thenComparingInt(Part::from));
        List<Part> done = new ArrayList<>();
        open.add(part(0, order.length));
        while (!open.isEmpty() && open.size() + done.size() < wanted) {
            Part worst = open.poll();
            int cut = worst.to - worst.from < 2 ? worst.to : bestCut(worst);
            if (cut == worst.to) {
                done.add(worst);
                continue;
            }
            open.add(part(worst.from, cut));
            open.add(part(cut, worst.to));
        }
        done.addAll(open);
        float[] centers = new float[3 * done.size()];
        int[] partOf = new int[order.length];
        for (int i = 0; i < done.size(); i++) {
            Part part = done.get(i);
            for (int axis = 0; axis < 3; axis++) {
                centers[3 * i + axis] = (float) part.mean[axis];
            }
            for (int at = part.from; at < part.to; at++) {
                partOf[order[at]] = i;
            }
        }
        return new Parts(centers, partOf);
    }

    private Part part(int from, int to) {
        double weight = 0;
        double[] sum = new double[3];
        double[] squares = new double[3];
        for (int i = from; i < to; i++) {
            double w = weights[order[i]];
            int at = 3 * order[i];
            weight += w;
            for (int axis = 0; axis < 3; axis++) {
                double value = points[at + axis];
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

    /**
     * Finds where to cut the part along its longest axis, between two of 64 slices, so that the squared error of both
     * sides together is least; and moves what lies before the cut to the front.
     *
     * @return where the second side begins; the part's end where it cannot be cut
     */
    private int bestCut(Part part) {
        int axis = part.longestAxis();
        float least = Float.MAX_VALUE;
        float most = -Float.MAX_VALUE;
        for (int i = part.from; i < part.to; i++) {
            float value = points[3 * order[i] + axis];
            least = Math.min(least, value);
            most = Math.max(most, value);
        }
        if (most - least < ONE_COLOR) {
            return part.to;
        }
        float scale = (SLICES - 0.5f) / (most - least);
        double[] sliceWeights = new double[SLICES];
        double[] sliceSums = new double[SLICES];
        for (int i = part.from; i < part.to; i++) {
            float value = points[3 * order[i] + axis];
            int slice = (int) ((value - least) * scale);
            sliceWeights[slice] += weights[order[i]];
            sliceSums[slice] += weights[order[i]] * value;
        }
        return partition(part, axis, least, scale, lastSliceBefore(part, axis, sliceWeights, sliceSums));
    }

    private static int lastSliceBefore(Part part, int axis, double[] sliceWeights, double[] sliceSums) {
        double total = part.mean[axis] * part.weight;
        double leftWeight = 0;
        double leftSum = 0;
        double best = -1;
        int last = 0;
        for (int slice = 0; slice < SLICES - 1; slice++) {
            if (sliceWeights[slice] == 0) {
                continue;
            }
            leftWeight += sliceWeights[slice];
            leftSum += sliceSums[slice];
            double rightSum = total - leftSum;
            double gain = leftSum * leftSum / leftWeight + rightSum * rightSum / (part.weight - leftWeight);
            if (gain > best) {
                best = gain;
                last = slice;
            }
        }
        return last;
    }

    private int partition(Part part, int axis, float least, float scale, int lastSlice) {
        int front = part.from;
        int back = part.to - 1;
        while (front <= back) {
            int point = order[front];
            if ((int) ((points[3 * point + axis] - least) * scale) <= lastSlice) {
                front++;
            } else {
                order[front] = order[back];
                order[back--] = point;
            }
        }
        return front;
    }
}

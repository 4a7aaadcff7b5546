package dobbin.raster;

/**
 * Which source samples make each output sample along one axis, and by how much. Taps that would fall outside are left
 * out and the rest made to sum to one, so a flat picture stays flat to its edge.
 */
final class FilterTaps {
    private static final double RADIUS = 2;

    private final int[] firsts;
    private final int[] starts;
    private final float[] weights;
    private final int longest;

    private FilterTaps(int[] firsts, int[] starts, float[] weights, int longest) {
        this.firsts = firsts;
        this.starts = starts;
        this.weights = weights;
        this.longest = longest;
    }

    /**
     * @param from where in the source the output begins, and {@code span} how much of it it shows, in samples
     * @return the taps that bring that part of {@code sourceLength} samples to {@code length}
     */
    static FilterTaps of(int sourceLength, double from, double span, int length) {
        double step = span / length;
        double widening = Math.max(1, step);
        double reach = RADIUS * widening;
        int[] firsts = new int[length];
        int[] starts = new int[length + 1];
        float[] weights = new float[(int) (length * Math.min(sourceLength, Math.ceil(2 * reach) + 1))];
        int longest = 0;
        for (int i = 0; i < length; i++) {
            double center = from + (i + 0.5) * step - 0.5;
            int first = Math.max(0, (int) Math.ceil(center - reach));
            int last = Math.min(sourceLength - 1, (int) Math.floor(center + reach));
            firsts[i] = first;
            starts[i + 1] = starts[i] + last - first + 1;
            double total = 0;
            for (int at = first; at <= last; at++) {
                total += cubic((at - center) / widening);
            }
            for (int at = first; at <= last; at++) {
                weights[starts[i] + at - first] = (float) (cubic((at - center) / widening) / total);
            }
            longest = Math.max(longest, last - first + 1);
        }
        return new FilterTaps(firsts, starts, weights, longest);
    }

    int first(int output) {
        return firsts[output];
    }

    int count(int output) {
        return starts[output + 1] - starts[output];
    }

    int longest() {
        return longest;
    }

    float weight(int output, int tap) {
        return weights[starts[output] + tap];
    }

    int weightsStart(int output) {
        return starts[output];
    }

    float[] weights() {
        return weights;
    }

    private static double cubic(double distance) {
        double x = Math.abs(distance);
        if (x < 1) {
            return (1.5 * x - 2.5) * x * x + 1;
        }
        return x < 2 ? ((-0.5 * x + 2.5) * x - 4) * x + 2 : 0;
    }
}

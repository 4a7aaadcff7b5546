package dobbin.render;

import dobbin.color.Oklab;
import dobbin.raster.Raster;
import dobbin.reel.Light;
import dobbin.reel.Still;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Evens flicker of exposure: mean and spread of each still's lightness, in Oklab, become the middle of those of its
 * neighbors. Light that changes slowly, as at sunrise, goes on changing.
 */
public final class EvenLight {
    /** How many stills before and after enter the running median. */
    private static final int REACH = 3;

    private static final double LEAST_GAIN = 0.6;
    private static final double MOST_GAIN = 1.7;
    private static final double LEAST_SPREAD = 0.005;

    private EvenLight() {}

    private record Exposure(double mean, double spread) {}

    /** @return for each still the light in which it is even with its neighbors; its own light has no part in it */
    public static List<Light> of(List<Still> stills, Pictures pictures) {
        List<Exposure> seen = stills.stream()
                .map(still -> exposure(pictures.raster(still.picture(), Level.SMALL)))
                .toList();
        List<Light> lights = new ArrayList<>();
        for (int i = 0; i < seen.size(); i++) {
            // As many before as after, so that light that only grows stays as it is.
            int reach = Math.min(REACH, Math.min(i, seen.size() - 1 - i));
            List<Exposure> near = seen.subList(i - reach, i + reach + 1);
            double mean = middle(near.stream().mapToDouble(Exposure::mean).toArray());
            double spread = middle(near.stream().mapToDouble(Exposure::spread).toArray());
            lights.add(light(seen.get(i), mean, spread));
        }
        return lights;
    }

    private static Light light(Exposure own, double mean, double spread) {
        double wanted = own.spread < LEAST_SPREAD ? 1 : spread / own.spread;
        double gain = Math.max(LEAST_GAIN, Math.min(MOST_GAIN, wanted));
        return new Light(gain, Math.max(-1, Math.min(1, mean - gain * own.mean)));
    }

    private static double middle(double[] values) {
        Arrays.sort(values);
        return values[values.length / 2];
    }

    private static Exposure exposure(Raster picture) {
        float[] lab = new float[3];
        double sum = 0;
        double squares = 0;
        double weight = 0;
        for (int pixel : picture.argb()) {
            double alpha = (pixel >>> 24) / 255.0;
            Oklab.fromRgb(pixel, lab, 0);
            sum += alpha * lab[0];
            squares += alpha * lab[0] * lab[0];
            weight += alpha;
        }
        double mean = weight == 0 ? 0 : sum / weight;
        return new Exposure(mean, weight == 0 ? 0 : Math.sqrt(Math.max(0, squares / weight - mean * mean)));
    }
}

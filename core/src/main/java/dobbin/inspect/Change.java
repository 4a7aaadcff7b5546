package dobbin.inspect;

import dobbin.color.Oklab;
import dobbin.raster.Raster;

/** How much two pictures of a loop differ to the eye. */
public final class Change {
    private Change() {}

    /**
     * The root mean square of the pixels' Oklab distances, transparency counted as a difference of its own.
     *
     * @param a and {@code b} of one size; small ones are enough
     * @return 0 for equal pictures, 1 for black against white
     */
    public static double between(Raster a, Raster b) {
        if (!a.size().equals(b.size())) {
            throw new IllegalArgumentException("Pictures of " + a.size() + " and " + b.size() + " cannot be compared");
        }
        float[] labA = new float[3];
        float[] labB = new float[3];
        double sum = 0;
        for (int i = 0; i < a.argb().length; i++) {
            int pixelA = a.argb()[i];
            int pixelB = b.argb()[i];
            if (pixelA == pixelB) {
                continue;
            }
            float alphaA = weighted(pixelA, labA);
            float alphaB = weighted(pixelB, labB);
            sum += squared(alphaA - alphaB)
                    + squared(labA[0] - labB[0])
                    + squared(labA[1] - labB[1])
                    + squared(labA[2] - labB[2]);
        }
        return Math.min(1, Math.sqrt(sum / a.argb().length));
    }

    private static float weighted(int pixel, float[] lab) {
        float alpha = (pixel >>> 24) / 255f;
        Oklab.fromRgb(pixel, lab, 0);
        for (int i = 0; i < 3; i++) {
            lab[i] *= alpha;
        }
        return alpha;
    }

    private static double squared(double value) {
        return value * value;
    }
}

package dobbin.palette;

import java.util.Comparator;
import java.util.stream.IntStream;

/**
 * Points in Oklab, the darkest first. What is near to one is found by looking at darker and at lighter ones until those
 * differ more in lightness alone than the best does in all.
 */
final class ColorsByLightness {
    private static final int STEPS = 256;

    private final int count;
    /** The points in this order: L, a, b of each, and which it is. */
    private final float[] sorted;

    private final int[] colorAt;
    /** For each step of lightness a place at or before the darkest that is no darker. */
    private final int[] startAt = new int[STEPS];

    private final float stepsPerUnit;

    /** @param lab L, a, b of each */
    ColorsByLightness(float[] lab) {
        count = lab.length / 3;
        colorAt = IntStream.range(0, count)
                .boxed()
                .sorted(Comparator.comparingDouble(color -> lab[3 * color]))
                .mapToInt(color -> color)
                .toArray();
        sorted = new float[lab.length];
        for (int place = 0; place < count; place++) {
            System.arraycopy(lab, 3 * colorAt[place], sorted, 3 * place, 3);
        }
        stepsPerUnit = STEPS / Math.max(1e-6f, lightest() - darkest());
        int place = 0;
        for (int step = 0; step < STEPS; step++) {
            while (place < count - 1 && sorted[3 * place] < darkest() + step / stepsPerUnit) {
                place++;
            }
            // One less, since the edges of steps are rounded.
            startAt[step] = Math.max(0, place - 1);
        }
    }

    int count() {
        return count;
    }

    /** @return lightness of the darkest */
    float darkest() {
        return sorted[0];
    }

    float lightest() {
        return sorted[sorted.length - 3];
    }

    /** @return which is nearest */
    int nearest(float l, float a, float b) {
        int start = placeOf(l);
        int best = start;
        float least = squaredDistance(start, l, a, b);
        for (int direction = -1; direction <= 1; direction += 2) {
            for (int place = start + direction; place >= 0 && place < count; place += direction) {
                float beyond = direction * (sorted[3 * place] - l);
                if (beyond > 0 && beyond * beyond >= least) {
                    break;
                }
                float distance = squaredDistance(place, l, a, b);
                if (distance < least) {
                    least = distance;
                    best = place;
                }
            }
        }
        return colorAt[best];
    }

    /** For each the ones closest to it, itself first; {@code most} of them, or all there are. */
    ClosestColors neighbors(int most) {
        ClosestColors neighbors = new ClosestColors(count, Math.min(count, most));
        for (int of = 0; of < count; of++) {
            float l = sorted[3 * of];
            float a = sorted[3 * of + 1];
            float b = sorted[3 * of + 2];
            neighbors.offer(colorAt[of], colorAt[of], 0);
            for (int direction = -1; direction <= 1; direction += 2) {
                for (int place = of + direction; place >= 0 && place < count; place += direction) {
                    float apart = sorted[3 * place] - l;
                    if (apart * apart >= neighbors.farthest(colorAt[of])) {
                        break;
                    }
                    neighbors.offer(colorAt[of], colorAt[place], squaredDistance(place, l, a, b));
                }
            }
        }
        return neighbors;
    }

    /** @return the place of the darkest that is no darker, or of the lightest */
    private int placeOf(float l) {
        int step = (int) ((l - sorted[0]) * stepsPerUnit);
        int place = startAt[step < 0 ? 0 : Math.min(step, STEPS - 1)];
        while (place < count - 1 && sorted[3 * place] < l) {
            place++;
        }
        return place;
    }

    private float squaredDistance(int place, float l, float a, float b) {
        float dl = sorted[3 * place] - l;
        float da = sorted[3 * place + 1] - a;
        float db = sorted[3 * place + 2] - b;
        return dl * dl + da * da + db * db;
    }
}

package dobbin.palette;

import dobbin.color.Oklab;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Chooses the colors of a palette in Oklab.
 *
 * <p>{@link VarianceCut} finds where to begin. Then each color moves to the middle of what is nearest to it, a few times
 * (S. Lloyd, "Least squares quantization in PCM", 1982). Middles lie inside the cloud, and dithering cannot mix what lies
 * outside of its colors: for dithering, all are moved out from the common middle, by twice what brings their variance
 * back to that of the cloud. Last, what is mostly one color becomes that color.
 *
 * <p>Where vivid colors are favored, a point counts for more with the square of its chroma. Colors that are settled, the
 * 216 or one's own, are only sorted by use.
 */
public final class PaletteBuilder {
    private static final int LLOYD_ROUNDS = 4;
    /** Below 1, what is rare counts for more than its share. */
    private static final double RARITY = 0.85;

    private static final float OUTWARD = 2;

    /** A chroma at which a color counts for about twice its share. */
    private static final double HALF_VIVID = 0.08;
    /** Weight of a gray, as a share of that of other colors. */
    private static final double VIVID_FLOOR = 0.2;

    private PaletteBuilder() {}

    /** @return the colors themselves where there are few enough and nothing else is chosen, else the best found; never empty */
    public static Palette build(ColorCloud cloud, PaletteTerms terms) {
        return Palette.of(terms.transparent(), colors(cloud, terms));
    }

    private static int[] colors(ColorCloud cloud, PaletteTerms terms) {
        int[] kept = terms.kept().stream()
                .mapToInt(Integer::intValue)
                .distinct()
                .limit(terms.colors())
                .toArray();
        return switch (terms.choice()) {
            case SEEN -> chosen(cloud, terms, kept, ColorCloud::weight);
            case VIVID -> chosen(cloud, terms, kept, PaletteBuilder::vividWeight);
            case GRAYS -> grayed(chosen(cloud.withoutChroma(), terms, kept, ColorCloud::weight), kept.length);
            case WEB -> settled(FixedColors.web(), cloud, terms, kept);
            case OWN -> settled(terms.own().stream().mapToInt(Integer::intValue).toArray(), cloud, terms, kept);
        };
    }

    private static int[] settled(int[] colors, ColorCloud cloud, PaletteTerms terms, int[] kept) {
        int[] others = Arrays.stream(colors)
                .distinct()
                .filter(color -> Arrays.stream(kept).noneMatch(each -> each == color))
                .toArray();
        int room = terms.colors() - kept.length;
        return room == 0 ? kept : joined(kept, FixedColors.mostUsed(others, cloud, room));
    }

    /** @param from where those begin that become gray; the ones before are kept */
    private static int[] grayed(int[] colors, int from) {
        return IntStream.range(0, colors.length)
                .map(i -> i < from ? colors[i] : gray(colors[i]))
                .distinct()
                .toArray();
    }

    private static int gray(int rgb) {
        float[] lab = NearestColor.labOf(new int[] {rgb});
        int gray = Oklab.toRgb(lab[0], 0, 0) >> 8 & 0xFF;
        return gray * 0x010101;
    }

    private static float vividWeight(ColorCloud cloud, int i) {
        double chroma = Math.hypot(cloud.points[3 * i + 1], cloud.points[3 * i + 2]);
        double times = chroma / HALF_VIVID;
        return (float) (cloud.weights[i] * (VIVID_FLOOR + times * times));
    }

    /** How much a point of the cloud counts. */
    private interface Weighing {
        float weight(ColorCloud cloud, int i);
    }

    private static int[] chosen(ColorCloud cloud, PaletteTerms terms, int[] kept, Weighing weighing) {
        int wanted = terms.colors();
        boolean forDithering = terms.forDithering();
        if (cloud.distinct() == 0) {
            return kept.length > 0 ? kept : new int[] {0};
        }
        if (cloud.distinct() <= wanted) {
            int[] all = joined(cloud.distinctColors(), kept);
            if (all.length <= wanted) {
                return all;
            }
        }
        float[] weights = new float[cloud.weights.length];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = (float) Math.pow(weighing.weight(cloud, i), RARITY);
        }
        if (kept.length == wanted) {
            return kept;
        }
        VarianceCut.Parts parts = VarianceCut.of(cloud.points, weights, wanted - kept.length);
        float[] centers = joined(NearestColor.labOf(kept), parts.centers());
        int[] nearest = parts.partOf();
        for (int i = 0; i < nearest.length; i++) {
            nearest[i] += kept.length;
        }
        NearestCenters around = new NearestCenters(centers);
        around.assign(cloud.points, nearest);
        for (int round = 0; round < LLOYD_ROUNDS; round++) {
            settle(cloud.points, weights, nearest, centers, 3 * kept.length);
            around.assign(cloud.points, nearest);
        }
        if (forDithering) {
            spread(cloud.points, weights, nearest, centers, 3 * kept.length);
        }
        snap(cloud.points, weights, nearest, centers, kept.length);
        int[] chosen = IntStream.range(kept.length, centers.length / 3)
                .map(i -> Oklab.toRgb(centers[3 * i], centers[3 * i + 1], centers[3 * i + 2]))
                .sorted()
                .toArray();
        return joined(kept, chosen);
    }

    /** @param from where in {@code centers} those begin that may move */
    private static void settle(float[] points, float[] weights, int[] nearest, float[] centers, int from) {
        double[] sums = new double[centers.length];
        double[] mass = new double[centers.length / 3];
        for (int i = 0; i < nearest.length; i++) {
            int center = nearest[i];
            double weight = weights[i];
            mass[center] += weight;
            sums[3 * center] += weight * points[3 * i];
            sums[3 * center + 1] += weight * points[3 * i + 1];
            sums[3 * center + 2] += weight * points[3 * i + 2];
        }
        for (int i = from; i < centers.length; i++) {
            if (mass[i / 3] > 0) {
                centers[i] = (float) (sums[i] / mass[i / 3]);
            }
        }
    }

    private static void spread(float[] points, float[] weights, int[] nearest, float[] centers, int from) {
        double mass = 0;
        double cloud = 0;
        double chosen = 0;
        double[] middles = new double[3];
        for (int axis = 0; axis < 3; axis++) {
            double weight = 0;
            double sum = 0;
            double squares = 0;
            double chosenSum = 0;
            double chosenSquares = 0;
            for (int i = 0; i < nearest.length; i++) {
                double point = points[3 * i + axis];
                double center = centers[3 * nearest[i] + axis];
                weight += weights[i];
                sum += weights[i] * point;
                squares += weights[i] * point * point;
                chosenSum += weights[i] * center;
                chosenSquares += weights[i] * center * center;
            }
            mass = weight;
            middles[axis] = sum / mass;
            cloud += squares - sum * sum / mass;
            chosen += chosenSquares - chosenSum * chosenSum / mass;
        }
        if (chosen <= 0) {
            return;
        }
        double outward = 1 + OUTWARD * Math.max(0, Math.sqrt(cloud / chosen) - 1);
        for (int i = from; i < centers.length; i++) {
            centers[i] = (float) (middles[i % 3] + outward * (centers[i] - middles[i % 3]));
        }
    }

    /** A color that is most of what is around a center becomes the center: flat areas stay what they are. */
    private static void snap(float[] points, float[] weights, int[] nearest, float[] centers, int from) {
        int[] heaviest = new int[centers.length / 3];
        double[] mass = new double[centers.length / 3];
        Arrays.fill(heaviest, -1);
        for (int i = 0; i < nearest.length; i++) {
            int center = nearest[i];
            mass[center] += weights[i];
            if (heaviest[center] < 0 || weights[i] > weights[heaviest[center]]) {
                heaviest[center] = i;
            }
        }
        for (int center = from; center < mass.length; center++) {
            int point = heaviest[center];
            if (point >= 0 && weights[point] > mass[center] / 2) {
                System.arraycopy(points, 3 * point, centers, 3 * center, 3);
            }
        }
    }

    private static int[] joined(int[] first, int[] second) {
        return IntStream.concat(Arrays.stream(first), Arrays.stream(second))
                .distinct()
                .toArray();
    }

    private static float[] joined(float[] first, float[] second) {
        float[] all = Arrays.copyOf(first, first.length + second.length);
        System.arraycopy(second, 0, all, first.length, second.length);
        return all;
    }
}

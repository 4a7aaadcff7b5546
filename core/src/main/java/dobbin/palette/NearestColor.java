package dobbin.palette;

import dobbin.color.Oklab;

/**
 * Finds the color nearest to a point in Oklab.
 *
 * <p>The space around the colors is cut into cells, each of which remembers the color nearest to its middle once that was
 * asked for. It is near already, and usually so near that no other can be nearer, or only some of its neighbors. What is
 * remembered does not depend on who asks first, so any number of threads may share one.
 */
public final class NearestColor {
    private static final int MOST_CELLS = 1 << 18;
    /** How many of a color are compared before all of about the same lightness are. */
    private static final int NEIGHBORS = 20;
    /** How far cells reach beyond the colors, in gaps between them: as far as dithering strays. */
    private static final float MARGIN_IN_GAPS = 1.5f;

    private static final float LEAST_MARGIN = 0.02f;
    /** Colors reach farther in lightness than in chroma, and differ less. */
    private static final float LIGHTNESS_STRETCH = 2;

    private static final float FIRST_CELL_SIDE = 1 / 1024f;
    private static final float COARSER = 1.05f;

    private final Palette palette;
    private final float[] lab;
    private final ColorsByLightness byLightness;
    private final ClosestColors neighbors;
    private final float meanGap;
    private final float lightnessStart;
    private final float aStart;
    private final float bStart;
    private final float lightnessSteps;
    private final float chromaSteps;
    private final int lightnessCells;
    private final int aCells;
    private final int bCells;
    /** For each cell one more than its color; 0 where nobody has asked. */
    private final short[] cells;

    public NearestColor(Palette palette) {
        this.palette = palette;
        lab = labOf(palette.colors());
        byLightness = new ColorsByLightness(lab);
        neighbors = byLightness.neighbors(NEIGHBORS);
        meanGap = meanGapOf();
        float margin = LEAST_MARGIN + MARGIN_IN_GAPS * meanGap;
        lightnessStart = byLightness.darkest() - margin;
        aStart = least(1) - margin;
        bStart = least(2) - margin;
        float lightness = byLightness.lightest() + margin - lightnessStart;
        float a = most(1) + margin - aStart;
        float b = most(2) + margin - bStart;
        float side = FIRST_CELL_SIDE;
        while (lightness / (LIGHTNESS_STRETCH * side) * (a / side) * (b / side) > MOST_CELLS) {
            side *= COARSER;
        }
        chromaSteps = 1 / side;
        lightnessSteps = chromaSteps / LIGHTNESS_STRETCH;
        lightnessCells = 1 + (int) (lightness * lightnessSteps);
        aCells = 1 + (int) (a * chromaSteps);
        bCells = 1 + (int) (b * chromaSteps);
        cells = new short[lightnessCells * aCells * bCells];
    }

    static float[] labOf(int[] rgb) {
        float[] lab = new float[3 * rgb.length];
        for (int i = 0; i < rgb.length; i++) {
            Oklab.fromRgb(rgb[i], lab, 3 * i);
        }
        return lab;
    }

    public Palette palette() {
        return palette;
    }

    /** @return L, a, b of each color; to be read only */
    public float[] lab() {
        return lab;
    }

    /** @return which color is nearest, counted from the first color */
    public int indexOf(float l, float a, float b) {
        int near = nearlyIndexOf(l, a, b);
        int best = near;
        float least = squaredDistance(near, l, a, b);
        // A color nearer to the point than this one is no farther from it than twice the point is.
        float farthest = 4 * least;
        for (int rank = 1; rank < neighbors.each(); rank++) {
            if (neighbors.squaredDistance(near, rank) >= farthest) {
                return best;
            }
            int color = neighbors.of(near, rank);
            float distance = squaredDistance(color, l, a, b);
            if (distance < least) {
                least = distance;
                best = color;
            }
        }
        return byLightness.nearest(l, a, b);
    }

    /**
     * Finds a color that is nearest to a point close by, and so at most a {@link #cellDiagonal} farther than the nearest, where
     * the colors are: much faster, and good enough where the difference is handed on or bounded anyway.
     */
    public int nearlyIndexOf(float l, float a, float b) {
        int i = step((l - lightnessStart) * lightnessSteps, lightnessCells);
        int j = step((a - aStart) * chromaSteps, aCells);
        int k = step((b - bStart) * chromaSteps, bCells);
        int cell = (i * aCells + j) * bCells + k;
        int known = cells[cell];
        return known > 0 ? known - 1 : settle(cell, i, j, k);
    }

    /** @return how far two points may be apart that {@link #nearlyIndexOf} cannot tell apart */
    public float cellDiagonal() {
        double lightness = 1 / lightnessSteps;
        double chroma = 1 / chromaSteps;
        return (float) Math.sqrt(lightness * lightness + 2 * chroma * chroma);
    }

    /** @return the squared distance of a color from a point */
    public float squaredDistance(int color, float l, float a, float b) {
        float dl = lab[3 * color] - l;
        float da = lab[3 * color + 1] - a;
        float db = lab[3 * color + 2] - b;
        return dl * dl + da * da + db * db;
    }

    /** @return how far a color is from its nearest neighbor, on average; 0 for a single one */
    public float meanGap() {
        return meanGap;
    }

    private int settle(int cell, int i, int j, int k) {
        float l = (i + 0.5f) / lightnessSteps + lightnessStart;
        float a = (j + 0.5f) / chromaSteps + aStart;
        float b = (k + 0.5f) / chromaSteps + bStart;
        int color = byLightness.nearest(l, a, b);
        cells[cell] = (short) (color + 1);
        return color;
    }

    private float meanGapOf() {
        if (neighbors.each() < 2) {
            return 0;
        }
        double sum = 0;
        for (int color = 0; color < byLightness.count(); color++) {
            sum += Math.sqrt(neighbors.squaredDistance(color, 1));
        }
        return (float) (sum / byLightness.count());
    }

    private float least(int axis) {
        float least = lab[axis];
        for (int i = axis; i < lab.length; i += 3) {
            least = Math.min(least, lab[i]);
        }
        return least;
    }

    private float most(int axis) {
        float most = lab[axis];
        for (int i = axis; i < lab.length; i += 3) {
            most = Math.max(most, lab[i]);
        }
        return most;
    }

    private static int step(float value, int count) {
        return Math.max(0, Math.min((int) value, count - 1));
    }
}

package dobbin.dither;

import dobbin.color.Oklab;
import dobbin.palette.NearestColor;
import dobbin.raster.Bounds;
import java.util.Arrays;
import java.util.Set;

/**
 * What color each pixel of a frame asks for, given what the pixels before it got. In Oklab, where the palette's colors
 * are compared too; rows from the top, a row in either direction.
 *
 * <p>The error a pixel takes over is bounded by how far the palette's colors are apart. Where no color lies on the other
 * side of the wanted one, error would pile up until it breaks out as specks of something far off, or smears over the next
 * edge.
 */
public final class Mixing {
    private static final float LEAST_BOUND = 0.04f;
    private static final float BOUND_IN_GAPS = 3f;
    /** How far thresholds push lightness and chroma, in gaps between the palette's colors. */
    private static final float THRESHOLD_IN_GAPS = 1.6f;

    private static final float CHROMA_SHARE = 0.5f;
    private static final int MARGIN = 1;

    private final int left;
    private final int top;
    private final boolean diffuses;
    private final boolean spares;
    private final Set<Integer> spared;
    private final Kernel kernel;
    private final ThresholdMap thresholds;
    private final float push;
    private final float bound;
    private final float[] lab = new float[3];
    /** What falls to the pixels of this row and of the two below, three floats a pixel, with a pixel of margin at either end. */
    private float[] here;

    private float[] below;
    private float[] twoBelow;
    private int row = -1;
    private int step;

    /** What the next pixel takes over from this one and the one before, and the one after from this one. */
    private float aheadL;

    private float aheadA;
    private float aheadB;
    private float twoAheadL;
    private float twoAheadA;
    private float twoAheadB;

    /** The color that the pixel asks for. */
    private float l;

    private float a;
    private float b;

    /** @param box the part of the picture that is asked for; {@code x} and {@code y} count from its corner */
    public Mixing(Bounds box, Dithering dithering, NearestColor nearest) {
        left = box.left();
        top = box.top();
        float gap = nearest.meanGap();
        float amount = dithering.amount() / 100f;
        diffuses = dithering.mixes() && dithering.dither().kernel() != null;
        kernel = diffuses ? dithering.dither().kernel().times(amount) : Kernel.NONE;
        spared = dithering.spared();
        spares = !spared.isEmpty();
        thresholds = dithering.mixes() ? dithering.dither().thresholds() : null;
        bound = LEAST_BOUND + BOUND_IN_GAPS * gap;
        push = THRESHOLD_IN_GAPS * gap * amount;
        int length = diffuses ? 3 * (box.width() + 2 * MARGIN) : 0;
        here = new float[length];
        below = new float[length];
        twoBelow = new float[length];
    }

    /** Begins the row {@code y} of the box: the first, or the one below the row before. */
    public void begin(int y, boolean leftToRight) {
        float[] done = here;
        here = below;
        below = twoBelow;
        twoBelow = done;
        Arrays.fill(done, 0f);
        row = y;
        step = leftToRight ? 3 : -3;
        aheadL = aheadA = aheadB = 0;
        twoAheadL = twoAheadA = twoAheadB = 0;
    }

    /** Works out {@link #l}, {@link #a} and {@link #b} for a pixel. */
    public void ask(int rgb, int x) {
        Oklab.fromRgb(rgb, lab, 0);
        l = lab[0];
        a = lab[1];
        b = lab[2];
        if (spares && isSpared(rgb)) {
            return;
        }
        if (diffuses) {
            int at = 3 * (x + MARGIN);
            l += bounded(here[at] + aheadL);
            a += bounded(here[at + 1] + aheadA);
            b += bounded(here[at + 2] + aheadB);
        } else if (thresholds != null) {
            int half = thresholds.side() / 2;
            int across = left + x;
            int down = top + row;
            l += push * thresholds.at(across, down);
            a += CHROMA_SHARE * push * thresholds.at(across + half, down + half / 2);
            b += CHROMA_SHARE * push * thresholds.at(across + half / 2, down + half);
        }
    }

    /** @return whether a color must stay what it is */
    public boolean isSpared(int rgb) {
        return spares && spared.contains(rgb & 0xFFFFFF);
    }

    /** @return lightness of what the pixel last asked about wants */
    public float l() {
        return l;
    }

    public float a() {
        return a;
    }

    public float b() {
        return b;
    }

    /** Hands on what the pixel wanted and did not get. */
    public void got(int x, float[] colors, int at) {
        if (!diffuses) {
            return;
        }
        float dl = l - colors[at];
        float da = a - colors[at + 1];
        float db = b - colors[at + 2];
        aheadL = kernel.ahead() * dl + twoAheadL;
        aheadA = kernel.ahead() * da + twoAheadA;
        aheadB = kernel.ahead() * db + twoAheadB;
        int place = 3 * (x + MARGIN);
        add(below, place - step, kernel.behindBelow(), dl, da, db);
        add(below, place, kernel.below(), dl, da, db);
        if (kernel.aheadBelow() != 0) {
            add(below, place + step, kernel.aheadBelow(), dl, da, db);
        }
        if (kernel.twoBelow() != 0) {
            add(twoBelow, place, kernel.twoBelow(), dl, da, db);
        }
        twoAheadL = kernel.twoAhead() * dl;
        twoAheadA = kernel.twoAhead() * da;
        twoAheadB = kernel.twoAhead() * db;
    }

    /** Passes a pixel that is not drawn: what was on its way over it is lost. */
    public void skip() {
        aheadL = aheadA = aheadB = 0;
        twoAheadL = twoAheadA = twoAheadB = 0;
    }

    private static void add(float[] row, int at, float share, float dl, float da, float db) {
        row[at] += share * dl;
        row[at + 1] += share * da;
        row[at + 2] += share * db;
    }

    private float bounded(float error) {
        return error < -bound ? -bound : error > bound ? bound : error;
    }
}

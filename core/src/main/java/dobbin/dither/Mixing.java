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
    private final boolean keepsColors;
    private final Set<Integer> keptColors;
    private final Kernel kernel;
    private final ThresholdMap thresholds;
    private final float push;
    private final float bound;
    /** The color asked about last, not yet mixed, and the same in Oklab: many pixels are like the one before. */
    private int asked;

    private final float[] lab = new float[3];
    /** Errors carried to the pixels of this row and of the two below: three floats a pixel, with a pixel of margin at either end. */
    private float[] here;

    private float[] below;
    private float[] twoBelow;
    private int row = -1;
    private int step;

    /** Whether the last two pixels have anything to hand on. */
    private boolean carries;
    /** Errors of the last pixel and of the one before. */
    private float lastL;

    private float lastA;
    private float lastB;
    private float beforeL;
    private float beforeA;
    private float beforeB;

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
        keptColors = dithering.keptColors();
        keepsColors = !keptColors.isEmpty();
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
        int afterLast = step > 0 ? here.length / 3 - MARGIN : MARGIN - 1;
        skip(afterLast - MARGIN);
        float[] done = here;
        here = below;
        below = twoBelow;
        twoBelow = done;
        Arrays.fill(done, 0f);
        row = y;
        step = leftToRight ? 3 : -3;
    }

    /** Works out {@link #l}, {@link #a} and {@link #b} for a pixel. */
    public void ask(int rgb, int x) {
        askExactly(rgb);
        if (keepsColors && isKept(rgb)) {
            return;
        }
        if (diffuses) {
            int at = 3 * (x + MARGIN);
            l += bounded(here[at] + kernel.ahead() * lastL + kernel.twoAhead() * beforeL);
            a += bounded(here[at + 1] + kernel.ahead() * lastA + kernel.twoAhead() * beforeA);
            b += bounded(here[at + 2] + kernel.ahead() * lastB + kernel.twoAhead() * beforeB);
        } else if (thresholds != null) {
            push(left + x, top + row);
        }
    }

    private void push(int across, int down) {
        int half = thresholds.side() / 2;
        l += push * thresholds.at(across, down);
        a += CHROMA_SHARE * push * thresholds.at(across + half, down + half / 2);
        b += CHROMA_SHARE * push * thresholds.at(across + half / 2, down + half);
    }

    /** Sets the color that is asked for, of a pixel that takes over nothing from its neighbors. */
    public void askExactly(int rgb) {
        if (rgb != asked) {
            Oklab.fromRgb(rgb, lab, 0);
            asked = rgb;
        }
        l = lab[0];
        a = lab[1];
        b = lab[2];
    }

    /** @return whether a color must stay what it is */
    public boolean isKept(int rgb) {
        return keepsColors && keptColors.contains(rgb & 0xFFFFFF);
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
        int place = 3 * (x + MARGIN);
        handDown(place - step, dl, da, db);
        if (kernel.twoBelow() != 0) {
            twoBelow[place] += kernel.twoBelow() * dl;
            twoBelow[place + 1] += kernel.twoBelow() * da;
            twoBelow[place + 2] += kernel.twoBelow() * db;
        }
        beforeL = lastL;
        beforeA = lastA;
        beforeB = lastB;
        lastL = dl;
        lastA = da;
        lastB = db;
        carries = true;
    }

    /** Passes a pixel that is not drawn: what was on its way over it is lost. */
    public void skip(int x) {
        if (!carries) {
            return;
        }
        int place = 3 * (x + MARGIN);
        handDown(place - step, 0, 0, 0);
        beforeL = lastL;
        beforeA = lastA;
        beforeB = lastB;
        lastL = lastA = lastB = 0;
        handDown(place, 0, 0, 0);
        beforeL = beforeA = beforeB = 0;
        carries = false;
    }

    /** All that falls to the place below the last pixel: what this one is off by, the last, and the one before. */
    private void handDown(int place, float dl, float da, float db) {
        below[place] += kernel.behindBelow() * dl + kernel.below() * lastL + kernel.aheadBelow() * beforeL;
        below[place + 1] += kernel.behindBelow() * da + kernel.below() * lastA + kernel.aheadBelow() * beforeA;
        below[place + 2] += kernel.behindBelow() * db + kernel.below() * lastB + kernel.aheadBelow() * beforeB;
    }

    private float bounded(float error) {
        return error < -bound ? -bound : error > bound ? bound : error;
    }
}

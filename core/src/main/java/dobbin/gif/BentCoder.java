package dobbin.gif;

import dobbin.dither.Dithering;
import dobbin.dither.Mixing;
import dobbin.palette.NearestColor;
import dobbin.raster.Bounds;
import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Pixels to codes in one pass, for palettes that do not hold every color: where the string being written can be continued
 * by a color close enough to the wanted one, that color is taken, since it costs nothing. Error diffusion then hands on what
 * it is off by, so that it is hardly seen; without dithering it stays. Rows all run from the left, as strings do. (The idea
 * of bending indices towards known strings is old; doing it inside error diffusion, where the eye gets the difference
 * back, is ours.)
 *
 * <p>Close enough is measured in the palette's own gaps: among few colors, all farther apart, more is unseen.
 */
final class BentCoder {
    /** At a tolerance of 20, in Oklab distance; a just noticeable difference is about 0.02. */
    private static final float REACH = 0.017f;
    /** And this much of the gap between the palette's colors. */
    private static final float REACH_IN_GAPS = 0.9f;

    private static final float USUAL_TOLERANCE = 20f;
    /** Distances are compared in whole numbers, of which this many are 1 in Oklab. */
    private static final int SCALE = 8192;

    /** No wanted color comes near this lightness, and its square still fits. */
    private static final int FAR_OFF = 4 * SCALE;

    private static final float FARTHEST_REACH = 1;
    private static final int CODE_MASK = (1 << LzwStrings.CODE_BITS) - 1;

    private final Dithering dithering;
    private final boolean mixes;
    private final NearestColor nearest;
    private final int firstColor;
    /** L, a and b of each index, and a fourth for nothing; the transparent entry is far from any color. */
    private final int[] places;

    private final Set<Integer> colors;
    private final int squaredReach;
    private final LzwStrings strings = new LzwStrings();
    private Mixing mixing;
    /** Code of the string not yet written, or {@link LzwStrings#NONE} at the start. */
    private int string;

    /** @param tolerance 1 to 100 */
    BentCoder(NearestColor nearest, Dithering dithering, int tolerance) {
        this.dithering = dithering;
        this.mixes = dithering.mixes();
        this.nearest = nearest;
        this.firstColor = nearest.palette().firstColor();
        float gap = REACH_IN_GAPS * nearest.meanGap();
        float share = tolerance / USUAL_TOLERANCE;
        float reach = Math.min(FARTHEST_REACH, (float) Math.hypot(REACH, gap) * share);
        this.squaredReach = (int) (reach * reach * SCALE * SCALE);
        this.places = places(nearest.lab(), firstColor);
        this.colors = Arrays.stream(nearest.palette().colors()).boxed().collect(Collectors.toSet());
    }

    private static int[] places(float[] lab, int firstColor) {
        int[] places = new int[4 * (firstColor + lab.length / 3)];
        places[0] = FAR_OFF;
        for (int i = 0; i < lab.length; i++) {
            places[4 * (firstColor + i / 3) + i % 3] = Math.round(SCALE * lab[i]);
        }
        return places;
    }

    /**
     * @param argb the whole frame, opaque pixels or 0
     * @param width of the frame
     * @param bits of an index, 2 to 8
     * @return the codes of the plan's box, not yet split into sub-blocks; held and transparent pixels are index 0
     * @throws IllegalArgumentException where there are held pixels, and the palette has no transparent entry
     */
    byte[] encode(int[] argb, int width, FramePlan plan, int bits) {
        plan.checkHeldCanBeCoded(nearest.palette());
        Bounds box = plan.box();
        byte[] held = plan.heldPixels();
        boolean[] returned = plan.returned();
        mixing = new Mixing(box, dithering, nearest);
        strings.begin(bits);
        string = LzwStrings.NONE;
        for (int y = 0; y < box.height(); y++) {
            int start = (box.top() + y) * width + box.left();
            mixing.begin(y, true);
            for (int x = 0; x < box.width(); x++) {
                int pixel = argb[start + x];
                if (pixel == 0 || held[start + x] != 0) {
                    hold(x);
                } else if (returned != null && returned[start + x] && colors.contains(pixel & 0xFFFFFF)) {
                    drawExactly(pixel, x);
                } else {
                    draw(pixel, x);
                }
            }
        }
        return strings.finish(string);
    }

    private void hold(int x) {
        mixing.skip(x);
        take(0, string < 0 ? string : strings.continued(string, 0));
    }

    /** Of a color the palette has, whatever its neighbors hand on. */
    private void drawExactly(int pixel, int x) {
        mixing.askExactly(pixel);
        int index = firstColor + nearest.indexOf(mixing.l(), mixing.a(), mixing.b());
        mixing.got(x, nearest.lab(), 3 * (index - firstColor));
        take(index, string < 0 ? string : strings.continued(string, index));
    }

    private void draw(int pixel, int x) {
        mixing.ask(pixel, x);
        boolean kept = mixing.isKept(pixel);
        int index = firstColor
                + (mixes && !kept
                        ? nearest.nearlyIndexOf(mixing.l(), mixing.a(), mixing.b())
                        : nearest.indexOf(mixing.l(), mixing.a(), mixing.b()));
        int longer = string < 0 ? string : kept ? strings.continued(string, index) : closest(index);
        if (longer >= 0) {
            index = strings.lastIndex(longer);
        }
        mixing.got(x, nearest.lab(), 3 * (index - firstColor));
        take(index, longer);
    }

    /** @param longer the string that the index makes, or {@link LzwStrings#NONE} where it begins the next */
    private void take(int index, int longer) {
        if (longer >= 0) {
            string = longer;
            return;
        }
        if (string >= 0) {
            strings.end(string, index);
        }
        string = index;
    }

    /**
     * Looks among what continues the string for the color closest to the wanted one.
     *
     * @param near the index of the color that is taken otherwise: nothing farther off is close enough
     * @return the longer string, or {@link LzwStrings#NONE} where none is close enough
     */
    private int closest(int near) {
        int l = (int) (SCALE * mixing.l());
        int a = (int) (SCALE * mixing.a());
        int b = (int) (SCALE * mixing.b());
        // Distance and string in one number: the least of both is found without a branch.
        long best = (long) Math.max(squaredReach, squaredDistance(near, l, a, b) + 1) << LzwStrings.CODE_BITS;
        int longer = strings.firstLonger(string);
        while (longer != LzwStrings.NO_MORE) {
            int link = strings.link(longer);
            int index = LzwStrings.lastIndexOf(link);
            if (index == near) {
                return longer;
            }
            long distance = squaredDistance(index, l, a, b);
            best = Math.min(best, distance << LzwStrings.CODE_BITS | longer);
            longer = LzwStrings.nextLongerOf(link);
        }
        int found = (int) best & CODE_MASK;
        return found == LzwStrings.NO_MORE ? LzwStrings.NONE : found;
    }

    private int squaredDistance(int index, int l, int a, int b) {
        int dl = places[4 * index] - l;
        int da = places[4 * index + 1] - a;
        int db = places[4 * index + 2] - b;
        return dl * dl + da * da + db * db;
    }
}

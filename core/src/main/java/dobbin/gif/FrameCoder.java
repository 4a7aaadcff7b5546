package dobbin.gif;

import dobbin.dither.Dithering;
import dobbin.dither.Indexer;
import dobbin.dither.Mixing;
import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.raster.Bounds;

/**
 * Frames to codes, with one palette.
 *
 * <p>Without a tolerance, pixels become indices first and those are written as they are. With one, both happen at once:
 * where the string being written can be continued by a color close enough to the wanted one, that color is taken, since it
 * costs nothing. Error diffusion then hands on what it is off by, so that it is hardly seen; without dithering it stays.
 * Rows then all run from the left, as strings do. (The idea of bending indices towards known strings is old; doing it
 * inside error diffusion, where the eye gets the difference back, is ours.)
 *
 * <p>Close enough is measured in the palette's own gaps: among few colors, all farther apart, more is unseen. Learns and
 * reuses memory; for one thread at a time.
 */
final class FrameCoder {
    /** At a tolerance of 20, in Oklab distance; a just noticeable difference is about 0.02. */
    private static final float REACH = 0.017f;
    /** And this much of the gap between the palette's colors. */
    private static final float REACH_IN_GAPS = 0.9f;

    private static final float USUAL_TOLERANCE = 20f;
    private static final int SMALLEST_CODE_SIZE = 2;
    /** Fewer holes than one pixel in this many only break up runs of colors. */
    private static final int HOLES_WORTH_TRYING = 16;

    private final Palette palette;
    private final NearestColor nearest;
    private final float[] lab;
    private final Dithering dithering;
    private final boolean repeatable;
    private final int firstColor;
    private final int hole;
    private final float squaredReach;
    private final Neighbors neighbors;
    private int closest;
    private final LzwStrings strings = new LzwStrings();
    private final LzwEncoder lzw = new LzwEncoder();

    /**
     * @param repeatable whether the same color becomes the same index in every frame of the file
     * @param tolerance 0 to 100; 0 takes no color but the one the dither says
     */
    FrameCoder(Palette palette, Dithering dithering, boolean repeatable, int tolerance) {
        this.palette = palette;
        this.nearest = new NearestColor(palette);
        this.lab = nearest.lab();
        this.dithering = dithering;
        this.repeatable = repeatable;
        this.firstColor = palette.firstColor();
        this.hole = palette.transparentIndex();
        float gap = REACH_IN_GAPS * nearest.meanGap();
        float share = tolerance / USUAL_TOLERANCE;
        this.squaredReach = (REACH * REACH + gap * gap) * share * share;
        this.neighbors = squaredReach > 0 ? new Neighbors(nearest, firstColor, 4 * squaredReach) : null;
    }

    /**
     * @param argb the whole frame, opaque pixels or 0
     * @param width of the frame
     * @param own whether the palette is stored with the frame
     */
    StoredFrame code(int[] argb, int width, FramePlan plan, boolean own) {
        Palette stored = own ? palette : null;
        if (squaredReach > 0) {
            int bits = Math.max(SMALLEST_CODE_SIZE, palette.bits());
            return stored(plan, stored, hole, bits, bent(argb, width, plan, bits));
        }
        return plain(argb, width, plan, stored);
    }

    /**
     * Held pixels may be holes or, where they are the frame's own, drawn again: none of them, all, or whichever continues
     * the string. The smallest is taken.
     */
    private StoredFrame plain(int[] argb, int width, FramePlan plan, Palette stored) {
        boolean redrawable = !plan.hasHeld() || repeatable && plan.exactlyHeld();
        boolean holesHelp = hole >= 0 && plan.held() > plan.area() / HOLES_WORTH_TRYING;
        StoredFrame smallest = null;
        if (redrawable) {
            byte[] filled = Indexer.indices(argb, width, plan.box(), null, palette, nearest, dithering);
            smallest = smallest(plan, stored, filled, null);
            if (holesHelp) {
                smallest = smaller(smallest, smallest(plan, stored, filled, heldInBox(plan, width)));
            }
        }
        if (holesHelp || !redrawable) {
            byte[] holes = Indexer.indices(argb, width, plan.box(), plan.heldPixels(), palette, nearest, dithering);
            StoredFrame withHoles = smallest(plan, stored, holes, null);
            smallest = smallest == null ? withHoles : smaller(smallest, withHoles);
        }
        return smallest;
    }

    private static byte[] heldInBox(FramePlan plan, int width) {
        Bounds box = plan.box();
        byte[] held = new byte[plan.area()];
        for (int y = 0; y < box.height(); y++) {
            System.arraycopy(
                    plan.heldPixels(), (box.top() + y) * width + box.left(), held, y * box.width(), box.width());
        }
        return held;
    }

    /** @param optional not 0 where a pixel may be a hole instead, or null where none may */
    private StoredFrame smallest(FramePlan plan, Palette stored, byte[] indices, byte[] optional) {
        int bits = bitsOf(indices);
        StoredFrame whole = stored(plan, stored, hole, bits, lzw.encode(indices, optional, hole, bits));
        if (stored != null) {
            return whole;
        }
        FewColors few = FewColors.of(indices, optional != null, palette);
        if (few == null || few.palette().bits() >= bits) {
            return whole;
        }
        int fewBits = Math.max(SMALLEST_CODE_SIZE, few.palette().bits());
        int fewHole = few.palette().transparentIndex();
        byte[] data = lzw.encode(few.indices(), optional, fewHole, fewBits);
        return smaller(whole, stored(plan, few.palette(), fewHole, fewBits, data));
    }

    /** Codes need not be as long as the palette asks for where its last entries are not used. */
    private static int bitsOf(byte[] indices) {
        int most = 0;
        for (byte index : indices) {
            most = Math.max(most, index & 0xFF);
        }
        return Math.max(SMALLEST_CODE_SIZE, 32 - Integer.numberOfLeadingZeros(most));
    }

    private byte[] bent(int[] argb, int width, FramePlan plan, int bits) {
        Bounds box = plan.box();
        byte[] held = plan.heldPixels();
        Mixing mixing = new Mixing(box, dithering, nearest);
        strings.begin(bits);
        int string = LzwStrings.NONE;
        for (int y = 0; y < box.height(); y++) {
            int start = (box.top() + y) * width + box.left();
            mixing.begin(y, true);
            for (int x = 0; x < box.width(); x++) {
                int pixel = argb[start + x];
                int index;
                int longer;
                if (pixel == 0 || held[start + x] != 0) {
                    index = hole;
                    longer = string < 0 ? string : strings.continued(string, hole);
                    mixing.skip();
                } else {
                    mixing.ask(pixel, x);
                    int near = firstColor + nearest.nearlyIndexOf(mixing.l(), mixing.a(), mixing.b());
                    if (mixing.isSpared(pixel)) {
                        index = firstColor + nearest.indexOf(mixing.l(), mixing.a(), mixing.b());
                        longer = string < 0 ? string : strings.continued(string, index);
                    } else {
                        longer = string < 0 ? string : closest(string, near, mixing);
                        index = longer < 0 ? near : closest;
                    }
                    mixing.got(x, lab, 3 * (index - firstColor));
                }
                if (longer >= 0) {
                    string = longer;
                } else {
                    if (string >= 0) {
                        strings.end(string, index);
                    }
                    string = index;
                }
            }
        }
        return strings.finish(string);
    }

    /**
     * Looks among what continues the string for the color closest to the wanted one, and leaves its index in
     * {@link #closest}.
     *
     * @return the longer string, or {@link LzwStrings#NONE} where none is close enough
     */
    private int closest(int string, int near, Mixing mixing) {
        int straight = strings.continued(string, near);
        if (straight >= 0) {
            closest = near;
            return straight;
        }
        float least = squaredReach;
        int best = LzwStrings.NONE;
        for (int word = 0; word < LzwStrings.WORDS; word++) {
            long possible = strings.continuations(string, word) & neighbors.of(near, word);
            while (possible != 0) {
                int index = word << 6 | Long.numberOfTrailingZeros(possible);
                possible &= possible - 1;
                float distance = nearest.squaredDistance(index - firstColor, mixing.l(), mixing.a(), mixing.b());
                if (distance < least) {
                    least = distance;
                    best = index;
                }
            }
        }
        closest = best;
        return best < 0 ? LzwStrings.NONE : strings.continued(string, best);
    }

    private static StoredFrame stored(FramePlan plan, Palette own, int transparent, int bits, byte[] data) {
        return new StoredFrame(plan.box(), plan.disposal(), own, transparent, bits, data, plan.drawn());
    }

    private static StoredFrame smaller(StoredFrame a, StoredFrame b) {
        return b == null || a.bytes() <= b.bytes() ? a : b;
    }
}

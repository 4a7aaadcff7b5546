package dobbin.gif;

import dobbin.dither.Dithering;
import dobbin.dither.Indexer;
import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.raster.Bounds;

/**
 * Frames to codes, with one palette.
 *
 * <p>Without a tolerance, pixels become indices first and those are written as they are; with one, {@link BentCoder} does
 * both at once. Reuses memory; for one thread at a time.
 */
final class FrameCoder {
    private static final int SMALLEST_CODE_SIZE = 2;
    /** Fewer holes than one pixel in this many only break up runs of colors. */
    private static final int HOLES_WORTH_TRYING = 16;

    private final Palette palette;
    private final NearestColor nearest;
    private final Dithering dithering;
    private final boolean repeatable;
    private final int hole;
    /** Null where there is no tolerance. */
    private final BentCoder bent;

    private final LzwEncoder lzw = new LzwEncoder();

    /**
     * @param nearest of the palette; may be shared with other threads
     * @param repeatable whether the same color becomes the same index in every frame of the file
     * @param tolerance 0 to 100; 0 takes no color but the one the dither says
     */
    FrameCoder(NearestColor nearest, Dithering dithering, boolean repeatable, int tolerance) {
        this.palette = nearest.palette();
        this.nearest = nearest;
        this.dithering = dithering;
        this.repeatable = repeatable;
        this.hole = palette.transparentIndex();
        this.bent = tolerance > 0 ? new BentCoder(nearest, dithering, tolerance) : null;
    }

    /**
     * @param argb the whole frame, opaque pixels or 0
     * @param width of the frame
     * @param own whether the palette is stored with the frame
     */
    StoredFrame code(int[] argb, int width, FramePlan plan, boolean own) {
        Palette stored = own ? palette : null;
        if (bent != null) {
            int bits = Math.max(SMALLEST_CODE_SIZE, palette.bits());
            return stored(plan, stored, hole, bits, bent.encode(argb, width, plan, bits));
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
        if (!redrawable) {
            plan.checkHeldCanBeCoded(palette);
        }
        if (redrawable) {
            byte[] filled = Indexer.indices(argb, width, plan.box(), null, nearest, dithering);
            smallest = smallest(plan, stored, filled, null);
            if (holesHelp) {
                smallest = smaller(smallest, smallest(plan, stored, filled, heldInBox(plan, width)));
            }
        }
        if (holesHelp || !redrawable) {
            byte[] holes = Indexer.indices(argb, width, plan.box(), plan.heldPixels(), nearest, dithering);
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

    private static StoredFrame stored(FramePlan plan, Palette own, int transparent, int bits, byte[] data) {
        return new StoredFrame(plan.box(), plan.disposal(), own, transparent, bits, data, plan.drawn());
    }

    private static StoredFrame smaller(StoredFrame a, StoredFrame b) {
        return b == null || a.bytes() <= b.bytes() ? a : b;
    }
}

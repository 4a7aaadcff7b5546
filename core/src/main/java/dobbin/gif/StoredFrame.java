package dobbin.gif;

import dobbin.palette.Palette;
import dobbin.raster.Bounds;
import dobbin.raster.Disposal;
import dobbin.raster.Memory;

/**
 * A frame as it lies in the file.
 *
 * @param own the frame's own palette, or null where it uses the file's
 * @param transparentIndex or -1
 * @param minimumCodeSize bits of an index, 2 to 8
 * @param data the codes, not yet split into sub-blocks
 * @param drawn how many pixels it draws; the rest of its box stays as it was
 */
public record StoredFrame(
        Bounds box, Disposal disposal, Palette own, int transparentIndex, int minimumCodeSize, byte[] data, int drawn)
        implements Memory.Bulky {
    private static final int MAX_SUB_BLOCK = 255;
    /** Graphic control, image descriptor, code size and the end of the data. */
    private static final int BLOCKS = 8 + 10 + 1 + 1;

    /**
     * @return the same frame, disposed of so that drawing it once more shows the same: a box that were cleared would lose
     *     the pixels the frame holds
     */
    StoredFrame repeatable() {
        return disposal == Disposal.CLEAR
                ? new StoredFrame(box, Disposal.KEEP, own, transparentIndex, minimumCodeSize, data, drawn)
                : this;
    }

    /** @return how many bytes of the file it takes */
    public int bytes() {
        int subBlocks = (data.length + MAX_SUB_BLOCK - 1) / MAX_SUB_BLOCK;
        return BLOCKS + data.length + subBlocks + (own == null ? 0 : 3 << own.bits());
    }
}

package dobbin.gif;

import dobbin.palette.Palette;
import dobbin.raster.Bounds;
import dobbin.raster.Disposal;
import java.util.Arrays;
import java.util.Objects;

/**
 * What of a frame must be drawn.
 *
 * @param box the part of the screen that is drawn
 * @param heldPixels for each pixel of the whole screen, 1 where what is there already stays, else 0; never changed
 * @param returned for each of them whether it returns to a color it had in calm, so that it is drawn with no other; null
 *     where none does
 * @param exactlyHeld whether all held pixels are the frame's own to the last bit
 * @param drawn how many pixels of the box are not held
 */
record FramePlan(Bounds box, byte[] heldPixels, boolean[] returned, boolean exactlyHeld, int drawn, Disposal disposal) {
    int area() {
        return box.width() * box.height();
    }

    int held() {
        return area() - drawn;
    }

    boolean hasHeld() {
        return held() > 0;
    }

    /** @throws IllegalArgumentException where pixels are held and the palette has no transparent entry for them */
    void checkHeldCanBeCoded(Palette palette) {
        if (hasHeld() && palette.transparentIndex() < 0) {
            throw new IllegalArgumentException(
                    held() + " pixels are held, and the palette has no transparent entry for them");
        }
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof FramePlan that
                && box.equals(that.box)
                && exactlyHeld == that.exactlyHeld
                && drawn == that.drawn
                && disposal == that.disposal
                && Arrays.equals(heldPixels, that.heldPixels)
                && Arrays.equals(returned, that.returned);
    }

    @Override
    public int hashCode() {
        return Objects.hash(box, exactlyHeld, drawn, disposal);
    }
}

package dobbin.slim;

import dobbin.gif.EncodedFrame;
import dobbin.raster.Size;
import java.util.List;

/**
 * A finished file.
 *
 * @param bytes the GIF; given away, not to be changed
 * @param frames of the loop; the file stores fewer where some are the same
 * @param colors entries of its largest palette, a transparent one included
 * @param palettes how many there are
 * @param reason why that many
 * @param lossless whether every color is the drawn one
 * @param stored what the file stores of the frames
 */
public record Delivered(
        byte[] bytes,
        Size size,
        int frames,
        int colors,
        int palettes,
        PaletteReason reason,
        boolean lossless,
        List<EncodedFrame> stored) {}

package dobbin.slim;

import dobbin.gif.EncodedFrame;
import dobbin.gif.GifSettings;
import dobbin.raster.Size;
import java.util.List;

/**
 * A loop that is encoded but for its delays: those, the plays and the comment can change without any of this being done
 * again.
 *
 * @param frames of the loop
 * @param colors entries of the largest palette, a transparent one included
 * @param palettes how many there are
 * @param reason why that many
 */
public record Encoded(
        Size size,
        int frames,
        int colors,
        int palettes,
        PaletteReason reason,
        GifSettings settings,
        List<EncodedFrame> stored) {
    /** @return how many bytes the stored frames take */
    public int bytes() {
        return stored.stream().mapToInt(frame -> frame.stored().bytes()).sum();
    }
}

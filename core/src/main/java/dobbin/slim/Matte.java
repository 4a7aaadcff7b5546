package dobbin.slim;

import dobbin.palette.ColorCounts;
import dobbin.raster.Compositor;
import dobbin.raster.Raster;

/** Soft edges over the color of the page they will lie on: a GIF pixel cannot be half there. */
final class Matte {
    private static final int OPAQUE = 0xFF000000;

    private Matte() {}

    /**
     * @param matte six hexadecimal digits, or empty for none
     * @return pixels past the alpha cut-off mixed with the matte; the rest as it was
     */
    static Raster apply(Raster raster, String matte) {
        if (matte.isEmpty() || raster.isOpaque()) {
            return raster;
        }
        int below = OPAQUE | Integer.parseInt(matte, 16);
        int[] argb = raster.argb().clone();
        for (int i = 0; i < argb.length; i++) {
            if (argb[i] >>> 24 >= ColorCounts.ALPHA_CUTOFF) {
                argb[i] = Compositor.over(argb[i], below);
            }
        }
        return Raster.of(raster.size(), argb);
    }
}

package dobbin.slim;

import dobbin.raster.Compositor;
import dobbin.raster.Raster;

/** Soft edges made hard: a GIF pixel cannot be half there. */
final class Matte {
    private static final int OPAQUE = 0xFF000000;

    private Matte() {}

    /**
     * @param matte the color of the page the picture will lie on, six hexadecimal digits, or empty for none
     * @param flat whether every pixel is mixed with the matte, so that nothing is transparent
     * @param cutoff 1 to 255; no matter where all is flat
     * @return pixels at least that opaque made wholly so, mixed with the matte where there is one; the rest 0
     */
    static Raster harden(Raster raster, String matte, boolean flat, int cutoff) {
        if (raster.isOpaque()) {
            return raster;
        }
        int[] argb = raster.argb().clone();
        int below = matte.isEmpty() ? 0 : OPAQUE | Integer.parseInt(matte, 16);
        for (int i = 0; i < argb.length; i++) {
            int pixel = argb[i];
            if (!flat && pixel >>> 24 < cutoff) {
                argb[i] = 0;
            } else if (pixel >>> 24 < 255) {
                argb[i] = matte.isEmpty() ? OPAQUE | pixel : Compositor.over(pixel, below);
            }
        }
        return Raster.of(raster.size(), argb);
    }
}

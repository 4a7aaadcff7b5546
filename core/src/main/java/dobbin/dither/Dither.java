package dobbin.dither;

import dobbin.palette.ColorCounts;
import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.raster.Raster;

/** How a picture meets its palette. */
public enum Dither {
    /** Each pixel becomes its nearest color. */
    NONE {
        @Override
        byte[] indices(Raster picture, int[] colors, NearestColor nearest, byte transparent) {
            int[] argb = picture.argb();
            byte[] indices = new byte[argb.length];
            for (int i = 0; i < argb.length; i++) {
                int pixel = argb[i];
                indices[i] = pixel >>> 24 < ColorCounts.ALPHA_CUTOFF
                        ? transparent
                        : (byte) nearest.indexOf(pixel & 0xFFFFFF);
            }
            return indices;
        }
    },
    /** Error diffusion after Floyd and Steinberg, every other row from the right. */
    ERROR {
        @Override
        byte[] indices(Raster picture, int[] colors, NearestColor nearest, byte transparent) {
            return new ErrorDiffusion(picture, colors, nearest, transparent).run();
        }
    };

    abstract byte[] indices(Raster picture, int[] colors, NearestColor nearest, byte transparent);

    /**
     * @param palette with a transparent entry where {@code picture} has pixels below the alpha cut-off
     * @param nearest made of that palette; shared by all pictures of a loop, since it learns
     * @return one palette index a pixel
     */
    public byte[] indices(Raster picture, Palette palette, NearestColor nearest) {
        return indices(picture, palette.colors(), nearest, (byte) palette.transparentIndex());
    }
}

package dobbin.dither;

import dobbin.palette.NearestColor;
import dobbin.raster.Bounds;

/** Pictures to palette indices, every other row from the right, so that no slanting worms grow. */
public final class Indexer {
    private Indexer() {}

    /**
     * @param argb pixels of a whole picture, row by row
     * @param width of the picture
     * @param box the part that is wanted
     * @param held for each pixel of the picture, not 0 where it is left out, or null for none: those and the transparent ones
     *     become the palette's transparent entry and neither take nor give error
     * @return one palette index a pixel of the box
     */
    public static byte[] indices(
            int[] argb, int width, Bounds box, byte[] held, NearestColor nearest, Dithering dithering) {
        byte[] indices = new byte[box.width() * box.height()];
        Mixing mixing = new Mixing(box, dithering, nearest);
        byte transparent = (byte) nearest.palette().transparentIndex();
        int firstColor = nearest.palette().firstColor();
        float[] lab = nearest.lab();
        for (int y = 0; y < box.height(); y++) {
            boolean leftToRight = (y & 1) == 0;
            int start = (box.top() + y) * width + box.left();
            mixing.begin(y, leftToRight);
            for (int i = 0; i < box.width(); i++) {
                int x = leftToRight ? i : box.width() - 1 - i;
                int pixel = argb[start + x];
                if (pixel == 0 || held != null && held[start + x] != 0) {
                    indices[y * box.width() + x] = transparent;
                    mixing.skip(x);
                    continue;
                }
                mixing.ask(pixel, x);
                int color = nearest.indexOf(mixing.l(), mixing.a(), mixing.b());
                indices[y * box.width() + x] = (byte) (firstColor + color);
                mixing.got(x, lab, 3 * color);
            }
        }
        return indices;
    }
}

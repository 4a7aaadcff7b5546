package dobbin.register;

import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.raster.Size;

/** The lightness of a picture, 0 to 1, row by row. Pixels that are transparent count as black. */
record Plane(int width, int height, float[] values) {
    private static final float RED = 0.299f / 255;
    private static final float GREEN = 0.587f / 255;
    private static final float BLUE = 0.114f / 255;
    private static final int SOFT = 8;
    private static final float LEAST_EDGE = 0.012f;
    private static final float USUAL_EDGE = 0.1f;

    static Plane of(Raster picture, Size size) {
        int[] argb = Resampler.resize(picture, size).argb();
        float[] values = new float[argb.length];
        for (int i = 0; i < argb.length; i++) {
            float covered = (argb[i] >>> 24) / 255f;
            values[i] =
                    covered * (RED * (argb[i] >> 16 & 0xFF) + GREEN * (argb[i] >> 8 & 0xFF) + BLUE * (argb[i] & 0xFF));
        }
        return new Plane(size.width(), size.height(), values);
    }

    float at(int x, int y) {
        return values[y * width + x];
    }

    /** @return half as large, each pixel the mean of four */
    Plane half() {
        int across = width / 2;
        int down = height / 2;
        float[] half = new float[across * down];
        for (int y = 0; y < down; y++) {
            for (int x = 0; x < across; x++) {
                half[y * across + x] =
                        (at(2 * x, 2 * y) + at(2 * x + 1, 2 * y) + at(2 * x, 2 * y + 1) + at(2 * x + 1, 2 * y + 1)) / 4;
            }
        }
        return new Plane(across, down, half);
    }

    /** @return softened by 1, 2, 1 across and down */
    Plane softened() {
        float[] across = new float[values.length];
        float[] both = new float[values.length];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                across[y * width + x] =
                        (at(Math.max(0, x - 1), y) + 2 * at(x, y) + at(Math.min(width - 1, x + 1), y)) / 4;
            }
        }
        for (int y = 0; y < height; y++) {
            int above = Math.max(0, y - 1) * width;
            int below = Math.min(height - 1, y + 1) * width;
            for (int x = 0; x < width; x++) {
                both[y * width + x] = (across[above + x] + 2 * across[y * width + x] + across[below + x]) / 4;
            }
        }
        return new Plane(width, height, both);
    }

    /**
     * @return edges alone: what is finer than about 6 pixels, as strong everywhere. So neither the light nor a few strong
     *     edges of something that moved outweigh the rest
     */
    Plane edges() {
        Plane soft = softened(SOFT);
        float[] fine = new float[values.length];
        float[] squares = new float[values.length];
        for (int i = 0; i < fine.length; i++) {
            fine[i] = values[i] - soft.values[i];
            squares[i] = fine[i] * fine[i];
        }
        Plane strength = new Plane(width, height, squares).softened(SOFT);
        for (int i = 0; i < fine.length; i++) {
            fine[i] *= USUAL_EDGE / ((float) Math.sqrt(strength.values[i]) + LEAST_EDGE);
        }
        return new Plane(width, height, fine);
    }

    private Plane softened(int times) {
        Plane soft = this;
        for (int i = 0; i < times; i++) {
            soft = soft.softened();
        }
        return soft;
    }

    boolean isInside(double x, double y) {
        return x >= 0 && y >= 0 && x < width - 1 && y < height - 1;
    }

    /** @return between the middles of four pixels; the first pixel's is at 0, 0 */
    float between(double x, double y) {
        int left = (int) x;
        int top = (int) y;
        float onX = (float) (x - left);
        float onY = (float) (y - top);
        int at = top * width + left;
        float upper = values[at] + onX * (values[at + 1] - values[at]);
        float lower = values[at + width] + onX * (values[at + width + 1] - values[at + width]);
        return upper + onY * (lower - upper);
    }

    /** @return how much it rises to the right, from pixel to pixel */
    Plane risesAcross() {
        float[] rises = new float[values.length];
        for (int y = 0; y < height; y++) {
            for (int x = 1; x < width - 1; x++) {
                rises[y * width + x] = (at(x + 1, y) - at(x - 1, y)) / 2;
            }
        }
        return new Plane(width, height, rises);
    }

    /** @return how much it rises downward */
    Plane risesDown() {
        float[] rises = new float[values.length];
        for (int y = 1; y < height - 1; y++) {
            for (int x = 0; x < width; x++) {
                rises[y * width + x] = (at(x, y + 1) - at(x, y - 1)) / 2;
            }
        }
        return new Plane(width, height, rises);
    }
}

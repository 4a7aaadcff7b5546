package dobbin.raster;

import dobbin.color.LinearLight;

/** A picture's rows in linear light, red, green and blue of each pixel, multiplied by alpha where there is any. */
class LinearRows {
    private static final float[] LINEAR = LinearLight.table();

    private final PixelRows source;
    private final int channels;
    private final int[] pixels;

    LinearRows(PixelRows source) {
        this.source = source;
        this.channels = source.isOpaque() ? 3 : 4;
        this.pixels = new int[source.size().width()];
    }

    int width() {
        return source.size().width();
    }

    int height() {
        return source.size().height();
    }

    /** @return all of the picture, in pixels of these rows */
    Region whole() {
        return Region.all(source.size());
    }

    /** @return 3, or 4 with alpha as the last */
    final int channels() {
        return channels;
    }

    /** @param row gets row {@code y}: {@code channels()} floats a pixel */
    void read(int y, float[] row) {
        source.read(y, pixels);
        for (int x = 0, out = 0; x < pixels.length; x++, out += channels) {
            int pixel = pixels[x];
            float red = LINEAR[pixel >> 16 & 0xFF];
            float green = LINEAR[pixel >> 8 & 0xFF];
            float blue = LINEAR[pixel & 0xFF];
            if (channels == 4) {
                float alpha = (pixel >>> 24) / 255f;
                red *= alpha;
                green *= alpha;
                blue *= alpha;
                row[out + 3] = alpha;
            }
            row[out] = red;
            row[out + 1] = green;
            row[out + 2] = blue;
        }
    }
}

package dobbin.raster;

import dobbin.color.LinearLight;

/** Each pixel the mean of two by two of the picture; an odd last row or column is left away. */
final class HalvedRows extends LinearRows {
    /** A quarter of the light of each value: four of them are a mean. */
    private static final float[] QUARTER = quarters();

    private final PixelRows source;
    private final int[] upper;
    private final int[] lower;

    /** @param source at least two by two pixels */
    HalvedRows(PixelRows source) {
        super(source);
        this.source = source;
        this.upper = new int[source.size().width()];
        this.lower = new int[upper.length];
    }

    @Override
    int width() {
        return super.width() / 2;
    }

    @Override
    int height() {
        return super.height() / 2;
    }

    @Override
    Region whole() {
        return new Region(0, 0, super.width() / 2.0, super.height() / 2.0);
    }

    @Override
    void read(int y, float[] row) {
        source.read(2 * y, upper);
        source.read(2 * y + 1, lower);
        if (channels() == 3) {
            meanOfOpaque(row);
        } else {
            mean(row);
        }
    }

    private void meanOfOpaque(float[] row) {
        for (int out = 0, in = 0; out < row.length; out += 3, in += 2) {
            int a = upper[in];
            int b = upper[in + 1];
            int c = lower[in];
            int d = lower[in + 1];
            row[out] = QUARTER[a >> 16 & 0xFF]
                    + QUARTER[b >> 16 & 0xFF]
                    + QUARTER[c >> 16 & 0xFF]
                    + QUARTER[d >> 16 & 0xFF];
            row[out + 1] =
                    QUARTER[a >> 8 & 0xFF] + QUARTER[b >> 8 & 0xFF] + QUARTER[c >> 8 & 0xFF] + QUARTER[d >> 8 & 0xFF];
            row[out + 2] = QUARTER[a & 0xFF] + QUARTER[b & 0xFF] + QUARTER[c & 0xFF] + QUARTER[d & 0xFF];
        }
    }

    private void mean(float[] row) {
        for (int out = 0, in = 0; out < row.length; out += 4, in += 2) {
            row[out] = 0;
            row[out + 1] = 0;
            row[out + 2] = 0;
            row[out + 3] = 0;
            add(upper[in], row, out);
            add(upper[in + 1], row, out);
            add(lower[in], row, out);
            add(lower[in + 1], row, out);
        }
    }

    private static void add(int pixel, float[] row, int out) {
        float alpha = (pixel >>> 24) / 255f;
        row[out] += alpha * QUARTER[pixel >> 16 & 0xFF];
        row[out + 1] += alpha * QUARTER[pixel >> 8 & 0xFF];
        row[out + 2] += alpha * QUARTER[pixel & 0xFF];
        row[out + 3] += alpha / 4;
    }

    private static float[] quarters() {
        float[] quarters = LinearLight.table().clone();
        for (int i = 0; i < quarters.length; i++) {
            quarters[i] /= 4;
        }
        return quarters;
    }
}

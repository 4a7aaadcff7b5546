package dobbin.color;

/**
 * sRGB values 0..255 to linear light 0..1 and back, by the transfer curve of IEC 61966-2-1.
 *
 * <p>Both ways are tables, so that a pixel costs a look-up; every 8-bit value survives the round trip.
 */
public final class LinearLight {
    private static final int FINE = 1 << 16;
    private static final float[] LINEAR = new float[256];
    private static final byte[] ENCODED = new byte[FINE + 1];

    static {
        for (int value = 0; value < 256; value++) {
            LINEAR[value] = (float) decode(value / 255.0);
        }
        for (int step = 0; step <= FINE; step++) {
            ENCODED[step] = (byte) Math.round(encode(step / (double) FINE) * 255);
        }
    }

    private LinearLight() {}

    /** @param value an sRGB value, 0..255; its linear light, 0..1 */
    public static float of(int value) {
        return LINEAR[value];
    }

    /** @return a fresh copy of the table that {@link #of} reads: 256 floats, for hot loops */
    public static float[] table() {
        return LINEAR.clone();
    }

    /** @param linear linear light; clamped to 0..1. The nearest sRGB value, 0..255 */
    public static int toSrgb(float linear) {
        if (!(linear > 0f)) {
            return 0;
        }
        if (linear >= 1f) {
            return 255;
        }
        return ENCODED[(int) (linear * FINE + 0.5f)] & 0xFF;
    }

    private static double decode(double encoded) {
        return encoded <= 0.04045 ? encoded / 12.92 : Math.pow((encoded + 0.055) / 1.055, 2.4);
    }

    private static double encode(double linear) {
        return linear <= 0.0031308 ? linear * 12.92 : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
    }
}

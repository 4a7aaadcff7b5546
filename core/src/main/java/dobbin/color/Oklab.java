package dobbin.color;

/**
 * Oklab, a perceptual color space: equal distances look about equally different.
 *
 * <p>Source: Björn Ottosson, "A perceptual color space for image processing", 2020. L is 0..1, a and b about -0.4..0.4.
 */
public final class Oklab {
    private static final int MANTISSA_BITS = 23;
    /** Between two powers of 2 the cube root is a chain of this many straight pieces, as a power of 2. */
    private static final int PIECES_BITS = 7;

    private static final int PIECE_SHIFT = MANTISSA_BITS - PIECES_BITS;
    /** Below 2^-17 it is one straight piece from 0: 8-bit colors are brighter. */
    private static final int FIRST_PIECE = 127 - 17 << PIECES_BITS;

    /** As many as reach 2, rounded up to a power of 2. */
    private static final int PIECES = 1 << 12;
    /** Value at 0 and slope of each segment. */
    private static final float[] PIECE = new float[2 * PIECES];

    static {
        for (int piece = 0; piece < PIECES; piece++) {
            float from = piece == 0 ? 0 : Float.intBitsToFloat(piece + FIRST_PIECE << PIECE_SHIFT);
            float to = Float.intBitsToFloat(piece + 1 + FIRST_PIECE << PIECE_SHIFT);
            double slope = (Math.cbrt(to) - Math.cbrt(from)) / (to - from);
            PIECE[2 * piece] = (float) (Math.cbrt(from) - from * slope);
            PIECE[2 * piece + 1] = (float) slope;
        }
    }

    private Oklab() {}

    /**
     * @param rgb 0xRRGGBB; higher bits are ignored
     * @param into receives L, a, b at {@code offset}, {@code offset + 1}, {@code offset + 2}
     */
    public static void fromRgb(int rgb, float[] into, int offset) {
        fromLinear(
                LinearLight.of(rgb >> 16 & 0xFF),
                LinearLight.of(rgb >> 8 & 0xFF),
                LinearLight.of(rgb & 0xFF),
                into,
                offset);
    }

    /** As {@link #fromRgb}, from linear light 0..1 a channel. */
    public static void fromLinear(float red, float green, float blue, float[] into, int offset) {
        float l = cubeRoot(0.4122214708f * red + 0.5363325363f * green + 0.0514459929f * blue);
        float m = cubeRoot(0.2119034982f * red + 0.6806995451f * green + 0.1073969566f * blue);
        float s = cubeRoot(0.0883024619f * red + 0.2817188376f * green + 0.6299787005f * blue);
        into[offset] = 0.2104542553f * l + 0.7936177850f * m - 0.0040720468f * s;
        into[offset + 1] = 1.9779984951f * l - 2.4285922050f * m + 0.4505937099f * s;
        into[offset + 2] = 0.0259040371f * l + 0.7827717662f * m - 0.8086757660f * s;
    }

    /** @return the nearest sRGB color, 0xRRGGBB; out-of-gamut colors are clamped a channel */
    public static int toRgb(float lightness, float a, float b) {
        float l = cube(lightness + 0.3963377774f * a + 0.2158037573f * b);
        float m = cube(lightness - 0.1055613458f * a - 0.0638541728f * b);
        float s = cube(lightness - 0.0894841775f * a - 1.2914855480f * b);
        int red = LinearLight.toSrgb(4.0767416621f * l - 3.3077115913f * m + 0.2309699292f * s);
        int green = LinearLight.toSrgb(-1.2684380046f * l + 2.6097574011f * m - 0.3413193965f * s);
        int blue = LinearLight.toSrgb(-0.0041960863f * l - 0.7034186147f * m + 1.7076147010f * s);
        return red << 16 | green << 8 | blue;
    }

    /** @return the distance between two sRGB colors (0xRRGGBB); black to white is 1 */
    public static double distance(int rgbA, int rgbB) {
        float[] lab = new float[6];
        fromRgb(rgbA, lab, 0);
        fromRgb(rgbB, lab, 3);
        float lightness = lab[0] - lab[3];
        float a = lab[1] - lab[4];
        float b = lab[2] - lab[5];
        return Math.sqrt(lightness * lightness + a * a + b * b);
    }

    /**
     * On straight pieces, right to 2 parts in a million, and several times as fast as {@link Math#cbrt}, which matters since
     * every pixel passes here.
     *
     * @param value 0 to 1
     */
    private static float cubeRoot(float value) {
        int piece = Math.max(0, (Float.floatToRawIntBits(value) >> PIECE_SHIFT) - FIRST_PIECE) & PIECES - 1;
        return PIECE[2 * piece] + value * PIECE[2 * piece + 1];
    }

    private static float cube(float value) {
        return value * value * value;
    }
}

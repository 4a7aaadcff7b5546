package dobbin.inspect;

/** Follows the color from where it was last nearest to red, or farthest from it. */
final class Redness implements FollowedPixels {
    private static final double SATURATED = 0.8;
    private static final double ENOUGH = 0.2;
    private static final double BRIGHT = 20.0 / 320;
    private static final double RED_U = 0.4507;
    private static final double RED_V = 0.5229;
    private static final double WHITE_U = 0.1978;
    private static final double WHITE_V = 0.4683;

    private float[] u;
    private float[] v;
    private boolean[] saturated;
    private byte[] direction;

    @Override
    public void begin(int pixels) {
        u = new float[pixels];
        v = new float[pixels];
        saturated = new boolean[pixels];
        direction = new byte[pixels];
    }

    @Override
    public int change(int pixel, int argb, boolean first) {
        int alpha = argb >>> 24;
        double red = FollowedPixels.over(argb >> 16 & 0xFF, alpha);
        double green = FollowedPixels.over(argb >> 8 & 0xFF, alpha);
        double blue = FollowedPixels.over(argb & 0xFF, alpha);
        boolean isRed = red - green - blue > BRIGHT && red >= SATURATED * (red + green + blue);
        double x = 0.4124 * red + 0.3576 * green + 0.1805 * blue;
        double y = 0.2126 * red + 0.7152 * green + 0.0722 * blue;
        double z = 0.0193 * red + 0.1192 * green + 0.9505 * blue;
        double sum = x + 15 * y + 3 * z;
        double nowU = sum == 0 ? WHITE_U : 4 * x / sum;
        double nowV = sum == 0 ? WHITE_V : 9 * y / sum;
        double moved = Math.hypot(nowU - u[pixel], nowV - v[pixel]);
        boolean nearer = fromRed(nowU, nowV) < fromRed(u[pixel], v[pixel]);
        boolean changes = !first && moved > ENOUGH && (isRed || saturated[pixel]);
        boolean goesOn = direction[pixel] != 0 && nearer == direction[pixel] > 0;
        if (first || changes || goesOn) {
            u[pixel] = (float) nowU;
            v[pixel] = (float) nowV;
            saturated[pixel] = isRed;
        }
        if (!changes) {
            return 0;
        }
        direction[pixel] = (byte) (nearer ? 1 : -1);
        return direction[pixel];
    }

    private static double fromRed(double u, double v) {
        return Math.hypot(u - RED_U, v - RED_V);
    }
}

package dobbin.inspect;

/** Follows relative luminance from its last lowest or highest value. */
final class Luminance implements FollowedPixels {
    private static final double ENOUGH = 0.1;
    private static final double DARKER = 0.8;
    private static final double ROUNDING = 1e-6;

    private float[] low;
    private float[] high;
    private byte[] direction;

    @Override
    public void begin(int pixels) {
        low = new float[pixels];
        high = new float[pixels];
        direction = new byte[pixels];
    }

    @Override
    public int change(int pixel, int argb, boolean first) {
        int alpha = argb >>> 24;
        float now = (float) (0.2126 * FollowedPixels.over(argb >> 16 & 0xFF, alpha)
                + 0.7152 * FollowedPixels.over(argb >> 8 & 0xFF, alpha)
                + 0.0722 * FollowedPixels.over(argb & 0xFF, alpha));
        if (first) {
            low[pixel] = now;
            high[pixel] = now;
            return 0;
        }
        boolean rises = direction[pixel] <= 0 && now - low[pixel] > ENOUGH - ROUNDING && low[pixel] < DARKER;
        boolean falls = direction[pixel] >= 0 && high[pixel] - now > ENOUGH - ROUNDING && now < DARKER;
        if (rises || falls) {
            direction[pixel] = (byte) (rises ? 1 : -1);
            low[pixel] = now;
            high[pixel] = now;
            return direction[pixel];
        }
        low[pixel] = Math.min(low[pixel], now);
        high[pixel] = Math.max(high[pixel], now);
        return 0;
    }
}

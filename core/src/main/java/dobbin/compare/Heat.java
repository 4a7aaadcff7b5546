package dobbin.compare;

import dobbin.raster.Raster;

/** Where two pictures differ, as a picture: the first one pale and gray, with colors from amber to red where errors are seen. */
public final class Heat {
    /** Errors (times 100) where the color begins, and where it is full. */
    private static final float BEGINS = 0.5f;

    private static final float FULL = 6f;
    /** Amber over red to nearly black: the darker, the more. */
    private static final int[] RAMP = {0xF2C14E, 0xC8442E, 0x3A0A10};

    private static final float PALE = 0.55f;

    private Heat() {}

    /** @param drawn opaque; @param errors of {@link Viewed#errors} */
    public static Raster of(Raster drawn, float[] errors) {
        int[] argb = new int[errors.length];
        for (int i = 0; i < argb.length; i++) {
            float heat = Math.max(0, Math.min(1, (errors[i] - BEGINS) / (FULL - BEGINS)));
            int gray = pale(drawn.argb()[i]);
            argb[i] = 0xFF000000 | (heat == 0 ? gray : mixed(gray, ramp(heat), Math.min(1, 0.35f + heat)));
        }
        return Raster.of(drawn.size(), argb);
    }

    private static int pale(int rgb) {
        int gray = ((rgb >> 16 & 0xFF) * 2 + (rgb >> 8 & 0xFF) * 5 + (rgb & 0xFF)) / 8;
        return (int) (255 - (255 - gray) * PALE) * 0x010101;
    }

    private static int ramp(float heat) {
        float at = heat * (RAMP.length - 1);
        int from = Math.min(RAMP.length - 2, (int) at);
        return mixed(RAMP[from], RAMP[from + 1], at - from);
    }

    private static int mixed(int from, int to, float share) {
        int mixed = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            int a = from >> shift & 0xFF;
            int b = to >> shift & 0xFF;
            mixed |= Math.round(a + (b - a) * share) << shift;
        }
        return mixed;
    }
}

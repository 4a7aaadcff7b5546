package dobbin.render;

import dobbin.color.Oklab;
import dobbin.raster.Raster;
import dobbin.reel.Light;

/** Pictures in another light: their lightness changes, their hue and alpha stay. */
final class Lit {
    private Lit() {}

    static Raster of(Raster picture, Light light) {
        int[] argb = picture.argb();
        int[] lit = new int[argb.length];
        float[] lab = new float[3];
        float gain = (float) light.gain();
        float lift = (float) light.lift();
        for (int i = 0; i < argb.length; i++) {
            if (i > 0 && argb[i] == argb[i - 1]) {
                lit[i] = lit[i - 1];
                continue;
            }
            Oklab.fromRgb(argb[i], lab, 0);
            float lightness = Math.max(0, Math.min(1, gain * lab[0] + lift));
            lit[i] = argb[i] & 0xFF000000 | Oklab.toRgb(lightness, lab[1], lab[2]);
        }
        return Raster.of(picture.size(), lit);
    }
}

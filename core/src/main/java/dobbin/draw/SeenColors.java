package dobbin.draw;

import dobbin.palette.ColorTally;
import dobbin.palette.Palette;
import dobbin.palette.PaletteBuilder;
import dobbin.palette.PaletteTerms;
import dobbin.raster.Raster;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** Colors to draw with, taken from a picture. */
public final class SeenColors {
    private static final int HALF = 128;
    private static final int OPAQUE = 0xFF000000;

    private SeenColors() {}

    /** @return up to {@code count} colors that look most like the picture, six hexadecimal digits each; none of an empty one */
    public static List<String> of(Raster picture, int count) {
        int[] argb = picture.argb().clone();
        for (int i = 0; i < argb.length; i++) {
            argb[i] = argb[i] >>> 24 < HALF ? 0 : argb[i] | OPAQUE;
        }
        if (Arrays.stream(argb).allMatch(pixel -> pixel == 0)) {
            return List.of();
        }
        Palette palette = PaletteBuilder.build(
                new ColorTally().count(Raster.of(picture.size(), argb)), PaletteTerms.seen(count, false, false));
        return Arrays.stream(palette.colors())
                .mapToObj(color -> String.format(Locale.ROOT, "%06x", color))
                .toList();
    }
}

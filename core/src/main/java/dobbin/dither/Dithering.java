package dobbin.dither;

import java.util.Set;

/**
 * A dither and how much of it.
 *
 * @param amount percent, 0 to 100: of the error that is handed on, or of the thresholds' strength
 * @param keptColors colors, 0xRRGGBB, that stay what they are and take no part in it
 */
public record Dithering(Dither dither, int amount, Set<Integer> keptColors) {
    /** All of the error makes grain worse than what it mends; a little less looks better and weighs less. */
    public static final int USUAL_AMOUNT = 85;

    public static final Dithering NONE = new Dithering(Dither.NONE, USUAL_AMOUNT);
    public static final Dithering USUAL = new Dithering(Dither.SIERRA_LITE, USUAL_AMOUNT);

    public Dithering {
        keptColors = Set.copyOf(keptColors);
    }

    public Dithering(Dither dither, int amount) {
        this(dither, amount, Set.of());
    }

    /** @return whether pixels become anything but their nearest color */
    public boolean mixes() {
        return dither != Dither.NONE && amount > 0;
    }
}

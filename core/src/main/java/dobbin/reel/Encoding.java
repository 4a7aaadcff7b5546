package dobbin.reel;

import dobbin.dither.Dithering;
import dobbin.palette.PaletteChoice;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * The finer settings of a delivered file.
 *
 * @param ditherAmount percent, 0 to 100
 * @param tolerance percent, 0 to 100: how much change is left out that is hardly seen, from frame to frame and along a
 *     row; 0 keeps every pixel as the palette has it
 * @param alphaCutoff pixels at least this opaque are drawn, 1 to 255: a GIF pixel is there or it is not
 * @param keptColors colors that must stay exact, six hexadecimal digits each, at most 64
 * @param comment what the file says of itself, or empty
 */
public record Encoding(
        @Min(0) @Max(100) int ditherAmount,
        PaletteChoice palette,
        @Min(0) @Max(100) int tolerance,
        @Min(1) @Max(255) int alphaCutoff,
        @Size(max = MAX_KEPT_COLORS) List<String> keptColors,
        String comment) {
    public static final int USUAL_TOLERANCE = 20;

    private static final int MAX_KEPT_COLORS = 64;
    private static final int MAX_COMMENT_LENGTH = 1_000;

    public static final Encoding USUAL =
            new Encoding(Dithering.USUAL_AMOUNT, PaletteChoice.AUTO, USUAL_TOLERANCE, 128, List.of(), "");

    public Encoding {
        Ranges.check(Encoding.class, "ditherAmount", ditherAmount);
        if (palette == null) {
            throw new OutOfRange("palette", "must be given");
        }
        Ranges.check(Encoding.class, "tolerance", tolerance);
        Ranges.check(Encoding.class, "alphaCutoff", alphaCutoff);
        keptColors = keptColors == null ? List.of() : List.copyOf(keptColors);
        Ranges.check(Encoding.class, "keptColors", keptColors.size());
        keptColors.forEach(color -> Ranges.checkColor("keptColors", color));
        comment = comment == null ? "" : comment.strip();
        if (comment.length() > MAX_COMMENT_LENGTH) {
            throw new OutOfRange("comment", "must have at most " + MAX_COMMENT_LENGTH + " characters");
        }
    }

    public Encoding withDitherAmount(int newAmount) {
        return new Encoding(newAmount, palette, tolerance, alphaCutoff, keptColors, comment);
    }

    public Encoding withTolerance(int newTolerance) {
        return new Encoding(ditherAmount, palette, newTolerance, alphaCutoff, keptColors, comment);
    }

    public Encoding withAlphaCutoff(int newCutoff) {
        return new Encoding(ditherAmount, palette, tolerance, newCutoff, keptColors, comment);
    }

    /** @return the kept colors as numbers, 0xRRGGBB */
    public int[] keptRgb() {
        return keptColors.stream()
                .mapToInt(color -> Integer.parseInt(color, 16))
                .toArray();
    }
}

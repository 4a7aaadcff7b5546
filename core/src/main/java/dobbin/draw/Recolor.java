package dobbin.draw;

import dobbin.raster.Raster;
import dobbin.reel.Ranges;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * Gives all ink of one color another. Ink keeps its opacity, so soft edges stay.
 *
 * @param from and {@code to} six hexadecimal digits
 * @param tolerance 0 to 100 percent, how different a color may be
 */
public record Recolor(
        String from, String to, @Min(0) @Max(100) int tolerance) implements Mark {
    private static final double LEVELS_A_PERCENT = 2.55;
    private static final int OPAQUE = 0xFF000000;

    public Recolor {
        Ranges.checkColor("from", from);
        Ranges.checkColor("to", to);
        Ranges.check(Recolor.class, "tolerance", tolerance);
    }

    @Override
    public Raster on(Raster ink, Scene scene) {
        int wanted = OPAQUE | Integer.parseInt(from, 16);
        int instead = Integer.parseInt(to, 16);
        int levels = (int) Math.round(LEVELS_A_PERCENT * tolerance);
        int[] argb = ink.argb().clone();
        for (int at = 0; at < argb.length; at++) {
            int alpha = argb[at] & OPAQUE;
            if (alpha != 0 && Flood.isNear(OPAQUE | argb[at], wanted, levels)) {
                argb[at] = alpha | instead;
            }
        }
        return Raster.of(ink.size(), argb);
    }

    @Override
    public String verb() {
        return "Replace a color";
    }
}

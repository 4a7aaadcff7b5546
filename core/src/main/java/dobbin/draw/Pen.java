package dobbin.draw;

import dobbin.reel.Ranges;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.function.IntUnaryOperator;

/**
 * What a mark is made with.
 *
 * @param color six hexadecimal digits
 * @param opacity 1 to 100 percent
 * @param softness of the edge, 0 to 100 percent of the way to the middle
 * @param hard whether only whole pixels are drawn, without shades at the edge
 * @param erases whether it takes ink away
 */
public record Pen(
        String color,
        @Min(1) @Max(100) int opacity,
        @Min(0) @Max(100) int softness,
        boolean hard,
        boolean erases) {
    private static final double PERCENT = 100;
    private static final int OPAQUE = 0xFF000000;

    public Pen {
        Ranges.checkColor("color", color);
        Ranges.check(Pen.class, "opacity", opacity);
        Ranges.check(Pen.class, "softness", softness);
    }

    void put(int[] argb, Coverage coverage) {
        if (erases) {
            Layer.erase(argb, coverage, opacity / PERCENT);
        } else {
            Layer.paint(argb, coverage, Integer.parseInt(color, 16), opacity / PERCENT);
        }
    }

    /** @return what becomes of a pixel that the pen covers wholly */
    IntUnaryOperator whole() {
        int rgb = Integer.parseInt(color, 16);
        float share = (float) (opacity / PERCENT);
        if (erases) {
            return pixel -> Layer.less(pixel, share);
        }
        return opacity == PERCENT ? pixel -> OPAQUE | rgb : pixel -> Layer.over(pixel, rgb, share);
    }

    double soft() {
        return softness / PERCENT;
    }
}

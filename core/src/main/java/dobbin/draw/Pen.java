package dobbin.draw;

import dobbin.reel.Ranges;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Arrays;

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
            InkLayer.erase(argb, coverage, opacity / PERCENT);
        } else {
            InkLayer.paint(argb, coverage, Integer.parseInt(color, 16), opacity / PERCENT);
        }
    }

    /** Covers a run of pixels wholly, up to {@code end}. */
    void fill(int[] argb, int start, int end) {
        int rgb = Integer.parseInt(color, 16);
        if (opacity == PERCENT && !erases) {
            Arrays.fill(argb, start, end, OPAQUE | rgb);
            return;
        }
        float share = (float) (opacity / PERCENT);
        for (int at = start; at < end; at++) {
            argb[at] = erases ? InkLayer.less(argb[at], share) : InkLayer.over(argb[at], rgb, share);
        }
    }

    double soft() {
        return softness / PERCENT;
    }
}

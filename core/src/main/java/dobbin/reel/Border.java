package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * A frame around the canvas, over all else.
 *
 * @param width inward, in pixels, 0 to 2000; 0 for none
 * @param color six hexadecimal digits
 * @param radius of the canvas's corners in pixels, 0 to 5000; outside of them nothing is left
 */
public record Border(
        @Min(0) @Max(2000) int width,
        String color,
        @Min(0) @Max(5000) int radius) {
    public static final Border NONE = new Border(0, "1e2a32", 0);

    public Border {
        Ranges.check(Border.class, "width", width);
        Ranges.checkColor("color", color);
        Ranges.check(Border.class, "radius", radius);
    }

    public boolean none() {
        return width == 0 && radius == 0;
    }
}

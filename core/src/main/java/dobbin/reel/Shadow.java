package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * A shadow a cut-out drops on what is below.
 *
 * @param x how far to the right, in pixels of the canvas, -1000 to 1000, and {@code y} downward
 * @param blur the standard deviation of its softness in pixels, 0 to 200
 * @param color six hexadecimal digits
 * @param opacity 0 to 1; 0 for no shadow
 */
public record Shadow(
        @Min(-1000) @Max(1000) double x,
        @Min(-1000) @Max(1000) double y,
        @Min(0) @Max(200) double blur,
        String color,
        @Min(0) @Max(1) double opacity) {
    public static final Shadow NONE = new Shadow(0, 0, 0, "000000", 0);

    public Shadow {
        Ranges.checkAmount(Shadow.class, "x", x);
        Ranges.checkAmount(Shadow.class, "y", y);
        Ranges.checkAmount(Shadow.class, "blur", blur);
        Ranges.checkColor("color", color);
        Ranges.checkAmount(Shadow.class, "opacity", opacity);
    }

    public boolean none() {
        return opacity == 0;
    }
}

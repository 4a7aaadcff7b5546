package dobbin.reel;

/**
 * A shadow a cut-out drops on what is below.
 *
 * @param x how far to the right, in pixels of the canvas, -1000 to 1000, and {@code y} downward
 * @param blur the standard deviation of its softness in pixels, 0 to 200
 * @param color six hexadecimal digits
 * @param opacity 0 to 1; 0 for no shadow
 */
public record Shadow(double x, double y, double blur, String color, double opacity) {
    public static final Shadow NONE = new Shadow(0, 0, 0, "000000", 0);

    public Shadow {
        Ranges.checkAmount("x", x, -1000, 1000);
        Ranges.checkAmount("y", y, -1000, 1000);
        Ranges.checkAmount("blur", blur, 0, 200);
        Ranges.checkColor("color", color);
        Ranges.checkAmount("opacity", opacity, 0, 1);
    }

    public boolean none() {
        return opacity == 0;
    }
}

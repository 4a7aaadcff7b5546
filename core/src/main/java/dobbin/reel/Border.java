package dobbin.reel;

/**
 * A frame around the canvas, over all else.
 *
 * @param width inward, in pixels, 0 to 2000; 0 for none
 * @param color six hexadecimal digits
 * @param radius of the canvas's corners in pixels, 0 to 5000; outside of them nothing is left
 */
public record Border(int width, String color, int radius) {
    public static final Border NONE = new Border(0, "1e2a32", 0);

    public Border {
        Ranges.check("width", width, 0, 2000);
        Ranges.checkColor("color", color);
        Ranges.check("radius", radius, 0, 5000);
    }

    public boolean none() {
        return width == 0 && radius == 0;
    }
}

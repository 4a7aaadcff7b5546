package dobbin.draw;

import dobbin.raster.Bounds;
import dobbin.raster.Size;
import java.util.List;

/** Which pixels lie inside a closed line: those whose middle it goes around an odd number of times. */
final class Outline {
    private static final int BOX = 4;

    private Outline() {}

    /** @return the box of whole pixels around the corners */
    static Bounds box(List<Double> corners) {
        double left = Double.MAX_VALUE;
        double top = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        double bottom = -Double.MAX_VALUE;
        for (int i = 0; i < corners.size(); i += 2) {
            left = Math.min(left, corners.get(i));
            right = Math.max(right, corners.get(i));
            top = Math.min(top, corners.get(i + 1));
            bottom = Math.max(bottom, corners.get(i + 1));
        }
        return new Bounds(
                (int) Math.floor(left), (int) Math.floor(top), (int) Math.ceil(right), (int) Math.ceil(bottom));
    }

    /** @param corners x and y each; two of them are those of a box */
    static boolean[] inside(List<Double> corners, Size size) {
        boolean[] inside = new boolean[Math.toIntExact(size.area())];
        Bounds box = box(corners).within(Bounds.all(size));
        for (int y = box.top(); y < box.bottom(); y++) {
            for (int x = box.left(); x < box.right(); x++) {
                inside[y * size.width() + x] = corners.size() == BOX || isInside(corners, x + 0.5, y + 0.5);
            }
        }
        return inside;
    }

    private static boolean isInside(List<Double> corners, double x, double y) {
        boolean inside = false;
        int count = corners.size() / 2;
        for (int i = 0, before = count - 1; i < count; before = i++) {
            double x0 = corners.get(2 * before);
            double y0 = corners.get(2 * before + 1);
            double x1 = corners.get(2 * i);
            double y1 = corners.get(2 * i + 1);
            if (y0 > y != y1 > y && x < x0 + (x1 - x0) * (y - y0) / (y1 - y0)) {
                inside = !inside;
            }
        }
        return inside;
    }
}

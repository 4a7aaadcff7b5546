package dobbin.draw;

import dobbin.raster.Bounds;
import dobbin.raster.Size;
import java.util.Arrays;
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
        double[] points = corners.stream().mapToDouble(Double::doubleValue).toArray();
        double[] crossings = new double[points.length / 2];
        for (int y = box.top(); y < box.bottom(); y++) {
            int row = y * size.width();
            if (points.length == BOX) {
                Arrays.fill(inside, row + box.left(), row + box.right(), true);
            } else {
                fill(inside, row, box, crossings, crossings(points, y + 0.5, crossings));
            }
        }
        return inside;
    }

    /** @param crossings receives, in order, where the line crosses the row; @return how often it does */
    private static int crossings(double[] points, double y, double[] crossings) {
        int count = 0;
        int before = points.length - 2;
        for (int i = 0; i < points.length; before = i, i += 2) {
            double y0 = points[before + 1];
            double y1 = points[i + 1];
            if (y0 > y != y1 > y) {
                double x0 = points[before];
                crossings[count++] = x0 + (points[i] - x0) * (y - y0) / (y1 - y0);
            }
        }
        Arrays.sort(crossings, 0, count);
        return count;
    }

    /** A pixel is inside where an odd number of crossings lies to the right of its middle. */
    private static void fill(boolean[] inside, int row, Bounds box, double[] crossings, int count) {
        int passed = 0;
        for (int x = box.left(); x < box.right(); x++) {
            while (passed < count && crossings[passed] <= x + 0.5) {
                passed++;
            }
            inside[row + x] = (count - passed) % 2 == 1;
        }
    }
}

package dobbin.draw;

import dobbin.raster.Size;
import java.util.List;
import java.util.function.Consumer;

/** A mark and its mirror images on the other halves. */
final class Mirrored {
    private Mirrored() {}

    static void each(Mirroring mirroring, List<Point> path, Size canvas, Consumer<List<Point>> draw) {
        draw.accept(path);
        if (mirroring.across()) {
            draw.accept(across(path, canvas));
        }
        if (mirroring.down()) {
            draw.accept(down(path, canvas));
        }
        if (mirroring.across() && mirroring.down()) {
            draw.accept(down(across(path, canvas), canvas));
        }
    }

    private static List<Point> across(List<Point> path, Size canvas) {
        return path.stream().map(point -> point.across(canvas.width())).toList();
    }

    private static List<Point> down(List<Point> path, Size canvas) {
        return path.stream().map(point -> point.down(canvas.height())).toList();
    }
}

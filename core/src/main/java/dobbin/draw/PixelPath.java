package dobbin.draw;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Lines of whole pixels, without edges of shades (J. E. Bresenham, "Algorithm for computer control of a digital plotter",
 * 1965). A line drawn by hand turns no corner with two pixels where one, diagonally, does.
 */
final class PixelPath {
    private PixelPath() {}

    /** A pixel by its column and row. */
    record Pixel(int x, int y) {
        static Pixel under(Point point) {
            return new Pixel((int) Math.floor(point.x()), (int) Math.floor(point.y()));
        }

        boolean touchesSideOf(Pixel other) {
            return Math.abs(x - other.x) + Math.abs(y - other.y) == 1;
        }

        boolean isDiagonalTo(Pixel other) {
            return Math.abs(x - other.x) == 1 && Math.abs(y - other.y) == 1;
        }
    }

    static void along(List<Point> points, Coverage coverage) {
        int side = (int) Math.max(1, Math.round(points.get(0).width()));
        for (Pixel pixel : withoutCorners(line(points))) {
            stamp(pixel, side, coverage);
        }
    }

    private static List<Pixel> line(List<Point> points) {
        List<Pixel> line = new ArrayList<>();
        line.add(Pixel.under(points.get(0)));
        for (int i = 0; i + 1 < points.size(); i++) {
            List<Pixel> piece = between(Pixel.under(points.get(i)), Pixel.under(points.get(i + 1)));
            line.addAll(piece.subList(1, piece.size()));
        }
        return line;
    }

    /** @return the pixels from one to the other, the same ones from either end */
    static List<Pixel> between(Pixel from, Pixel to) {
        boolean turned = from.y > to.y || from.y == to.y && from.x > to.x;
        List<Pixel> pixels = descending(turned ? to : from, turned ? from : to);
        if (turned) {
            Collections.reverse(pixels);
        }
        return pixels;
    }

    private static List<Pixel> descending(Pixel from, Pixel to) {
        int across = Math.abs(to.x - from.x);
        int down = to.y - from.y;
        int step = from.x < to.x ? 1 : -1;
        int error = across - down;
        int x = from.x;
        int y = from.y;
        List<Pixel> pixels = new ArrayList<>();
        while (true) {
            pixels.add(new Pixel(x, y));
            if (x == to.x && y == to.y) {
                return pixels;
            }
            int doubled = 2 * error;
            if (doubled > -down) {
                error -= down;
                x += step;
            }
            if (doubled < across) {
                error += across;
                y++;
            }
        }
    }

    private static List<Pixel> withoutCorners(List<Pixel> line) {
        List<Pixel> kept = new ArrayList<>();
        for (int i = 0; i < line.size(); i++) {
            Pixel pixel = line.get(i);
            boolean corner = !kept.isEmpty()
                    && i + 1 < line.size()
                    && pixel.touchesSideOf(kept.get(kept.size() - 1))
                    && pixel.touchesSideOf(line.get(i + 1))
                    && kept.get(kept.size() - 1).isDiagonalTo(line.get(i + 1));
            if (!corner) {
                kept.add(pixel);
            }
        }
        return kept;
    }

    /** A disc of that many pixels across, about the pixel. */
    private static void stamp(Pixel pixel, int side, Coverage coverage) {
        int before = (side - 1) / 2;
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                double dx = x + 0.5 - side / 2.0;
                double dy = y + 0.5 - side / 2.0;
                if (side < 3 || dx * dx + dy * dy <= side * side / 4.0) {
                    coverage.cover(pixel.x - before + x, pixel.y - before + y);
                }
            }
        }
    }
}

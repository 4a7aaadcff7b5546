package dobbin.draw;

import java.util.ArrayList;
import java.util.Arrays;
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
        int[] indents = indents(side);
        Pixel before = null;
        for (Pixel pixel : withoutCorners(line(points))) {
            stamp(pixel, indents, before, coverage);
            before = pixel;
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

    /** @return for each row of a disc of that many pixels across, how many pixels at either end are not of it */
    private static int[] indents(int side) {
        int[] indents = new int[side];
        for (int y = 0; y < side && side >= 3; y++) {
            double dy = y + 0.5 - side / 2.0;
            double dx = 0.5 - side / 2.0;
            while (dx * dx + dy * dy > side * side / 4.0) {
                dx++;
                indents[y]++;
            }
        }
        return indents;
    }

    /**
     * A disc about the pixel, as far as it lies in the picture.
     *
     * @param indents of its rows, from both sides
     * @param before the pixel whose disc is there already, of which only what is new is drawn; null for none
     */
    private static void stamp(Pixel pixel, int[] indents, Pixel before, Coverage coverage) {
        int side = indents.length;
        int left = pixel.x - (side - 1) / 2;
        int top = pixel.y - (side - 1) / 2;
        int across = before == null ? 0 : pixel.x - before.x;
        int down = before == null ? side : pixel.y - before.y;
        if (left >= coverage.size().width() || left + side <= 0) {
            return;
        }
        int end = Math.min(side, coverage.size().height() - top);
        for (int y = Math.max(0, -top); y < end; y++) {
            int from = left + indents[y];
            int to = left + side - indents[y];
            int rowBefore = y + down;
            if (rowBefore < 0 || rowBefore >= side) {
                fill(from, to, top + y, coverage);
            } else {
                fill(from, Math.min(to, left - across + indents[rowBefore]), top + y, coverage);
                fill(Math.max(from, left - across + side - indents[rowBefore]), to, top + y, coverage);
            }
        }
    }

    private static void fill(int from, int to, int y, Coverage coverage) {
        int width = coverage.size().width();
        int first = Math.max(0, from);
        int end = Math.min(width, to);
        if (first < end) {
            Arrays.fill(coverage.values(), y * width + first, y * width + end, (byte) Coverage.FULL);
            coverage.changed(first, y, end, y + 1);
        }
    }
}

package dobbin.skerry;

import dobbin.draw.Figure;
import dobbin.draw.Mark;
import dobbin.draw.Mirroring;
import dobbin.draw.Pen;
import dobbin.draw.Pour;
import dobbin.draw.Stroke;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** A reel that is drawn by hand: the ferry's small boat on a swell, ten pages that close, each drawn anew. */
public final class FlipBook {
    public static final String NAME = "Rough crossing, by hand";
    public static final Size CANVAS = new Size(360, 240);
    public static final int DELAY_MILLIS = 120;

    private static final int PAGES = 10;
    private static final double GRID = 16;
    private static final double WOBBLE = 0.9;
    private static final Pen INK = pen("1e2a32", 100, 0);
    private static final Pen SEA = pen("2b6a80", 85, 15);
    private static final Pen FAR_SEA = pen("9cc4cf", 90, 20);
    private static final Pen SAIL = pen("b23e28", 100, 0);
    private static final Pen SUN = pen("e0b04a", 100, 0);

    private FlipBook() {}

    /** @return the marks of each page, in the order they are made */
    public static List<List<Mark>> pages() {
        List<List<Mark>> pages = new ArrayList<>();
        for (int page = 0; page < PAGES; page++) {
            pages.add(page(2 * Math.PI * page / PAGES, new Random(page)));
        }
        return pages;
    }

    private static List<Mark> page(double phase, Random hand) {
        List<Mark> marks = new ArrayList<>();
        double sunX = 286 + hand.nextGaussian();
        marks.add(new Figure(Figure.Kind.ELLIPSE, SUN, sunX, 34, sunX + 38, 72, 0, "e0b04a", Mirroring.NONE));
        // The far sea goes behind the boat, and is not drawn through it.
        marks.add(wave(FAR_SEA, -10, 116, 168, 6, 4, 0.045, phase, hand));
        marks.add(wave(FAR_SEA, 226, CANVAS.width() + 10, 168, 6, 4, 0.045, phase, hand));
        double heave = 9 * Math.sin(phase);
        double roll = 0.13 * Math.cos(phase);
        Place boat = new Place(172, 150 + heave, roll);
        marks.add(line(INK, 3.5, hand, boat, -52, 4, -40, 30, -10, 36, 26, 35, 46, 6, 20, 9, -20, 9, -52, 4));
        marks.add(line(INK, 3.5, hand, boat, -4, 8, -4, -40, -3, -84));
        marks.add(line(INK, 3, hand, boat, 3, -78, 24, -46, 46, -12, 20, -9, 3, -10, 3, -44, 3, -78));
        marks.add(fill(SAIL, boat.at(16, -26)));
        marks.add(line(INK, 2.5, hand, boat, -10, -66, -26, -38, -36, -12, -22, -10, -10, -11, -10, -40, -10, -66));
        marks.add(fill(pen("fffdf9", 100, 0), boat.at(-17, -22)));
        marks.add(fill(pen("56626b", 100, 0), boat.at(-8, 22)));
        marks.add(wave(SEA, -10, CANVAS.width() + 10, 186, 9, 6, 0.04, -phase, hand));
        marks.add(wave(SEA, -10, CANVAS.width() + 10, 214, 8, 7, 0.035, -phase + 1.4, hand));
        return marks;
    }

    /** Where the boat is, and how far it leans, in radians. */
    private record Place(double x, double y, double turn) {
        double[] at(double dx, double dy) {
            return new double[] {
                x + dx * Math.cos(turn) - dy * Math.sin(turn), y + dx * Math.sin(turn) + dy * Math.cos(turn)
            };
        }
    }

    private static Pen pen(String color, int opacity, int softness) {
        return new Pen(color, opacity, softness, false, false);
    }

    private static Mark wave(
            Pen pen, int from, int to, double y, double height, double width, double pitch, double phase, Random hand) {
        List<Double> points = new ArrayList<>();
        for (int x = from; x <= to; x += 8) {
            add(points, x, y + height * Math.sin(pitch * x * 2 + phase) / 2 + WOBBLE * hand.nextGaussian() / 2, width);
        }
        return new Stroke(pen, points, Mirroring.NONE);
    }

    private static Mark line(Pen pen, double width, Random hand, Place place, double... corners) {
        List<Double> points = new ArrayList<>();
        for (int i = 0; i < corners.length; i += 2) {
            double[] at = place.at(corners[i], corners[i + 1]);
            boolean closes = i > 0 && i + 2 == corners.length;
            double wobble = closes ? 0 : WOBBLE * hand.nextGaussian();
            add(points, at[0] + wobble, at[1] + wobble / 2, width);
        }
        return new Stroke(pen, points, Mirroring.NONE);
    }

    private static Mark fill(Pen pen, double[] at) {
        return new Pour(pen, (int) at[0], (int) at[1], 10, 2, Pour.By.INK, false, 3);
    }

    private static void add(List<Double> points, double x, double y, double width) {
        points.add(Math.rint(x * GRID) / GRID);
        points.add(Math.rint(y * GRID) / GRID);
        points.add(width);
    }
}

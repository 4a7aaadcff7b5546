package dobbin.draw;

import dobbin.raster.Raster;
import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;

/**
 * A line by hand.
 *
 * @param points of each place the pen passed, x and y in pixels of the canvas and the line's width there, 1 to 500; a line
 *     through at most 5,000 places
 */
public record Stroke(Pen pen, @Size(min = 3, max = 15_000) List<Double> points, Mirroring mirroring) implements Mark {

    private static final int NUMBERS = 3;
    private static final double FARTHEST = 100_000;
    private static final double WIDEST = 500;

    public Stroke {
        points = List.copyOf(points);
        if (pen == null || mirroring == null) {
            throw new OutOfRange(pen == null ? "pen" : "mirroring", "must be given");
        }
        Ranges.check(Stroke.class, "points", points.size());
        if (points.size() % NUMBERS != 0) {
            throw new OutOfRange("points", "must be three numbers each");
        }
        for (int i = 0; i < points.size(); i++) {
            boolean place = i % NUMBERS < 2;
            Ranges.checkAmount("points", points.get(i), place ? -FARTHEST : 0, place ? FARTHEST : WIDEST);
        }
        StrokeCost.check(pen, path(points), mirroring);
    }

    @Override
    public Raster on(Raster ink, Scene scene) {
        Coverage coverage = new Coverage(ink.size());
        Mirrored.each(mirroring, path(points), ink.size(), path -> {
            if (pen.hard()) {
                PixelPath.along(path, coverage);
            } else {
                Sweep.along(Curve.through(path, pen.soft()), pen.soft(), coverage);
            }
        });
        int[] argb = ink.argb().clone();
        pen.put(argb, coverage);
        return Raster.of(ink.size(), argb);
    }

    @Override
    public double cost() {
        return StrokeCost.of(pen, path(points), mirroring);
    }

    @Override
    public String verb() {
        return pen.erases() ? "Erase" : "Draw";
    }

    private static List<Point> path(List<Double> points) {
        List<Point> path = new ArrayList<>();
        for (int i = 0; i < points.size(); i += NUMBERS) {
            path.add(Point.of(points.get(i), points.get(i + 1), points.get(i + 2)));
        }
        return path;
    }
}

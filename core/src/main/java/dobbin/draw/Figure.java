package dobbin.draw;

import dobbin.draw.Figures.Box;
import dobbin.raster.Raster;
import dobbin.reel.OutOfRange;
import dobbin.reel.Ranges;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;

/**
 * A rectangle or an ellipse.
 *
 * @param x and {@code y} of a corner of its box, {@code toX} and {@code toY} of the other, in pixels of the canvas
 * @param line the width of its line in pixels, 1 to 500; 0 for none
 * @param fill the color inside, six hexadecimal digits, or empty for none
 */
public record Figure(
        Kind kind,
        Pen pen,
        double x,
        double y,
        double toX,
        double toY,
        @Min(0) @Max(500) double line,
        String fill,
        Mirroring mirroring)
        implements Mark {
    private static final double FARTHEST = 100_000;

    public enum Kind {
        RECTANGLE,
        ELLIPSE
    }

    public Figure {
        if (kind == null || pen == null || mirroring == null) {
            throw new OutOfRange(kind == null ? "kind" : pen == null ? "pen" : "mirroring", "must be given");
        }
        Ranges.checkAmount("x", x, -FARTHEST, FARTHEST);
        Ranges.checkAmount("y", y, -FARTHEST, FARTHEST);
        Ranges.checkAmount("toX", toX, -FARTHEST, FARTHEST);
        Ranges.checkAmount("toY", toY, -FARTHEST, FARTHEST);
        Ranges.checkAmount(Figure.class, "line", line);
        Ranges.checkColorOrNone("fill", fill);
        if (line == 0 && fill.isEmpty()) {
            throw new OutOfRange("line", "must be given where there is no fill");
        }
    }

    @Override
    public Raster on(Raster ink, Scene scene) {
        List<Point> corners = List.of(Point.of(x, y, 1), Point.of(toX, toY, 1));
        int[] argb = ink.argb().clone();
        if (!fill.isEmpty()) {
            Coverage inside = new Coverage(ink.size());
            Mirrored.each(mirroring, corners, ink.size(), both -> cover(box(both), inside));
            new Pen(fill, pen.opacity(), 0, pen.hard(), pen.erases()).put(argb, inside);
        }
        if (line > 0) {
            Coverage outline = new Coverage(ink.size());
            Mirrored.each(mirroring, corners, ink.size(), both -> coverLine(box(both), outline));
            pen.put(argb, outline);
        }
        return Raster.of(ink.size(), argb);
    }

    @Override
    public String verb() {
        return kind == Kind.RECTANGLE ? "Draw a rectangle" : "Draw an ellipse";
    }

    private Box box(List<Point> corners) {
        Point one = corners.get(0);
        Point other = corners.get(1);
        Box box = Box.between(one.x(), one.y(), other.x(), other.y());
        return pen.hard() ? box.whole() : box;
    }

    private void cover(Box box, Coverage coverage) {
        if (kind == Kind.RECTANGLE) {
            Figures.rectangle(box, coverage);
        } else if (pen.hard()) {
            Figures.hardEllipse(box, coverage);
        } else if (!box.isEmpty()) {
            Figures.ellipse(box, coverage);
        }
    }

    private void coverLine(Box box, Coverage coverage) {
        int whole = (int) Math.max(1, Math.round(line));
        if (kind == Kind.RECTANGLE) {
            if (pen.hard()) {
                Figures.hardRectangleLine(box, whole, coverage);
            } else {
                Figures.rectangleLine(box, line, coverage);
            }
        } else if (pen.hard()) {
            Figures.hardEllipseLine(box, whole, coverage);
        } else {
            Figures.ellipseLine(box, line, coverage);
        }
    }
}

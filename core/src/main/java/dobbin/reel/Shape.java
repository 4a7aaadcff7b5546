package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.function.Function;

/**
 * A drawn shape. Its stroke lies half inside and half outside of its outline.
 *
 * @param points of a polygon or star, 3 to 60
 * @param round how round the corners of a rectangle are, in pixels, 0 to 5000
 * @param stroke how thick, in pixels, 0 to 500; of a line or arrow all there is, so at least 1
 * @param strokeColor six hexadecimal digits
 */
public record Shape(
        Form form,
        @Min(1) @Max(MAX_SIDE) int shapeWidth,
        @Min(1) @Max(MAX_SIDE) int shapeHeight,
        @Min(3) @Max(60) int points,
        @Min(0) @Max(5000) int round,
        Fill fill,
        @Min(0) @Max(MAX_STROKE) double stroke,
        String strokeColor)
        implements Art {
    public enum Form {
        RECTANGLE,
        ELLIPSE,
        POLYGON,
        STAR,
        LINE,
        ARROW;

        /** @return whether it has no inside to fill */
        public boolean isOpen() {
            return this == LINE || this == ARROW;
        }
    }

    /** How many strokes long the head of an arrow is, and how many it is wide. */
    public static final double ARROW_HEAD = 4;

    private static final int MAX_SIDE = 10_000;

    private static final int MAX_STROKE = 500;

    public Shape {
        if (form == null || fill == null) {
            throw new OutOfRange(form == null ? "form" : "fill", "must be given");
        }
        Ranges.check(Shape.class, "shapeWidth", shapeWidth);
        Ranges.check(Shape.class, "shapeHeight", shapeHeight);
        Ranges.check(Shape.class, "points", points);
        Ranges.check(Shape.class, "round", round);
        Ranges.checkAmount("stroke", stroke, form.isOpen() ? 1 : 0, MAX_STROKE);
        Ranges.checkColor("strokeColor", strokeColor);
    }

    @Override
    public double width() {
        return shapeWidth + stroke;
    }

    @Override
    public double height() {
        return switch (form) {
            case LINE -> stroke;
            case ARROW -> ARROW_HEAD * stroke;
            default -> shapeHeight + stroke;
        };
    }

    @Override
    public <R> R match(
            Function<Cycle, R> cycle, Function<Words, R> words, Function<Shape, R> shape, Function<Group, R> group) {
        return shape.apply(this);
    }
}

package dobbin.reel;

import dobbin.raster.Bounds;
import dobbin.raster.Size;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * The part of the canvas that is delivered, in pixels of the canvas. It leaves the material alone.
 *
 * @param width and {@code height} 0 for the whole canvas, else at least 1
 */
public record Crop(
        @Min(0) @Max(Ranges.MAX_SIDE) int x,
        @Min(0) @Max(Ranges.MAX_SIDE) int y,
        @Min(0) @Max(Ranges.MAX_SIDE) int width,
        @Min(0) @Max(Ranges.MAX_SIDE) int height) {
    public static final Crop WHOLE = new Crop(0, 0, 0, 0);

    public Crop {
        Ranges.check(Crop.class, "x", x);
        Ranges.check(Crop.class, "y", y);
        Ranges.check(Crop.class, "width", width);
        Ranges.check(Crop.class, "height", height);
        if (width == 0 != (height == 0)) {
            throw new OutOfRange("crop", "must have a width and a height");
        }
    }

    public static Crop of(Bounds box) {
        return new Crop(box.left(), box.top(), box.width(), box.height());
    }

    public boolean whole() {
        return width == 0;
    }

    public Size sizeOn(Size canvas) {
        return whole() ? canvas : new Size(width, height);
    }

    public Bounds on(Size canvas) {
        return whole() ? Bounds.all(canvas) : new Bounds(x, y, x + width, y + height);
    }

    public boolean fits(Size canvas) {
        return whole() || x + width <= canvas.width() && y + height <= canvas.height();
    }

    /** @return what of it is on a canvas of another size; all of that where nothing is */
    Crop within(Size canvas) {
        Bounds left = on(canvas).within(Bounds.all(canvas));
        return whole() || left.isEmpty() || left.equals(Bounds.all(canvas)) ? WHOLE : of(left);
    }
}

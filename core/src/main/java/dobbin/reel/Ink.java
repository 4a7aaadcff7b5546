package dobbin.reel;

import dobbin.raster.Region;
import dobbin.raster.Size;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * What was drawn by hand on a frame, over its still and under the cut-outs that lie over stills.
 *
 * @param picture which picture holds it: the SHA-256 of its bytes, or empty where nothing is drawn
 * @param size of that picture; one pixel of it is one of the canvas
 * @param x and {@code y} where its upper left corner lies on the canvas; may be off it
 */
public record Ink(
        String picture,
        Size size,
        @Min(-Ranges.MAX_SIDE) @Max(Ranges.MAX_SIDE) int x,
        @Min(-Ranges.MAX_SIDE) @Max(Ranges.MAX_SIDE) int y) {
    public static final Ink NONE = new Ink("", new Size(1, 1), 0, 0);

    public Ink {
        if (picture == null || !picture.isEmpty()) {
            Ranges.checkPicture("picture", picture, size);
        }
        Ranges.check(Ink.class, "x", x);
        Ranges.check(Ink.class, "y", y);
    }

    public boolean none() {
        return picture.isEmpty();
    }

    public PictureRef ref() {
        return new PictureRef(picture, size);
    }

    /** @return as a still that lies where the ink does */
    public Still still() {
        return new Still(picture, "ink", size, Fit.USUAL.placed(new Region(x, y, size.width(), size.height())));
    }

    public Ink movedBy(int dx, int dy) {
        return none() ? this : new Ink(picture, size, x + dx, y + dy);
    }
}

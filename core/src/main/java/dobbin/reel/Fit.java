package dobbin.reel;

import dobbin.raster.Region;
import dobbin.raster.Size;

/**
 * How a still lies on the canvas.
 *
 * @param focusX which part stays in sight where the still is larger than the canvas, and on which side it lies where it
 *     is smaller: 0 is the left, 1 the right; {@code focusY} likewise from the top
 * @param background for what the still does not cover, six hexadecimal digits, or empty for none
 * @param region where on the canvas it lies, which may reach over its edges; for {@link Way#PLACED} alone, else {@link #NOWHERE}
 */
public record Fit(Way way, double focusX, double focusY, String background, Region region) {
    public enum Way {
        /** All of it is seen. */
        INSIDE,
        /** All of the canvas is covered. */
        FILL,
        /** Made to the canvas's ratio. */
        STRETCH,
        /** At its own size: one pixel of the still on one of the canvas. */
        AS_IS,
        /** In a given region: the result of cropping a canvas with another fit. */
        PLACED
    }

    public static final Region NOWHERE = new Region(0, 0, 0, 0);
    public static final Fit USUAL = new Fit(Way.INSIDE, 0.5, 0.5, "");

    public Fit {
        if (way == null) {
            throw new OutOfRange("way", "must be given");
        }
        checkShare("focusX", focusX);
        checkShare("focusY", focusY);
        Ranges.checkColorOrNone("background", background);
        region = region == null ? NOWHERE : region;
        if (way == Way.PLACED == (region.width() <= 0 || region.height() <= 0)) {
            throw new OutOfRange("region", way == Way.PLACED ? "must be given" : "must be left out");
        }
    }

    public Fit(Way way, double focusX, double focusY, String background) {
        this(way, focusX, focusY, background, NOWHERE);
    }

    /** @return where it lies once the canvas begins at another corner */
    public Fit placed(Region newRegion) {
        return new Fit(Way.PLACED, focusX, focusY, background, newRegion);
    }

    /** @return where on the canvas the still lies; may reach over its edges */
    public Region place(Size still, Size canvas) {
        double across = (double) canvas.width() / still.width();
        double down = (double) canvas.height() / still.height();
        return switch (way) {
            case INSIDE -> scaled(still, canvas, Math.min(across, down));
            case FILL -> scaled(still, canvas, Math.max(across, down));
            case STRETCH -> Region.all(canvas);
            case AS_IS -> scaled(still, canvas, 1);
            case PLACED -> region;
        };
    }

    /** @return whether a still of that size leaves some of the canvas bare */
    public boolean leavesBare(Size still, Size canvas) {
        Region place = place(still, canvas);
        double slack = 0.5;
        return place.width() < canvas.width() - slack || place.height() < canvas.height() - slack;
    }

    private Region scaled(Size still, Size canvas, double factor) {
        double width = still.width() * factor;
        double height = still.height() * factor;
        return new Region((canvas.width() - width) * focusX, (canvas.height() - height) * focusY, width, height);
    }

    private static void checkShare(String field, double share) {
        if (!(share >= 0 && share <= 1)) {
            throw new OutOfRange(field, "must be from 0 to 1, not " + share);
        }
    }
}

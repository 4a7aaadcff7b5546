package dobbin.reel;

import dobbin.raster.Size;
import dobbin.still.StillReader;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Optional;

/**
 * What of the canvas and of the loop is delivered, and how large. At most one of width, height and enlargement says the
 * size; where none does it follows the canvas.
 *
 * @param crop the part of the canvas
 * @param width in pixels, 1 to 1600, or {@link #FOLLOWS}
 * @param height likewise; the width follows from it
 * @param enlarge 2 to 20: that many pixels for each of the canvas, across and down; 1 for no enlargement
 * @param every which frames are delivered: every one, every second, up to every 20th. Each shows for as long as those that
 *     are passed over would have
 */
public record Framing(
        Crop crop,
        @Min(0) @Max(MAX_SIDE) int width,
        @Min(0) @Max(MAX_SIDE) int height,
        @Min(1) @Max(20) int enlarge,
        Scaling scaling,
        @Min(1) @Max(20) int every) {
    /** The size until someone chooses one: the canvas's own up to 800 pixels, of wider ones 480. */
    public static final int FOLLOWS = 0;

    public static final int MAX_SIDE = StillReader.WORKING_SIDE;

    /** Canvases up to this wide are delivered as they are. */
    private static final int WIDTH_KEPT = 800;

    /** Wider ones are reduced to this: under 500 pixels is what pages and messages usually take. */
    private static final int WIDTH_REDUCED = 480;

    private static final int MAX_PIXELS = 40_000_000;

    /** How a new reel is delivered: whole. */
    public static final Framing USUAL = ofWidth(FOLLOWS);

    public Framing {
        if (crop == null || scaling == null) {
            throw new OutOfRange(crop == null ? "crop" : "scaling", "must be given");
        }
        Ranges.check("width", width, width == FOLLOWS ? 0 : 1, MAX_SIDE);
        Ranges.check("height", height, height == FOLLOWS ? 0 : 1, MAX_SIDE);
        Ranges.check(Framing.class, "enlarge", enlarge);
        Ranges.check(Framing.class, "every", every);
        if ((width > 0 ? 1 : 0) + (height > 0 ? 1 : 0) + (enlarge > 1 ? 1 : 0) > 1) {
            throw new OutOfRange("width", "height and enlarge cannot be set together: each gives the size");
        }
    }

    /** @return the whole canvas at that width */
    public static Framing ofWidth(int width) {
        return new Framing(Crop.WHOLE, width, FOLLOWS, 1, Scaling.SMOOTH, 1);
    }

    /** @return whether this can be had of such a canvas */
    public boolean fits(Size canvas) {
        return problemOn(canvas).isEmpty();
    }

    /** @throws OutOfRange where this cannot be had of such a canvas */
    void checkOn(Size canvas) {
        problemOn(canvas).ifPresent(problem -> {
            throw problem;
        });
    }

    private Optional<OutOfRange> problemOn(Size canvas) {
        if (!crop.fits(canvas)) {
            return Optional.of(new OutOfRange("crop", "must lie on the canvas of " + canvas));
        }
        Size part = crop.sizeOn(canvas);
        if (enlarge > 1 && (long) enlarge * Math.max(part.width(), part.height()) > MAX_SIDE) {
            return Optional.of(new OutOfRange(
                    "enlarge", "can be at most " + MAX_SIDE / Math.max(part.width(), part.height()) + " for " + part));
        }
        Size size = sizeOf(canvas);
        if (size.width() > MAX_SIDE || size.area() > MAX_PIXELS) {
            return Optional.of(new OutOfRange(
                    height > 0 ? "height" : "width",
                    "of " + (height > 0 ? height : size.width()) + " makes pictures of " + part + " too large: "
                            + size));
        }
        return Optional.empty();
    }

    /** @return the size of the delivered pictures of a canvas */
    public Size sizeOf(Size canvas) {
        Size part = crop.sizeOn(canvas);
        if (enlarge > 1) {
            return new Size(enlarge * part.width(), enlarge * part.height());
        }
        if (height != FOLLOWS) {
            return part.withHeight(height);
        }
        if (width != FOLLOWS) {
            return part.withWidth(width);
        }
        return part.width() <= WIDTH_KEPT ? part : part.withWidth(WIDTH_REDUCED);
    }

    /** @return the size it is looked at when its looks are measured: that of the canvas's part, at most 800 pixels wide and 1,600 high */
    public Size seenSize(Size canvas) {
        Size part = crop.sizeOn(canvas);
        Size seen = part.width() <= WIDTH_KEPT ? part : part.withWidth(WIDTH_KEPT);
        return seen.height() <= 2 * WIDTH_KEPT ? seen : seen.withHeight(2 * WIDTH_KEPT);
    }

    public Framing withWidth(int newWidth) {
        return new Framing(crop, newWidth, FOLLOWS, 1, scaling, every);
    }

    public Framing withEvery(int newEvery) {
        return new Framing(crop, width, height, enlarge, scaling, newEvery);
    }

    public Framing withCrop(Crop newCrop) {
        return new Framing(newCrop, width, height, enlarge, scaling, every);
    }
}

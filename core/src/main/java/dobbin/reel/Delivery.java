package dobbin.reel;

import dobbin.dither.Dither;
import dobbin.dither.Dithering;
import dobbin.palette.Palette;
import dobbin.raster.Size;
import dobbin.still.StillReader;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Arrays;
import java.util.stream.Collectors;

/**
 * How the delivered file is made.
 *
 * @param width in pixels, 1 to 1600, or {@link #FOLLOWS}; the height follows from the canvas
 * @param colors 2 to 256, a transparent entry included
 * @param matte the color soft edges are mixed with, six hexadecimal digits; empty to leave them as they are
 * @param encoding the finer settings
 */
public record Delivery(
        @Min(0) @Max(MAX_WIDTH) int width,
        @Min(2) @Max(Palette.MAX_ENTRIES) int colors,
        Dither dither,
        String matte,
        Encoding encoding) {
    /** The width until someone chooses one: the canvas's own up to 800 pixels, of wider ones 480. */
    public static final int FOLLOWS = 0;

    public static final int MAX_WIDTH = StillReader.WORKING_SIDE;

    /** Canvases up to this wide are delivered as they are. */
    private static final int WIDTH_KEPT = 800;

    /** Wider ones are reduced to this: under 500 pixels is what pages and messages usually take. */
    private static final int WIDTH_REDUCED = 480;

    /** How a new reel is delivered. */
    public static final Delivery USUAL =
            new Delivery(FOLLOWS, Palette.MAX_ENTRIES, Dithering.USUAL.dither(), "", Encoding.USUAL);

    public Delivery {
        if (width != FOLLOWS) {
            Ranges.check("width", width, 1, MAX_WIDTH);
        }
        Ranges.check(Delivery.class, "colors", colors);
        if (dither == null) {
            throw new OutOfRange("dither", "must be given");
        }
        Ranges.checkColorOrNone("matte", matte);
        if (encoding == null) {
            throw new OutOfRange("encoding", "must be given");
        }
        if (encoding.keptColors().size() >= colors) {
            throw new OutOfRange("keptColors", "must be fewer than the colors");
        }
    }

    /** @return the size of the delivered pictures of a canvas */
    public Size sizeOf(Size canvas) {
        if (width != FOLLOWS) {
            return canvas.withWidth(width);
        }
        return canvas.width() <= WIDTH_KEPT ? canvas : canvas.withWidth(WIDTH_REDUCED);
    }

    public Delivery withWidth(int newWidth) {
        return new Delivery(newWidth, colors, dither, matte, encoding);
    }

    public Dithering dithering() {
        return new Dithering(
                dither,
                encoding.ditherAmount(),
                Arrays.stream(encoding.keptRgb()).boxed().collect(Collectors.toSet()));
    }
}

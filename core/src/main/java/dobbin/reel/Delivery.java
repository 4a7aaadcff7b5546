package dobbin.reel;

import dobbin.dither.Dither;
import dobbin.dither.Dithering;
import dobbin.palette.Palette;
import dobbin.palette.PaletteTerms;
import dobbin.raster.Size;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Arrays;
import java.util.stream.Collectors;

/**
 * How the delivered file is made.
 *
 * @param framing what of the canvas and the loop is delivered, and how large
 * @param colors 2 to 256, a transparent entry included
 * @param coloring how these are chosen
 * @param matte the color of the page, six hexadecimal digits: soft edges are mixed with it; empty to leave them as they are
 * @param flat whether what is transparent becomes the matte, too, so that nothing is transparent
 * @param encoding the finer settings
 */
public record Delivery(
        Framing framing,
        @Min(2) @Max(Palette.MAX_ENTRIES) int colors,
        Coloring coloring,
        Dither dither,
        String matte,
        boolean flat,
        Encoding encoding) {
    /** How a new reel is delivered. */
    public static final Delivery USUAL =
            new Delivery(Framing.FOLLOWS, Palette.MAX_ENTRIES, Dithering.USUAL.dither(), "", Encoding.USUAL);

    public Delivery {
        if (framing == null || coloring == null) {
            throw new OutOfRange(framing == null ? "framing" : "coloring", "must be given");
        }
        Ranges.check(Delivery.class, "colors", colors);
        if (dither == null) {
            throw new OutOfRange("dither", "must be given");
        }
        Ranges.checkColorOrNone("matte", matte);
        if (flat && matte.isEmpty()) {
            throw new OutOfRange("matte", "must be given where everything lies on it");
        }
        if (encoding == null) {
            throw new OutOfRange("encoding", "must be given");
        }
        if (encoding.keptColors().size() >= colors) {
            throw new OutOfRange("keptColors", "must be fewer than the colors");
        }
    }

    /** The whole canvas at that width, in colors as they are seen. */
    public Delivery(int width, int colors, Dither dither, String matte, Encoding encoding) {
        this(Framing.ofWidth(width), colors, Coloring.USUAL, dither, matte, false, encoding);
    }

    /** @return the size of the delivered pictures of a canvas */
    public Size sizeOf(Size canvas) {
        return framing.sizeOf(canvas);
    }

    public Delivery withWidth(int width) {
        return with(framing.withWidth(width));
    }

    /** @param newMatte six hexadecimal digits, or empty for none */
    public Delivery withMatte(String newMatte) {
        return new Delivery(framing, colors, coloring, dither, newMatte, flat, encoding);
    }

    public Delivery with(Encoding newEncoding) {
        return new Delivery(framing, colors, coloring, dither, matte, flat, newEncoding);
    }

    public Delivery with(Framing newFraming) {
        return new Delivery(newFraming, colors, coloring, dither, matte, flat, encoding);
    }

    public Delivery withColors(int newColors) {
        return new Delivery(framing, newColors, coloring, dither, matte, flat, encoding);
    }

    public Delivery withDithering(Dither newDither, int amount) {
        return new Delivery(framing, colors, coloring, newDither, matte, flat, encoding.withDitherAmount(amount));
    }

    public Delivery withTolerance(int tolerance) {
        return new Delivery(framing, colors, coloring, dither, matte, flat, encoding.withTolerance(tolerance));
    }

    public Dithering dithering() {
        return new Dithering(
                dither,
                encoding.ditherAmount(),
                Arrays.stream(encoding.keptRgb()).boxed().collect(Collectors.toSet()));
    }

    /** @param transparent whether a transparent entry is needed */
    public PaletteTerms paletteTerms(boolean transparent) {
        return new PaletteTerms(
                colors,
                transparent,
                coloring.choice(),
                coloring.ownRgb(),
                Arrays.stream(encoding.keptRgb()).boxed().toList(),
                dithering().mixes());
    }
}

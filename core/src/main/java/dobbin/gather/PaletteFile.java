package dobbin.gather;

import dobbin.palette.Palette;
import dobbin.palette.PaletteText;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.PngWriter;
import dobbin.still.UnreadablePicture;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/** Palettes as files: a text of CSS colors, one a line, or a picture strip, one pixel a color. */
public final class PaletteFile {
    /** A text of 256 colors has a few kilobytes, a strip hardly more. */
    public static final int MOST_BYTES = 1_000_000;

    private static final int TRANSPARENT_BELOW = 128;

    private PaletteFile() {}

    /**
     * Reads either form. Transparent pixels of a strip count for nothing.
     *
     * @return different colors, 0xRRGGBB, in their order, 1 to 256
     * @throws PaletteText.NoPalette saying what is wrong with it
     */
    public static List<Integer> read(byte[] bytes) {
        if (bytes.length > MOST_BYTES) {
            throw new PaletteText.NoPalette("has more than " + MOST_BYTES / 1_000_000 + " MB, too much for a palette");
        }
        return FileKind.of(bytes) != FileKind.OTHER ? strip(bytes) : PaletteText.read(text(bytes));
    }

    /** @return a PNG, one pixel high, one pixel a color */
    public static byte[] strip(int[] colors) {
        int[] argb = Arrays.stream(colors).map(color -> 0xFF000000 | color).toArray();
        return PngWriter.bytes(Raster.of(new Size(argb.length, 1), argb));
    }

    private static List<Integer> strip(byte[] bytes) {
        Raster[] picture = new Raster[1];
        try {
            FileOpener.open(bytes, DecodeLimits.USUAL, Checkpoint.NONE, gathered -> picture[0] = gathered.raster());
        } catch (UnreadablePicture e) {
            throw new PaletteText.NoPalette(e.getMessage());
        }
        int[] colors = Arrays.stream(picture[0].argb())
                .filter(pixel -> pixel >>> 24 >= TRANSPARENT_BELOW)
                .map(pixel -> pixel & 0xFFFFFF)
                .distinct()
                .limit(Palette.MAX_ENTRIES + 1L)
                .toArray();
        if (colors.length > Palette.MAX_ENTRIES) {
            throw new PaletteText.NoPalette(
                    "holds more than " + Palette.MAX_ENTRIES + " colors: a strip has one pixel for each");
        }
        return PaletteText.checked(Arrays.stream(colors).boxed().toList());
    }

    private static String text(byte[] bytes) {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new PaletteText.NoPalette("is neither a text of colors nor a picture");
        }
    }
}

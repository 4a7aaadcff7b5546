package dobbin.still;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A PNG of a picture that was made smaller, which says in a comment of what size it was: pictures of two sizes are two, though
 * they may be the same pixels when reduced.
 */
public final class ReducedPng {
    private static final String COMMENT = "Reduced from %d x %d";
    private static final Pattern SAID =
            Pattern.compile("Comment\\x00Reduced from ([1-9][0-9]{0,5}) x ([1-9][0-9]{0,5})");

    private ReducedPng() {}

    public static byte[] bytes(Raster reduced, Size before) {
        return PngWriter.bytes(reduced, String.format(Locale.ROOT, COMMENT, before.width(), before.height()));
    }

    /**
     * @param file of any kind
     * @return what size the picture had, where the file says so
     * @throws UnreadablePicture where it is a damaged PNG
     */
    public static Optional<Size> sizeBefore(byte[] file) throws UnreadablePicture {
        if (FileKind.of(file) != FileKind.PNG) {
            return Optional.empty();
        }
        for (PngChunks chunks = new PngChunks(file); chunks.hasNext(); ) {
            PngChunks.Chunk chunk = chunks.next();
            if (chunk.type().equals("IDAT")) {
                break;
            }
            Matcher said = SAID.matcher(chunk.type().equals("tEXt") ? chunk.text() : "");
            if (said.matches()) {
                return Optional.of(new Size(Integer.parseInt(said.group(1)), Integer.parseInt(said.group(2))));
            }
        }
        return Optional.empty();
    }
}

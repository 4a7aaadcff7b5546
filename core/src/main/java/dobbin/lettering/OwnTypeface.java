package dobbin.lettering;

import java.awt.Font;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A typeface that someone brought as a file. It has one weight.
 *
 * @param file the SHA-256 of the file's bytes, in hexadecimal digits; empty for none
 * @param name as the file gives it
 */
public record OwnTypeface(String file, String name) {
    public static final OwnTypeface NONE = new OwnTypeface("", "");

    /** In bytes. The largest typefaces, with all Chinese signs, have about 20 MB. */
    public static final int LARGEST_FILE = 32_000_000;

    /** Fonts of the files that were brought by now. They never change, and there are few. */
    private static final Map<String, Font> FONTS = new ConcurrentHashMap<>();

    /** Makes the letters of a file known. @throws UnusableTypeface if it cannot be used */
    public static OwnTypeface of(byte[] file, String sha256) throws UnusableTypeface {
        Font font = FONTS.get(sha256);
        if (font == null) {
            font = TypefaceFile.read(file);
            FONTS.put(sha256, font);
        }
        return new OwnTypeface(sha256, font.getFontName());
    }

    public boolean none() {
        return file.isEmpty();
    }

    /** @return whether its file was brought, or read again since the start */
    public boolean known() {
        return FONTS.containsKey(file);
    }

    /** @return the font at a size of 1 pixel */
    Font font() {
        return Optional.ofNullable(FONTS.get(file))
                .orElseThrow(() -> new IllegalStateException("The typeface " + name + " is not here"));
    }
}

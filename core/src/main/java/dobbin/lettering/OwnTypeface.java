package dobbin.lettering;

import java.awt.Font;
import java.util.Optional;

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

    private static final OwnFonts FONTS = new OwnFonts();

    /** Where the files of typefaces are kept. */
    @FunctionalInterface
    public interface Files {
        /** @return the file of that name, or nothing where it is not there */
        Optional<byte[]> find(String sha256);
    }

    /** Looks for files there, too, when letters are drawn in them, until what this returns is closed. */
    public static Finding findIn(Files files) {
        return FONTS.findIn(files);
    }

    /** Ends when it is closed. */
    public interface Finding extends AutoCloseable {
        @Override
        void close();
    }

    /** Checks a file. @throws UnusableTypeface if it cannot be used */
    public static OwnTypeface of(byte[] file, String sha256) throws UnusableTypeface {
        return new OwnTypeface(sha256, FONTS.read(file, sha256).getFontName());
    }

    public boolean none() {
        return file.isEmpty();
    }

    /** @return the font at a size of 1 pixel; nothing where its file is not there */
    Optional<Font> font() {
        return none() ? Optional.empty() : FONTS.find(file);
    }
}

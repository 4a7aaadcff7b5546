package dobbin.lettering;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** The typefaces shipped with the application, named for what they are good for. */
public enum Typeface {
    PLAIN("Figtree-Bold.ttf"),
    BOOK("Lora-Bold.ttf"),
    HAND("Caveat-Bold.ttf"),
    POSTER("BebasNeue-Regular.ttf"),
    TYPED("CourierPrime-Bold.ttf");

    private final Font font;

    Typeface(String file) {
        this.font = read(file);
    }

    /** @param size in pixels from baseline to baseline, less the typeface's own leading */
    public Font font(double size) {
        return font.deriveFont((float) size);
    }

    private static Font read(String file) {
        try (InputStream bytes = Typeface.class.getResourceAsStream(file)) {
            return Font.createFont(Font.TRUETYPE_FONT, bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (FontFormatException e) {
            throw new IllegalStateException("The typeface " + file + " shipped with the application is damaged", e);
        }
    }
}

package dobbin.lettering;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** A font file shipped with the application, read when it is first asked for. */
final class ShippedFont {
    private final String file;
    private Font font;

    ShippedFont(String file) {
        this.file = file;
    }

    /** @return the font at a size of 1 pixel */
    synchronized Font get() {
        if (font == null) {
            font = read();
        }
        return font;
    }

    private Font read() {
        try (InputStream bytes = ShippedFont.class.getResourceAsStream(file)) {
            return Font.createFont(Font.TRUETYPE_FONT, bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (FontFormatException e) {
            throw new IllegalStateException("The font " + file + " shipped with the application is damaged", e);
        }
    }
}

package dobbin.lettering;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/** The typefaces shipped with the application, named for what they are good for. */
public enum Typeface {
    PLAIN("Figtree-Regular.ttf", "Figtree-Bold.ttf"),
    BOOK("Lora-Regular.ttf", "Lora-Bold.ttf"),
    HAND("Caveat-Regular.ttf", "Caveat-Bold.ttf"),
    /** Has one weight. */
    POSTER("BebasNeue-Regular.ttf", "BebasNeue-Regular.ttf"),
    TYPED("CourierPrime-Regular.ttf", "CourierPrime-Bold.ttf");

    public enum Weight {
        REGULAR,
        BOLD
    }

    private final Font regular;
    private final Font bold;

    Typeface(String regularFile, String boldFile) {
        regular = read(regularFile);
        bold = regularFile.equals(boldFile) ? regular : read(boldFile);
    }

    /** @param size in pixels from baseline to baseline, less the typeface's own leading */
    public Font font(Weight weight, double size) {
        return (weight == Weight.BOLD ? bold : regular).deriveFont((float) size);
    }

    /** @return the first character it has no letter for, or empty */
    public String missing(String text) {
        int at = regular.canDisplayUpTo(text.replace("\n", ""));
        return at < 0 ? "" : Character.toString(text.replace("\n", "").codePointAt(at));
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

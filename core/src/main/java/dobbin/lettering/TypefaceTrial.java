package dobbin.lettering;

import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.awt.font.TextAttribute;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * Draws many letters in a typeface file, to see whether they can be. A file whose tables contradict one another can keep native code busy
 * for long, or end the process: try it in one that may.
 */
public final class TypefaceTrial {
    private static final float SIZE = 100;
    private static final int MOST_GLYPHS = 2_000;
    private static final int MOST_LETTERS = 1_000;
    private static final int LETTERS_IN_A_LINE = 100;
    private static final FontRenderContext CONTEXT = new FontRenderContext(null, true, true);

    private TypefaceTrial() {}

    /** @throws UnusableTypeface where it cannot be read, or its letters cannot be drawn */
    public static void of(byte[] file) throws UnusableTypeface {
        Font font = TypefaceFile.read(file)
                .deriveFont(SIZE)
                .deriveFont(Map.of(
                        TextAttribute.KERNING, TextAttribute.KERNING_ON,
                        TextAttribute.LIGATURES, TextAttribute.LIGATURES_ON));
        try {
            drawGlyphs(font);
            layOut(font);
        } catch (RuntimeException e) {
            throw new UnusableTypeface("is a damaged typeface");
        }
    }

    private static void drawGlyphs(Font font) {
        for (int glyph = 0; glyph < Math.min(font.getNumGlyphs(), MOST_GLYPHS); glyph++) {
            font.createGlyphVector(CONTEXT, new int[] {glyph}).getOutline();
        }
    }

    private static void layOut(Font font) {
        int[] letters = IntStream.range(' ', Character.MIN_SURROGATE)
                .filter(font::canDisplay)
                .limit(MOST_LETTERS)
                .toArray();
        for (int first = 0; first < letters.length; first += LETTERS_IN_A_LINE) {
            char[] line = new String(letters, first, Math.min(LETTERS_IN_A_LINE, letters.length - first)).toCharArray();
            for (int direction : List.of(Font.LAYOUT_LEFT_TO_RIGHT, Font.LAYOUT_RIGHT_TO_LEFT)) {
                font.layoutGlyphVector(CONTEXT, line, 0, line.length, direction).getOutline();
            }
        }
    }
}

package dobbin.lettering;

import dobbin.lettering.Typeface.Weight;
import java.awt.Font;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The fonts that letters are taken from: the chosen one, then, for scripts it does not have, those shipped for Hebrew,
 * Arabic, Japanese and emoji.
 */
public final class FontStack {
    private static final Map<Weight, List<ShippedFont>> OTHER_SCRIPTS = Map.of(
            Weight.REGULAR, shipped("Regular"),
            Weight.BOLD, shipped("Bold"));

    private final ShippedFont shipped;
    private final Font own;
    private final Weight weight;

    private FontStack(ShippedFont shipped, Font own, Weight weight) {
        this.shipped = shipped;
        this.own = own;
        this.weight = weight;
    }

    /** @param own a typeface file's that comes before the shipped one; where it is not there, that is taken */
    public static FontStack of(Typeface typeface, Weight weight, OwnTypeface own) {
        return new FontStack(typeface.font(weight), own.font().orElse(null), weight);
    }

    /** @return the first character that no font has a letter for, or empty */
    public String missing(String text) {
        int[] at = text.codePoints()
                .filter(each -> each != '\n' && !isMark(each) && fontOf(each) == null)
                .limit(1)
                .toArray();
        return at.length == 0 ? "" : Character.toString(at[0]);
    }

    /** @return the chosen font, at a size of 1 pixel */
    Font first() {
        return own == null ? shipped.get() : own;
    }

    /** @return for each character of the text the font it is set in; marks follow the sign before them */
    List<Font> fontsOf(String text) {
        List<Font> fonts = new ArrayList<>(text.length());
        Font before = first();
        for (int i = 0; i < text.length(); ) {
            int sign = text.codePointAt(i);
            Font font = isMark(sign) && before.canDisplay(sign) || isIgnorable(sign) ? before : fontOf(sign);
            before = font == null ? first() : font;
            for (int end = i + Character.charCount(sign); i < end; i++) {
                fonts.add(before);
            }
        }
        return fonts;
    }

    private Font fontOf(int sign) {
        if (own != null && own.canDisplay(sign)) {
            return own;
        }
        if (shipped.get().canDisplay(sign)) {
            return shipped.get();
        }
        return OTHER_SCRIPTS.get(weight).stream()
                .map(ShippedFont::get)
                .filter(each -> each.canDisplay(sign))
                .findFirst()
                .orElse(null);
    }

    private static boolean isMark(int sign) {
        int kind = Character.getType(sign);
        return kind == Character.NON_SPACING_MARK || kind == Character.ENCLOSING_MARK || isIgnorable(sign);
    }

    /** Joiners, signs of direction and of variants: they say how others are shown. */
    private static boolean isIgnorable(int sign) {
        return Character.getType(sign) == Character.FORMAT || sign >= 0xFE00 && sign <= 0xFE0F;
    }

    private static List<ShippedFont> shipped(String weight) {
        return List.of("NotoSansHebrew", "NotoSansArabic", "NotoSansJP", "NotoEmoji").stream()
                .map(family -> new ShippedFont(family + "-" + weight + ".ttf"))
                .toList();
    }
}

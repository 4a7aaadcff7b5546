package dobbin.reel;

import dobbin.lettering.FontStack;
import dobbin.lettering.OwnTypeface;
import dobbin.lettering.TextBlock;
import dobbin.lettering.Typeface;

/** Rules common to the words of cards and of cut-outs. */
final class Lettering {
    static final int MAX_TEXT_LENGTH = 500;

    private Lettering() {}

    /** @throws OutOfRange if the text is too long or has signs that no font has, or if something is missing */
    static void check(String text, Typeface typeface, OwnTypeface own, TextBlock.Align align) {
        if (text == null || text.length() > MAX_TEXT_LENGTH) {
            throw new OutOfRange("text", "must have at most " + MAX_TEXT_LENGTH + " characters");
        }
        Ranges.checkText("text", text);
        if (typeface == null || own == null || align == null) {
            throw new OutOfRange(typeface == null ? "typeface" : own == null ? "own" : "align", "must be given");
        }
        String missing = FontStack.of(typeface, Typeface.Weight.REGULAR, own).missing(text);
        if (!missing.isEmpty()) {
            throw new OutOfRange("text", "has “" + missing + "”, which no typeface here has a letter for");
        }
    }
}

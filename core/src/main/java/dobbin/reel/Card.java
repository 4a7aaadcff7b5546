package dobbin.reel;

import dobbin.lettering.TextBlock;
import dobbin.lettering.Typeface;
import java.util.function.Function;

/**
 * A frame of one color, with or without words in the middle of it.
 *
 * @param background six hexadecimal digits, or empty to leave it transparent
 * @param text up to 500 characters; lines are divided by line feeds
 * @param size of the letters in pixels of the canvas, 4 to 2000
 * @param color of the letters, six hexadecimal digits
 */
public record Card(String background, String text, Typeface typeface, int size, String color, TextBlock.Align align)
        implements FrameContent {
    private static final int MAX_TEXT_LENGTH = 500;

    public Card {
        Ranges.checkColorOrNone("background", background);
        Ranges.checkColor("color", color);
        Ranges.check("size", size, 4, 2000);
        if (text == null || text.length() > MAX_TEXT_LENGTH) {
            throw new OutOfRange("text", "must have at most " + MAX_TEXT_LENGTH + " characters");
        }
        if (typeface == null || align == null) {
            throw new OutOfRange(typeface == null ? "typeface" : "align", "must be given");
        }
    }

    /** @return a card without words */
    public static Card blank(String background) {
        return new Card(background, "", Typeface.PLAIN, 48, "000000", TextBlock.Align.CENTER);
    }

    @Override
    public String name() {
        String line = text.strip().replaceAll("\\s+", " ");
        if (!line.isEmpty()) {
            return line;
        }
        return background.isEmpty() ? "empty" : "#" + background;
    }

    @Override
    public <R> R match(Function<Still, R> still, Function<Card, R> card, Function<CrossFade, R> fade) {
        return card.apply(this);
    }
}

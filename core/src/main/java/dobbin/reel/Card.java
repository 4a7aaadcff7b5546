package dobbin.reel;

import dobbin.lettering.OwnTypeface;
import dobbin.lettering.TextBlock;
import dobbin.lettering.Typeface;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.function.Function;

/**
 * A frame of one color, with or without words in the middle of it.
 *
 * @param background six hexadecimal digits, or empty to leave it transparent
 * @param text up to 500 characters; lines are divided by line feeds
 * @param own a typeface file's, whose letters come before the typeface's, where there is one
 * @param size of the letters in pixels of the canvas, 4 to 2000
 * @param color of the letters, six hexadecimal digits
 */
public record Card(
        String background,
        @Size(max = Lettering.MAX_TEXT_LENGTH) String text,
        Typeface typeface,
        OwnTypeface own,
        @Min(4) @Max(2000) int size,
        String color,
        TextBlock.Align align)
        implements FrameContent {

    public Card {
        Ranges.checkColorOrNone("background", background);
        Ranges.checkColor("color", color);
        Ranges.check(Card.class, "size", size);
        Lettering.check(text, typeface, own, align);
    }

    /** @return a card without words */
    public static Card blank(String background) {
        return new Card(background, "", Typeface.PLAIN, OwnTypeface.NONE, 48, "000000", TextBlock.Align.CENTER);
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

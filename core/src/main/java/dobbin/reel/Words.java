package dobbin.reel;

import dobbin.lettering.TextBlock;
import dobbin.lettering.Typeface;
import java.util.List;
import java.util.function.Function;

/**
 * Some lettering.
 *
 * @param text 1 to 500 characters; lines are divided by line feeds
 * @param size of the letters in pixels of the canvas, 4 to 2000
 * @param color of the letters, six hexadecimal digits
 * @param outline how thick a line goes around the letters, in pixels outside of them, 0 to 100
 * @param colors that walk through the letters, up to 12; empty for none
 */
public record Words(
        String text,
        Typeface typeface,
        Typeface.Weight weight,
        int size,
        String color,
        TextBlock.Align align,
        double outline,
        String outlineColor,
        List<String> colors)
        implements Art {
    private static final int MAX_TEXT_LENGTH = 500;

    public Words {
        if (text == null || text.isBlank() || text.length() > MAX_TEXT_LENGTH) {
            throw new OutOfRange("text", "must have 1 to " + MAX_TEXT_LENGTH + " characters");
        }
        if (typeface == null || weight == null || align == null) {
            throw new OutOfRange(typeface == null ? "typeface" : weight == null ? "weight" : "align", "must be given");
        }
        String missing = typeface.missing(text);
        if (!missing.isEmpty()) {
            throw new OutOfRange("text", "has “" + missing + "”, which this typeface has no letter for");
        }
        Ranges.check("size", size, 4, 2000);
        Ranges.checkColor("color", color);
        Ranges.checkAmount("outline", outline, 0, 100);
        Ranges.checkColor("outlineColor", outlineColor);
        colors = List.copyOf(colors);
        Ranges.check("colors", colors.size(), 0, 12);
        colors.forEach(each -> Ranges.checkColor("colors", each));
    }

    public Words withColors(List<String> newColors) {
        return new Words(text, typeface, weight, size, color, align, outline, outlineColor, newColors);
    }

    public TextBlock block() {
        return new TextBlock(text, typeface, weight, size, align);
    }

    @Override
    public double width() {
        return block().naturalWidth() + 2 * outline;
    }

    @Override
    public double height() {
        return block().naturalHeight() + 2 * outline;
    }

    @Override
    public <R> R match(
            Function<Cycle, R> cycle, Function<Words, R> words, Function<Shape, R> shape, Function<Group, R> group) {
        return words.apply(this);
    }
}

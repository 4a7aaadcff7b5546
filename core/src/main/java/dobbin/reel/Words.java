package dobbin.reel;

import dobbin.lettering.FontStack;
import dobbin.lettering.OwnTypeface;
import dobbin.lettering.TextBlock;
import dobbin.lettering.Typeface;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.function.Function;

/**
 * Some lettering.
 *
 * @param text 1 to 500 characters; lines are divided by line feeds
 * @param own a typeface file's, whose letters come before the typeface's, where there is one
 * @param size of the letters in pixels of the canvas, 4 to 2000
 * @param color of the letters, six hexadecimal digits
 * @param outline how thick a line goes around the letters, in pixels outside of them, 0 to 100
 * @param widest how wide lines may be before they are broken, in pixels of the canvas, up to 10,000; 0 for any width
 * @param colors of the letters, one after the other, in place of {@code color}; up to 500, empty for none
 */
public record Words(
        @Size(max = Lettering.MAX_TEXT_LENGTH) String text,
        Typeface typeface,
        OwnTypeface own,
        Typeface.Weight weight,
        @Min(4) @Max(2000) int size,
        String color,
        TextBlock.Align align,
        @Min(0) @Max(100) double outline,
        String outlineColor,
        @Min(0) @Max(10_000) int widest,
        @Size(max = 500) List<String> colors)
        implements Art {
    public Words {
        if (text == null || text.isBlank()) {
            throw new OutOfRange("text", "must have at least one letter");
        }
        Lettering.check(text, typeface, own, align);
        if (weight == null) {
            throw new OutOfRange("weight", "must be given");
        }
        Ranges.check(Words.class, "size", size);
        Ranges.checkColor("color", color);
        Ranges.checkAmount(Words.class, "outline", outline);
        Ranges.checkColor("outlineColor", outlineColor);
        Ranges.check(Words.class, "widest", widest);
        colors = List.copyOf(colors);
        Ranges.check(Words.class, "colors", colors.size());
        colors.forEach(each -> Ranges.checkColor("colors", each));
    }

    /** Words in a shipped typeface, in one color, without outline, as wide as they are. */
    public static Words of(
            String text, Typeface typeface, Typeface.Weight weight, int size, String color, TextBlock.Align align) {
        return new Words(text, typeface, OwnTypeface.NONE, weight, size, color, align, 0, "000000", 0, List.of());
    }

    public Words withColors(List<String> newColors) {
        return new Words(text, typeface, own, weight, size, color, align, outline, outlineColor, widest, newColors);
    }

    public TextBlock block() {
        double most = widest == 0 ? Double.MAX_VALUE : widest;
        return new TextBlock(text, FontStack.of(typeface, weight, own), size, align, most);
    }

    @Override
    public double width() {
        return block().width() + 2 * outline;
    }

    @Override
    public double height() {
        return block().height() + 2 * outline;
    }

    @Override
    public <R> R match(
            Function<Cycle, R> cycle, Function<Words, R> words, Function<Shape, R> shape, Function<Group, R> group) {
        return words.apply(this);
    }
}

package dobbin.lettering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.lettering.TextBlock.Align;
import dobbin.lettering.Typeface.Weight;
import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class TextBlockTest {
    private static TextBlock block(String text, Align align) {
        return new TextBlock(text, Typeface.PLAIN, Weight.BOLD, 40, align);
    }

    @ParameterizedTest
    @EnumSource
    void everyTypefaceHasTheLettersOfAnEnglishSentence(Typeface typeface) {
        assertThat(typeface.missing("Last ferry at 18.00, don’t miss it! (£4)")).isEmpty();
        assertThat(typeface.missing("snow\n☃")).isEqualTo("☃");
    }

    @ParameterizedTest
    @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "POSTER")
    void boldIsHeavierThanRegular(Typeface typeface) {
        assertThat(ink(typeface, Weight.BOLD)).isGreaterThan(1.1 * ink(typeface, Weight.REGULAR));
    }

    /** The area of an upright stroke, counted in a raster of points. */
    private static double ink(Typeface typeface, Weight weight) {
        Shape letter = new TextBlock("l", typeface, weight, 200, Align.LEFT)
                .letters(0, 0, 400, 400)
                .get(0);
        double inside = 0;
        for (double y = 0; y < 400; y += 2) {
            for (double x = 0; x < 400; x += 2) {
                inside += letter.contains(x, y) ? 1 : 0;
            }
        }
        return inside;
    }

    @Test
    void lettersComeOneByOneAndBlanksAreNone() {
        List<Shape> letters = block("at six\nsharp", Align.LEFT).letters(0, 0, 500, 200);
        assertThat(letters).hasSize(10);
        Rectangle2D before = letters.get(0).getBounds2D();
        for (Shape letter : letters.subList(1, 5)) {
            assertThat(letter.getBounds2D().getX()).isGreaterThan(before.getX());
            before = letter.getBounds2D();
        }
        assertThat(letters.get(5).getBounds2D().getY()).as("the second line").isGreaterThan(before.getY());
    }

    @Test
    void linesAreAsWideAsTheLongestAndSetFlush() {
        TextBlock left = block("Skerry\nI", Align.LEFT);
        double width = left.naturalWidth();
        assertThat(left.naturalHeight()).isCloseTo(2 * block("I", Align.LEFT).naturalHeight(), within(1e-6));
        double atLeft = last(left, width).getX();
        double atRight = last(block("Skerry\nI", Align.RIGHT), width).getX();
        double inMiddle = last(block("Skerry\nI", Align.CENTER), width).getX();
        assertThat(atRight).isGreaterThan(width / 2);
        assertThat(inMiddle).isCloseTo((atLeft + atRight) / 2, within(1e-6));
    }

    private static Rectangle2D last(TextBlock block, double width) {
        List<Shape> letters = block.letters(0, 0, width, block.naturalHeight());
        return letters.get(letters.size() - 1).getBounds2D();
    }
}

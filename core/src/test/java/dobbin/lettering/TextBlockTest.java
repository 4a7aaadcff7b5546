package dobbin.lettering;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.lettering.TextBlock.Align;
import dobbin.lettering.Typeface.Weight;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.font.TextAttribute;
import java.awt.font.TextLayout;
import java.awt.font.TextMeasurer;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.text.AttributedString;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class TextBlockTest {
    private static final double ANY_WIDTH = Double.MAX_VALUE;
    private static final FontRenderContext UNHINTED = new FontRenderContext(null, true, true);

    private static FontStack fonts(Typeface typeface) {
        return FontStack.of(typeface, Weight.BOLD, OwnTypeface.NONE);
    }

    private static TextBlock block(String text, Align align) {
        return block(text, align, ANY_WIDTH);
    }

    private static TextBlock block(String text, Align align, double widest) {
        return new TextBlock(text, fonts(Typeface.PLAIN), 40, align, widest);
    }

    @ParameterizedTest
    @EnumSource
    void everyTypefaceHasTheLettersOfAnEnglishSentenceAndThoseOfOtherScripts(Typeface typeface) {
        assertThat(fonts(typeface).missing("Last ferry at 18.00, don’t miss it! (£4)"))
                .isEmpty();
        assertThat(fonts(typeface).missing("שלום\nمرحبا\nこんにちは 灯台\n⛴️ 👩‍🚀")).isEmpty();
        assertThat(fonts(typeface).missing("tide \uE000")).isEqualTo("\uE000");
    }

    @ParameterizedTest
    @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "POSTER")
    void boldIsHeavierThanRegular(Typeface typeface) {
        assertThat(ink(typeface, Weight.BOLD)).isGreaterThan(1.1 * ink(typeface, Weight.REGULAR));
    }

    /** The area of an upright stroke, counted in a raster of points. */
    private static double ink(Typeface typeface, Weight weight) {
        Shape letter = new TextBlock("l", FontStack.of(typeface, weight, OwnTypeface.NONE), 200, Align.LEFT, ANY_WIDTH)
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
        double width = left.width();
        assertThat(left.height()).isCloseTo(2 * block("I", Align.LEFT).height(), within(1e-6));
        double atLeft = last(left, width).getX();
        double atRight = last(block("Skerry\nI", Align.RIGHT), width).getX();
        double inMiddle = last(block("Skerry\nI", Align.CENTER), width).getX();
        assertThat(atRight).isGreaterThan(width / 2);
        assertThat(inMiddle).isCloseTo((atLeft + atRight) / 2, within(1e-6));
    }

    private static Rectangle2D last(TextBlock block, double width) {
        List<Shape> letters = block.letters(0, 0, width, block.height());
        return letters.get(letters.size() - 1).getBounds2D();
    }

    @Test
    void linesBreakWhereLanguagesLetThemAndInsideAWordThatIsTooWide() {
        double line = block("I", Align.LEFT).height();
        double width = block("the last ferry", Align.LEFT).width() + 1;
        assertThat(block("the last ferry at six", Align.LEFT, width).height()).isCloseTo(2 * line, within(1e-6));
        TextBlock word = block("lighthouselighthouse", Align.LEFT, 120);
        assertThat(word.width()).isLessThanOrEqualTo(120);
        assertThat(word.letters(0, 0, 120, 500)).hasSize(20);
        TextBlock japanese = block("灯台の船は六時に出ます", Align.LEFT, 170);
        assertThat(japanese.width()).isBetween(100.0, 170.0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"שלום לך", "مرحبا بك", "שעה 18.00 עכשיו", "灯台 lamp", "Skerry"})
    void signsAreShapedAndOrderedAsTheJdkDoesIt(String text) {
        Shape ours = block(text, Align.LEFT).outlineOn(10, 60);
        Shape jdk = new TextLayout(attributed(text).getIterator(), UNHINTED)
                .getOutline(AffineTransform.getTranslateInstance(10, 60));
        assertThat(filled(ours)).isEqualTo(filled(jdk));
    }

    private static AttributedString attributed(String text) {
        AttributedString attributed = new AttributedString(text);
        List<Font> fonts = fonts(Typeface.PLAIN).fontsOf(text);
        for (int i = 0; i < fonts.size(); i++) {
            attributed.addAttribute(TextAttribute.FONT, fonts.get(i).deriveFont(40f), i, i + 1);
        }
        return attributed;
    }

    /** What comes before decides how digits are ordered, also where a line begins with them. */
    @ParameterizedTest
    @ValueSource(strings = {"Ferry مرحبا |12 34 بك", "Ferry שלום |18-20 לך", "שלום Ferry |18 at לך"})
    void aLineIsOrderedAsAPartOfItsParagraph(String parts) {
        String text = parts.replace("|", "");
        int cut = parts.indexOf('|');
        double widest = block(text.substring(0, cut).strip(), Align.LEFT).width() + 25;
        TextBlock block = block(text, Align.LEFT, widest);
        double line = block.height() / 2;
        assertThat(block("I" + text, Align.LEFT).height()).as("two lines").isCloseTo(line, within(1e-6));
        TextMeasurer measurer = new TextMeasurer(attributed(text).getIterator(), UNHINTED);
        Path2D jdk = new Path2D.Double();
        int end = text.substring(0, cut).stripTrailing().length();
        jdk.append(measurer.getLayout(0, end).getOutline(AffineTransform.getTranslateInstance(10, 50)), false);
        jdk.append(
                measurer.getLayout(cut, text.length()).getOutline(AffineTransform.getTranslateInstance(10, 50 + line)),
                false);
        assertThat(filled(block.outlineOn(10, 50))).isEqualTo(filled(jdk));
    }

    /** A shape in pixels, told by the places of those that are more than half covered. */
    private static List<Integer> filled(Shape shape) {
        BufferedImage image = new BufferedImage(400, 140, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D pen = image.createGraphics();
        pen.fill(shape);
        pen.dispose();
        return IntStream.range(0, 400 * 140)
                .filter(i -> image.getRaster().getSample(i % 400, i / 400, 0) > 127)
                .boxed()
                .toList();
    }

    @Test
    void hebrewIsReadFromTheRightLetterByLetter() {
        List<Shape> letters = block("שלום", Align.LEFT).letters(0, 0, 500, 100);
        assertThat(letters).hasSize(4);
        assertThat(letters.get(0).getBounds2D().getX())
                .isGreaterThan(letters.get(3).getBounds2D().getX());
    }

    @Test
    void arabicLettersAreJoinedAndMarksBelongToTheirLetter() {
        double joined = block("ببب", Align.LEFT).width();
        double apart = 3 * block("ب", Align.LEFT).width();
        assertThat(joined).isLessThan(0.9 * apart);
        assertThat(block("e\u0301", Align.LEFT).letters(0, 0, 100, 100)).hasSize(1);
        assertThat(Letters.count("e\u0301 👩‍🚀\nab")).isEqualTo(4);
    }
}

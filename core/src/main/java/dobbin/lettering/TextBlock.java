package dobbin.lettering;

import java.awt.Font;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.font.GlyphVector;
import java.awt.font.LineMetrics;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.List;

/**
 * Some lines of text in a box, broken between words where they would be wider than it. A word wider than the box stays
 * whole and sticks out.
 *
 * @param text lines are divided by line feeds
 * @param size of the letters in pixels
 */
public record TextBlock(String text, Typeface typeface, Typeface.Weight weight, double size, Align align) {
    /** Which edges of a box lines are set flush to. */
    public enum Align {
        LEFT(0),
        CENTER(0.5),
        RIGHT(1);

        private final double share;

        Align(double share) {
            this.share = share;
        }
    }

    /** The same outlines whatever hinting a machine has. */
    private static final FontRenderContext UNHINTED = new FontRenderContext(null, true, true);

    /** @return the letters' outlines, in the middle of the height of a box from (left, top) */
    public Shape outline(double left, double top, double width, double height) {
        Path2D outline = new Path2D.Double();
        letters(left, top, width, height).forEach(letter -> outline.append(letter, false));
        return outline;
    }

    /** @return as above, each letter for itself; blanks have none */
    public List<Shape> letters(double left, double top, double width, double height) {
        Font font = typeface.font(weight, size);
        LineMetrics metrics = font.getLineMetrics(text, UNHINTED);
        List<GlyphVector> lines = lines(font, width);
        double baseline = top + (height - lines.size() * metrics.getHeight()) / 2 + metrics.getAscent();
        List<Shape> letters = new ArrayList<>();
        for (GlyphVector line : lines) {
            AffineTransform place =
                    AffineTransform.getTranslateInstance(left + (width - advance(line)) * align.share, baseline);
            for (int i = 0; i < line.getNumGlyphs(); i++) {
                Shape letter = line.getGlyphOutline(i);
                if (!letter.getBounds2D().isEmpty()) {
                    letters.add(place.createTransformedShape(letter));
                }
            }
            baseline += metrics.getHeight();
        }
        return letters;
    }

    /** @return how wide the longest line is where none is broken */
    public double naturalWidth() {
        return lines(typeface.font(weight, size), Double.MAX_VALUE).stream()
                .mapToDouble(TextBlock::advance)
                .max()
                .orElse(0);
    }

    /** @return how high the lines are where none is broken */
    public double naturalHeight() {
        Font font = typeface.font(weight, size);
        return text.split("\n", -1).length
                * (double) font.getLineMetrics(text, UNHINTED).getHeight();
    }

    private List<GlyphVector> lines(Font font, double width) {
        List<GlyphVector> lines = new ArrayList<>();
        for (String paragraph : text.split("\n", -1)) {
            String line = "";
            for (String word : paragraph.split(" ")) {
                String longer = line.isEmpty() ? word : line + " " + word;
                if (!line.isEmpty() && advance(glyphs(font, longer)) > width) {
                    lines.add(glyphs(font, line));
                    longer = word;
                }
                line = longer;
            }
            lines.add(glyphs(font, line));
        }
        return lines;
    }

    private static GlyphVector glyphs(Font font, String line) {
        return font.createGlyphVector(UNHINTED, line);
    }

    private static double advance(GlyphVector line) {
        return line.getGlyphPosition(line.getNumGlyphs()).getX();
    }
}

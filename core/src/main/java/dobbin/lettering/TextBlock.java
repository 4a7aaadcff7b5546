package dobbin.lettering;

import java.awt.Font;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.font.GlyphVector;
import java.awt.font.LineMetrics;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.text.Bidi;
import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Some lines of text, broken where Unicode lets lines break (Standard Annex 14) and, in words wider than a line, between
 * letters. Signs are ordered by the bidirectional algorithm (Standard Annex 9) and shaped by the JDK's layout engine, as its
 * {@code TextLayout} does.
 *
 * @param text lines are divided by line feeds
 * @param size of the letters in pixels
 * @param widest how wide lines may be, in pixels
 */
public record TextBlock(String text, FontStack fonts, double size, Align align, double widest) {
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

    /** @param levels of its letters, which its whole paragraph decides; none where it is empty */
    private record Line(String text, Optional<Bidi> levels) {}

    /** Text up to a line feed, whose direction is that of its first letter that has one. */
    private record Paragraph(String text, Bidi levels) {
        Paragraph(String text) {
            this(text, new Bidi(text, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT));
        }

        /** @return a part of it as a line; blanks at its end are none of it */
        Line line(int start, int end) {
            String line = text.substring(start, end).stripTrailing();
            return new Line(
                    line,
                    line.isEmpty()
                            ? Optional.empty()
                            : Optional.of(levels.createLineBidi(start, start + line.length())));
        }
    }

    /** Some signs of one font and one direction, shaped. */
    private record Run(GlyphVector glyphs, int start) {
        double advance() {
            return glyphs.getGlyphPosition(glyphs.getNumGlyphs()).getX();
        }
    }

    /** @return the letters' outlines, in the middle of the height of a box from (left, top) */
    public Shape outline(double left, double top, double width, double height) {
        Path2D outline = new Path2D.Double();
        letters(left, top, width, height).forEach(letter -> outline.append(letter, false));
        return outline;
    }

    /** @return as above, each letter for itself, in the order in which one reads them; blanks have none */
    public List<Shape> letters(double left, double top, double width, double height) {
        List<Line> lines = lines();
        double lineHeight = lineHeight();
        double baseline = top + (height - lines.size() * lineHeight) / 2 + ascent();
        return letters(lines, left, width, baseline, lineHeight);
    }

    /** @return the outline of all letters, the first line on a baseline, flush to the left */
    public Shape outlineOn(double left, double baseline) {
        Path2D outline = new Path2D.Double();
        letters(lines(), left, 0, baseline, lineHeight()).forEach(letter -> outline.append(letter, false));
        return outline;
    }

    private List<Shape> letters(List<Line> lines, double left, double width, double firstBaseline, double lineHeight) {
        double baseline = firstBaseline;
        List<Shape> letters = new ArrayList<>();
        for (Line line : lines) {
            List<Run> runs = runs(line);
            double x = left + (width - advance(runs)) * align.share;
            letters.addAll(letters(line.text(), runs, AffineTransform.getTranslateInstance(x, baseline)));
            baseline += lineHeight;
        }
        return letters;
    }

    /** @return how many letters a text has, blanks not counted */
    public static int letterCount(String text) {
        return Letters.count(text);
    }

    /** @return how wide the longest line is */
    public double width() {
        return lines().stream().mapToDouble(line -> advance(runs(line))).max().orElse(0);
    }

    /** @return how high all lines are together */
    public double height() {
        return lines().size() * lineHeight();
    }

    /** Fonts for other scripts may be higher than the chosen one. */
    private double ascent() {
        return fonts.fontsOf(text).stream()
                .distinct()
                .mapToDouble(font -> metrics(font).getAscent())
                .reduce(metrics(fonts.first()).getAscent(), Math::max);
    }

    private double lineHeight() {
        return fonts.fontsOf(text).stream()
                .distinct()
                .mapToDouble(font -> metrics(font).getHeight())
                .reduce(metrics(fonts.first()).getHeight(), Math::max);
    }

    private LineMetrics metrics(Font font) {
        return font.deriveFont((float) size).getLineMetrics("", UNHINTED);
    }

    private List<Line> lines() {
        List<Line> lines = new ArrayList<>();
        for (String paragraph : text.split("\n", -1)) {
            lines.addAll(linesOf(new Paragraph(paragraph)));
        }
        return lines;
    }

    private List<Line> linesOf(Paragraph paragraph) {
        List<Line> lines = new ArrayList<>();
        BreakIterator breaks = BreakIterator.getLineInstance(Locale.ROOT);
        breaks.setText(paragraph.text());
        int start = 0;
        int fits = 0;
        for (int end = breaks.next(); end != BreakIterator.DONE; end = breaks.next()) {
            if (fits > start && !fits(paragraph.line(start, end))) {
                lines.add(paragraph.line(start, fits));
                start = fits;
            }
            while (!fits(paragraph.line(start, end)) && lettersThatFit(paragraph, start, end) < end) {
                int cut = lettersThatFit(paragraph, start, end);
                lines.add(paragraph.line(start, cut));
                start = cut;
            }
            fits = end;
        }
        lines.add(paragraph.line(start, paragraph.text().length()));
        return lines;
    }

    private boolean fits(Line line) {
        return widest == Double.MAX_VALUE || advance(runs(line)) <= widest;
    }

    /** @return where a word must be broken so that its first part fits; at least one letter stays on the line */
    private int lettersThatFit(Paragraph paragraph, int start, int end) {
        int[] beginnings = Letters.beginnings(paragraph.text().substring(start, end));
        int cut = end - start;
        for (int i = 1; i < beginnings.length; i++) {
            if (beginnings[i] == i) {
                if (!fits(paragraph.line(start, start + i)) && cut < end - start) {
                    break;
                }
                cut = i;
            }
        }
        return start + cut;
    }

    /** @return the runs of a line from left to right */
    private List<Run> runs(Line line) {
        return line.levels().map(levels -> runs(line.text(), levels)).orElse(List.of());
    }

    private List<Run> runs(String line, Bidi bidi) {
        List<Font> fontsOf = fonts.fontsOf(line);
        char[] signs = line.toCharArray();
        List<Run> runs = new ArrayList<>();
        List<Byte> levels = new ArrayList<>();
        for (int start = 0, end; start < signs.length; start = end) {
            int level = bidi.getLevelAt(start);
            Font font = fontsOf.get(start);
            for (end = start + 1; end < signs.length; end++) {
                if (bidi.getLevelAt(end) != level || fontsOf.get(end) != font) {
                    break;
                }
            }
            int direction = level % 2 == 0 ? Font.LAYOUT_LEFT_TO_RIGHT : Font.LAYOUT_RIGHT_TO_LEFT;
            Font sized = font.deriveFont((float) size);
            runs.add(new Run(sized.layoutGlyphVector(UNHINTED, signs, start, end, direction), start));
            levels.add((byte) level);
        }
        return inVisualOrder(runs, levels);
    }

    private static List<Run> inVisualOrder(List<Run> runs, List<Byte> levels) {
        byte[] order = new byte[runs.size()];
        for (int i = 0; i < order.length; i++) {
            order[i] = levels.get(i);
        }
        Run[] ordered = runs.toArray(Run[]::new);
        Bidi.reorderVisually(order, 0, ordered, 0, ordered.length);
        return List.of(ordered);
    }

    /** Signs that belong to one letter become one shape. */
    private static List<Shape> letters(String line, List<Run> runs, AffineTransform place) {
        int[] beginnings = Letters.beginnings(line);
        Map<Integer, Path2D> letters = new TreeMap<>();
        AffineTransform at = new AffineTransform(place);
        for (Run run : runs) {
            GlyphVector glyphs = run.glyphs();
            for (int i = 0; i < glyphs.getNumGlyphs(); i++) {
                Shape glyph = glyphs.getGlyphOutline(i);
                if (!glyph.getBounds2D().isEmpty()) {
                    int letter = beginnings[run.start() + glyphs.getGlyphCharIndex(i)];
                    letters.computeIfAbsent(letter, key -> new Path2D.Double())
                            .append(at.createTransformedShape(glyph), false);
                }
            }
            at.translate(run.advance(), 0);
        }
        return List.copyOf(letters.values());
    }

    private static double advance(List<Run> runs) {
        return runs.stream().mapToDouble(Run::advance).sum();
    }
}

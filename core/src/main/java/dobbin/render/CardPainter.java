package dobbin.render;

import dobbin.lettering.TextBlock;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Card;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.Arrays;

/** Draws cards: a color, and words in the middle of it with a margin of an eighteenth of the canvas's width. */
final class CardPainter {
    private static final int OPAQUE = 0xFF000000;
    private static final double MARGIN = 1.0 / 18;

    private CardPainter() {}

    /** Lines break as they do on the canvas itself, whatever the size. */
    static Raster draw(Card card, Size canvas, Size size) {
        BufferedImage image = new BufferedImage(size.width(), size.height(), BufferedImage.TYPE_INT_ARGB);
        int[] argb = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        Arrays.fill(argb, argb(card.background()));
        if (!card.text().isBlank()) {
            Graphics2D pen = image.createGraphics();
            pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
            pen.scale((double) size.width() / canvas.width(), (double) size.height() / canvas.height());
            pen.setColor(new Color(argb(card.color())));
            double margin = canvas.width() * MARGIN;
            TextBlock words = new TextBlock(card.text(), card.typeface(), card.size(), card.align());
            pen.fill(words.outline(margin, 0, canvas.width() - 2 * margin, canvas.height()));
            pen.dispose();
        }
        return Raster.of(size, argb);
    }

    /** @param color six hexadecimal digits, or empty for transparent */
    static int argb(String color) {
        return color.isEmpty() ? 0 : OPAQUE | Integer.parseInt(color, 16);
    }
}

package dobbin.render;

import dobbin.lettering.FontStack;
import dobbin.lettering.TextBlock;
import dobbin.lettering.Typeface;
import dobbin.raster.Affine;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Card;

/** Draws cards: a color, and words in the middle of it with a margin of an eighteenth of the canvas's width. */
final class CardPainter {
    private static final double MARGIN = 1.0 / 18;

    private CardPainter() {}

    /** Lines break as they do on the canvas itself, whatever the size. */
    static Raster draw(Card card, Size canvas, Size size) {
        if (card.text().isBlank()) {
            return Raster.filled(size, OutlinePainter.argb(card.background()));
        }
        Affine place = Affine.scale((double) size.width() / canvas.width(), (double) size.height() / canvas.height());
        double margin = canvas.width() * MARGIN;
        double width = canvas.width() - 2 * margin;
        FontStack fonts = FontStack.of(card.typeface(), Typeface.Weight.BOLD, card.own());
        TextBlock words = new TextBlock(card.text(), fonts, card.size(), card.align(), width);
        return OutlinePainter.draw(Bounds.all(size), place, pen -> {
                    pen.setColor(OutlinePainter.color(card.background()));
                    pen.fillRect(0, 0, canvas.width(), canvas.height());
                    pen.setColor(OutlinePainter.color(card.color()));
                    pen.fill(words.outline(margin, 0, width, canvas.height()));
                })
                .raster();
    }
}

package dobbin.render;

import dobbin.reel.Pose;
import dobbin.reel.Words;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.util.List;

/** Draws lettering in a box of its own, as many letters of it as are shown, in the colors that walk through them. */
final class WordsPainter {
    private WordsPainter() {}

    static void draw(Words words, Pose pose, Graphics2D pen) {
        double edge = words.outline();
        List<Shape> all = words.block().letters(edge, edge, words.width() - 2 * edge, words.height() - 2 * edge);
        List<Shape> letters = all.subList(0, (int) Math.round(pose.shown() * all.size()));
        if (edge > 0) {
            pen.setColor(OutlinePainter.color(words.outlineColor()));
            pen.setStroke(new BasicStroke((float) (2 * edge), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
            letters.forEach(pen::draw);
        }
        for (int i = 0; i < letters.size(); i++) {
            pen.setColor(color(words, i - (int) Math.floor(pose.walk())));
            pen.fill(letters.get(i));
        }
    }

    private static Color color(Words words, int place) {
        List<String> colors = words.colors();
        return OutlinePainter.color(colors.isEmpty() ? words.color() : colors.get(Math.floorMod(place, colors.size())));
    }
}

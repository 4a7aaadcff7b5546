package dobbin.skerry;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;

/** A gull in ink, flapping on nothing: soft edges and real transparency. */
final class Gull {
    private static final int FRAMES = 10;
    private static final int WIDTH = 420;
    private static final int HEIGHT = 320;
    private static final Color INK = new Color(0x1E2A32);
    private static final Color WING = new Color(0xC9D0D3);
    private static final Color BODY = new Color(0xFBF8F0);
    private static final Color BEAK = new Color(0xE08A2E);

    private Gull() {}

    static List<DemoFile> files() {
        List<DemoFile> files = new ArrayList<>();
        for (int number = 1; number <= FRAMES; number++) {
            files.add(new DemoFile("gull-" + number + ".png", Files.png(pose((number - 1) / (float) FRAMES))));
        }
        return files;
    }

    /** @param t 0..1 through one beat of the wings */
    static BufferedImage pose(float t) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        double beat = Math.sin(2 * Math.PI * t);
        double lag = Math.sin(2 * Math.PI * t - 0.9);
        pen.translate(WIDTH / 2.0, HEIGHT * 0.54 - 12 * beat);
        wing(pen, beat, lag, -0.82, WING.darker());
        body(pen);
        wing(pen, beat, lag, 1, WING);
        pen.dispose();
        return image;
    }

    private static void body(Graphics2D pen) {
        Path2D body = new Path2D.Double();
        body.moveTo(-92, 10);
        body.curveTo(-60, -10, -20, -26, 28, -24);
        body.curveTo(44, -42, 78, -42, 86, -18);
        body.curveTo(84, 8, 44, 26, 6, 28);
        body.curveTo(-30, 30, -60, 22, -118, 28);
        body.curveTo(-108, 20, -100, 16, -92, 10);
        body.closePath();
        outlined(pen, body, BODY);
        Path2D beak = new Path2D.Double();
        beak.moveTo(84, -26);
        beak.curveTo(100, -24, 112, -18, 116, -8);
        beak.curveTo(104, -12, 94, -12, 85, -13);
        beak.closePath();
        outlined(pen, beak, BEAK);
        pen.setColor(INK);
        pen.fill(new Ellipse2D.Double(66, -29, 7, 7));
    }

    /** @param side 1 for the near wing, less than 0 for the far one, which is drawn behind and to the left */
    private static void wing(Graphics2D pen, double beat, double lag, double side, Color color) {
        double shift = side < 0 ? 16 : -8;
        double reach = side < 0 ? 0.86 : 1;
        double elbowX = shift - 26 * reach;
        double elbowY = -14 - 72 * beat * reach - 10;
        double tipX = shift - 96 * reach;
        double tipY = elbowY - 52 * lag * reach + 6;
        Path2D wing = new Path2D.Double();
        wing.moveTo(shift + 30, -14);
        wing.curveTo(shift + 22, elbowY * 0.6, elbowX + 22, elbowY - 6, elbowX, elbowY);
        wing.curveTo(elbowX - 26, elbowY - 4, tipX + 26, tipY - 2, tipX, tipY);
        wing.curveTo(tipX + 24, tipY + 22, elbowX - 14, elbowY + 34, elbowX + 4, elbowY + 36);
        wing.curveTo(elbowX + 10, elbowY * 0.45 + 26, shift - 34, 8, shift - 40, 8);
        wing.closePath();
        outlined(pen, wing, color);
        Path2D tip = new Path2D.Double();
        tip.moveTo(tipX, tipY);
        tip.curveTo(tipX + 10, tipY + 0, tipX + 26, tipY + 1, tipX + 34, tipY + 4);
        tip.curveTo(tipX + 26, tipY + 14, tipX + 14, tipY + 10, tipX, tipY);
        tip.closePath();
        outlined(pen, tip, INK);
    }

    private static void outlined(Graphics2D pen, Path2D shape, Color fill) {
        pen.setColor(fill);
        pen.fill(shape);
        pen.setColor(INK);
        pen.setStroke(new BasicStroke(4.5f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        pen.draw(shape);
    }
}

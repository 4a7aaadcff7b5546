package dobbin.skerry;

import dobbin.lettering.FontStack;
import dobbin.lettering.OwnTypeface;
import dobbin.lettering.TextBlock;
import dobbin.lettering.Typeface;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;

/** The ferry times as a banner: flat colors, soft-edged lettering, a ferry that crosses and a last pose that stays. */
final class FerryBanner {
    private static final int FRAMES = 16;
    private static final int WIDTH = 640;
    private static final int HEIGHT = 240;
    private static final String[] TIMES = {"8.10", "11.40", "15.20", "18.00"};
    private static final Color PAPER = new Color(0xF6F1E7);
    private static final Color SEA = new Color(0x2B6F86);
    private static final Color DEEP = new Color(0x1F5068);
    private static final Color INK = new Color(0x1E2A32);
    private static final Color RED = new Color(0xB23E28);

    private FerryBanner() {}

    static List<DemoFile> files() {
        FontStack fonts = FontStack.of(Typeface.PLAIN, Typeface.Weight.BOLD, OwnTypeface.NONE);
        List<DemoFile> files = new ArrayList<>();
        for (int number = 1; number <= FRAMES; number++) {
            files.add(new DemoFile("Ferry banner (" + number + ").png", Files.png(draw(number - 1, fonts))));
        }
        return files;
    }

    private static BufferedImage draw(int frame, FontStack fonts) {
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        pen.setColor(PAPER);
        pen.fillRect(0, 0, WIDTH, HEIGHT);
        double t = frame / (double) (FRAMES - 1);
        pen.setColor(new Color(0xF0C46A));
        pen.fill(new Ellipse2D.Double(536, 28, 60, 60));
        text(pen, fonts, 34, "Last ferry at six", 32, 58, INK);
        for (int i = 0; i < TIMES.length; i++) {
            boolean shown = frame >= 3 + 3 * i;
            boolean last = i == TIMES.length - 1;
            if (shown) {
                text(pen, fonts, 27, TIMES[i], 34 + 96 * i, 104, last ? RED : DEEP);
            }
        }
        waves(pen, SEA, 186, t, 1);
        double eased = t * t * (3 - 2 * t);
        ferry(pen, -150 + 560 * eased, 184 + 3 * Math.sin(4 * Math.PI * t));
        waves(pen, DEEP, 206, t, -1);
        pen.dispose();
        return image;
    }

    private static void waves(Graphics2D pen, Color color, double top, double t, int direction) {
        Path2D sea = new Path2D.Double();
        sea.moveTo(0, HEIGHT);
        for (int x = 0; x <= WIDTH; x += 4) {
            sea.lineTo(x, top + 5 * Math.sin(2 * Math.PI * (x / 128.0 + direction * t)));
        }
        sea.lineTo(WIDTH, HEIGHT);
        sea.closePath();
        pen.setColor(color);
        pen.fill(sea);
    }

    /** @return the ferry alone, on nothing */
    static BufferedImage alone() {
        BufferedImage image = new BufferedImage(148, 100, BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        ferry(pen, 0, 73);
        pen.dispose();
        return image;
    }

    private static void ferry(Graphics2D pen, double x, double y) {
        pen.setColor(Color.WHITE);
        pen.fill(new Rectangle2D.Double(x + 30, y - 34, 84, 26));
        pen.fill(new Rectangle2D.Double(x + 52, y - 56, 44, 24));
        pen.setColor(RED);
        pen.fill(new Rectangle2D.Double(x + 76, y - 72, 14, 18));
        pen.setColor(INK);
        for (int window = 0; window < 5; window++) {
            pen.fill(new Ellipse2D.Double(x + 38 + 15 * window, y - 27, 8, 8));
        }
        Path2D hull = new Path2D.Double();
        hull.moveTo(x, y - 10);
        hull.lineTo(x + 148, y - 10);
        hull.lineTo(x + 128, y + 26);
        hull.lineTo(x + 18, y + 26);
        hull.closePath();
        pen.fill(hull);
    }

    /** Filled outlines, not drawn text: the same pixels whatever fonts and hinting a machine has. */
    private static void text(
            Graphics2D pen, FontStack fonts, int size, String words, double x, double baseline, Color color) {
        pen.setColor(color);
        pen.fill(new TextBlock(words, fonts, size, TextBlock.Align.LEFT, Double.MAX_VALUE).outlineOn(x, baseline));
    }
}

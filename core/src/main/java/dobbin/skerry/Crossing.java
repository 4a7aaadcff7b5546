package dobbin.skerry;

import dobbin.dither.Dither;
import dobbin.edit.AddCutout;
import dobbin.edit.AddMotion;
import dobbin.edit.Cell;
import dobbin.edit.Edit;
import dobbin.edit.GroupCutouts;
import dobbin.edit.LayCutouts;
import dobbin.edit.Motion;
import dobbin.edit.Placed;
import dobbin.edit.Scope;
import dobbin.edit.SetBorder;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.edit.SetLeaves;
import dobbin.edit.SetPoses;
import dobbin.edit.Tween;
import dobbin.lettering.TextBlock.Align;
import dobbin.lettering.Typeface;
import dobbin.raster.Blend;
import dobbin.raster.Size;
import dobbin.reel.Border;
import dobbin.reel.ContentName;
import dobbin.reel.Cycle;
import dobbin.reel.Fill;
import dobbin.reel.PictureRef;
import dobbin.reel.Pose;
import dobbin.reel.Shadow;
import dobbin.reel.Shape;
import dobbin.reel.Words;
import dobbin.timing.Easing;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.image.BufferedImage;
import java.util.List;

/** The evening crossing: dusk fades across two stills while cut-outs move over them. */
final class Crossing {
    private static final int WIDTH = 480;
    private static final int HEIGHT = 320;
    private static final int NEW_FRAMES = 22;
    private static final int WHEEL = 72;
    private static final Color INK = new Color(0x1E2A32);
    private static final Color RED = new Color(0xB23E28);
    private static final Color OAK = new Color(0xC9955A);

    /** Frames and cut-outs as the edits number them: two stills, the frames between, then the cut-outs. */
    private static final int FIRST = 1;

    private static final int LAST = 2;
    private static final int SECOND = 3;
    private static final int MIDDLE = 13;
    private static final int FERRY = 25;
    private static final int GULL = 26;
    private static final int WORDS = 27;
    private static final int DISC = 28;
    private static final int TIME = 29;
    private static final int BADGE = 30;
    private static final int WHEEL_ID = 31;

    private Crossing() {}

    static DemoFolder folder() {
        DemoFile ferry = piece("Ferry.png", FerryBanner.alone());
        DemoFile up = piece("Gull up.png", Gull.pose(0.25f));
        DemoFile down = piece("Gull down.png", Gull.pose(0.75f));
        DemoFile wheel = piece("Wheel.png", wheel());
        List<DemoFile> stills = List.of(piece("Dusk 1.png", coast(0.3f, 0)), piece("Dusk 2.png", coast(0.06f, 0.4f)));
        List<Edit> edits = List.of(
                new Tween(FIRST, NEW_FRAMES, 90, Easing.EVEN, true),
                new AddCutout("Ferry", cycle(1, ref(ferry, 148, 100)), sized(-42, 232, 0.55), FIRST),
                pose(FERRY, MIDDLE, sized(150, 232, 0.55)),
                pose(FERRY, LAST, sized(268, 262, 0.8)),
                leaves(FERRY, FIRST, Easing.SOFT_START),
                leaves(FERRY, MIDDLE, Easing.SOFT_END),
                new AddCutout("Gull", cycle(2, ref(up, 420, 320), ref(down, 420, 320)), sized(40, 150, 0.2), FIRST),
                pose(GULL, LAST, sized(300, 108, 0.28)),
                leaves(GULL, FIRST, Easing.SOFT_START),
                new AddCutout("Words", words("Last ferry at six", Typeface.HAND, 46), Pose.at(160, 52), FIRST),
                new LayCutouts(List.of(WORDS), false, Blend.NORMAL, new Shadow(0, 2, 3, "101830", 0.7)),
                new AddMotion(List.of(WORDS), SECOND + 1, SECOND + 14, new Motion.Letters(false)),
                new AddCutout("Disc", disc(), Pose.at(426, 270), FIRST),
                new AddCutout("Time", words("18.00", Typeface.PLAIN, 19), Pose.at(426, 270), FIRST),
                new GroupCutouts(List.of(DISC, TIME), "Badge", FIRST),
                new AddMotion(List.of(BADGE), SECOND, SECOND + 7, new Motion.Slide(Motion.Side.RIGHT, false)),
                new AddMotion(List.of(BADGE), SECOND, SECOND + 7, new Motion.Fade(false)),
                new AddMotion(List.of(BADGE), SECOND + 10, SECOND + 20, new Motion.Blink(2, 1, 3)),
                new AddCutout("Wheel", cycle(1, ref(wheel, WHEEL, WHEEL)), Pose.at(52, 268), FIRST),
                new AddMotion(List.of(WHEEL_ID), FIRST, LAST, new Motion.Spin(3)),
                new SetBorder(new Border(6, "1e2a32", 16)),
                new SetDelay(List.of(LAST), 1200),
                new SetDelivery(WIDTH, 128, Dither.SIERRA_LITE, ""));
        return new DemoFolder("The evening crossing", stills, List.of(ferry, up, down, wheel), 90, edits);
    }

    private static DemoFile piece(String name, BufferedImage image) {
        return new DemoFile(name, Files.png(image));
    }

    private static PictureRef ref(DemoFile piece, int width, int height) {
        return new PictureRef(ContentName.of(piece.bytes()), new Size(width, height));
    }

    private static Cycle cycle(int every, PictureRef... pictures) {
        return Cycle.dealt(List.of(pictures), every);
    }

    private static Words words(String text, Typeface typeface, int size) {
        return Words.of(text, typeface, Typeface.Weight.BOLD, size, "fffdf9", Align.CENTER);
    }

    private static Shape disc() {
        return new Shape(Shape.Form.ELLIPSE, 66, 66, 5, 0, new Fill("d9553b", "8f2c1a", 90), 3, "fffdf9");
    }

    private static Pose sized(double x, double y, double scale) {
        return Pose.at(x, y).withScale(scale, scale);
    }

    private static Edit pose(int cutout, int frame, Pose pose) {
        return new SetPoses(List.of(new Placed(cutout, pose)), frame, Scope.HERE);
    }

    private static Edit leaves(int cutout, int frame, Easing leaves) {
        return new SetLeaves(List.of(new Cell(cutout, frame)), leaves);
    }

    private static BufferedImage coast(float day, float moment) {
        return new Coast(WIDTH, HEIGHT, day, moment).draw();
    }

    /** A ship's wheel of three spokes, one of them red, so that turning by thirds is seen. */
    private static BufferedImage wheel() {
        BufferedImage image = new BufferedImage(WHEEL, WHEEL, BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        pen.translate(WHEEL / 2.0, WHEEL / 2.0);
        for (int spoke = 0; spoke < 3; spoke++) {
            line(pen, 34, 8, INK);
            line(pen, 33, 5, spoke == 0 ? RED : OAK);
            pen.rotate(2 * Math.PI / 3);
        }
        ring(pen, 22, 9, INK);
        ring(pen, 22, 6, OAK);
        pen.setColor(INK);
        pen.fill(new Ellipse2D.Double(-6, -6, 12, 12));
        pen.dispose();
        return image;
    }

    private static void line(Graphics2D pen, double length, float thick, Color color) {
        pen.setColor(color);
        pen.setStroke(new BasicStroke(thick, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        pen.draw(new Line2D.Double(0, 0, 0, -length + thick / 2));
    }

    private static void ring(Graphics2D pen, double radius, float thick, Color color) {
        pen.setColor(color);
        pen.setStroke(new BasicStroke(thick));
        pen.draw(new Ellipse2D.Double(-radius, -radius, 2 * radius, 2 * radius));
    }
}

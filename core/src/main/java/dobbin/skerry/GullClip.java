package dobbin.skerry;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.stream.IntStream;

/** The gull over the point, as a clip would show it: its wings come around every twelve pictures. */
final class GullClip {
    private static final int PICTURES = 60;
    private static final int AROUND = 12;
    private static final int WIDTH = 640;
    private static final int HEIGHT = 360;

    private GullClip() {}

    static List<DemoFile> pictures() {
        BufferedImage coast = new Coast(WIDTH, HEIGHT, 0.55f, 1.4f).draw();
        return IntStream.range(0, PICTURES)
                .parallel()
                .mapToObj(i -> new DemoFile("Gull clip " + (i + 1) + ".jpg", Files.jpeg(picture(coast, i))))
                .toList();
    }

    private static BufferedImage picture(BufferedImage coast, int number) {
        float beat = number % AROUND / (float) AROUND;
        BufferedImage picture = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = picture.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        pen.drawImage(coast, 0, 0, null);
        BufferedImage gull = Gull.pose(beat);
        int x = 60 + (int) Math.round(10 * Math.cos(2 * Math.PI * beat));
        pen.drawImage(gull, x, 20, gull.getWidth() / 2, gull.getHeight() / 2, null);
        pen.dispose();
        return picture;
    }
}

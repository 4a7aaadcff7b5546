package dobbin.skerry;

import dobbin.raster.Affine;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.stream.IntStream;

/** Dusk at the point, photographed with one hand: each photo is shifted, turned and nearer or farther, and clouds drift. */
final class HandHeld {
    private static final int PHOTOS = 8;
    private static final int WIDTH = 960;
    private static final int HEIGHT = 640;
    private static final int MARGIN = 90;
    private static final double MOST_SHIFT = 30;
    private static final double MOST_TURN = 3;
    private static final double MOST_ZOOM = 0.03;

    private HandHeld() {}

    static List<DemoFile> files() {
        return IntStream.rangeClosed(1, PHOTOS)
                .parallel()
                .mapToObj(number -> new DemoFile("Dusk by hand " + number + ".jpg", Files.jpeg(photo(number))))
                .toList();
    }

    private static BufferedImage photo(int number) {
        BufferedImage coast =
                new Coast(WIDTH + 2 * MARGIN, HEIGHT + 2 * MARGIN, 0.30f + 0.006f * number, 0.4f * number).draw();
        double zoom = 1 + MOST_ZOOM * hand(number, 0);
        Affine camera = Affine.shift(-coast.getWidth() / 2.0, -coast.getHeight() / 2.0)
                .then(Affine.scale(zoom, zoom))
                .then(Affine.turn(MOST_TURN * hand(number, 1)))
                .then(Affine.shift(
                        WIDTH / 2.0 + MOST_SHIFT * hand(number, 2), HEIGHT / 2.0 + MOST_SHIFT * hand(number, 3)));
        BufferedImage photo = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = photo.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        pen.drawImage(coast, camera.toJava(), null);
        pen.dispose();
        return photo;
    }

    /** @return how a hand shakes, from -1 to 1 */
    private static double hand(int number, int axis) {
        return 2 * Noise.at(number, axis, 83) - 1;
    }
}

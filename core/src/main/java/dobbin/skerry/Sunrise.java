package dobbin.skerry;

import java.awt.image.BufferedImage;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Sunrise over Skerry Point, photographed by hand: grain, a little shake, and one still saved at another size. */
final class Sunrise {
    private static final int FRAMES = 24;
    private static final int ODD_ONE = 17;
    private static final int WIDTH = 960;
    private static final int HEIGHT = 640;
    private static final int SHAKE = 3;

    private Sunrise() {}

    /** @return names without leading zeros, in the order a plain sort gives them: 1, 10, 11, 2 */
    static List<DemoFile> files() {
        return IntStream.rangeClosed(1, FRAMES)
                .parallel()
                .mapToObj(Sunrise::file)
                .sorted(Comparator.comparing(DemoFile::name))
                .toList();
    }

    private static DemoFile file(int number) {
        BufferedImage still = number == ODD_ONE ? still(number, 800, 600) : still(number, WIDTH, HEIGHT);
        return new DemoFile("Sunrise " + number + ".jpg", Files.jpeg(still));
    }

    static BufferedImage still(int number, int width, int height) {
        float t = (number - 1) / (float) (FRAMES - 1);
        Coast coast = new Coast(width + 2 * SHAKE, height + 2 * SHAKE, 0.04f + 0.80f * t, 6 * t);
        int shakeX = Math.round(2 * SHAKE * Noise.at(number, 0, 71));
        int shakeY = Math.round(2 * SHAKE * Noise.at(number, 1, 71));
        return grained(coast.draw().getSubimage(shakeX, shakeY, width, height), number);
    }

    private static BufferedImage grained(BufferedImage clean, int seed) {
        BufferedImage grained = new BufferedImage(clean.getWidth(), clean.getHeight(), BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < clean.getHeight(); y++) {
            for (int x = 0; x < clean.getWidth(); x++) {
                int rgb = clean.getRGB(x, y);
                float grain = 3.2f * Noise.grain(x, y, seed);
                grained.setRGB(
                        x, y, added(rgb >> 16, grain) << 16 | added(rgb >> 8, grain) << 8 | added(rgb, grain * 1.3f));
            }
        }
        return grained;
    }

    private static int added(int value, float grain) {
        return Math.max(0, Math.min(255, Math.round((value & 0xFF) + grain)));
    }
}

package dobbin.skerry;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;

/** The gull's poses on one sheet of paper, as they came out of a sketchbook: in rows, none quite in line. */
final class GullPlate {
    private static final int POSES = 10;
    private static final int COLUMNS = 4;
    private static final int CELL_WIDTH = 300;
    private static final int CELL_HEIGHT = 250;
    private static final double SCALE = 0.62;
    private static final int JITTER = 14;
    private static final Color PAPER = new Color(0xF6F1E7);

    private GullPlate() {}

    static DemoFile file() {
        int rows = (POSES + COLUMNS - 1) / COLUMNS;
        BufferedImage plate = new BufferedImage(COLUMNS * CELL_WIDTH, rows * CELL_HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = plate.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        pen.setColor(PAPER);
        pen.fillRect(0, 0, plate.getWidth(), plate.getHeight());
        for (int i = 0; i < POSES; i++) {
            BufferedImage pose = Gull.pose(i / (float) POSES);
            int width = (int) Math.round(pose.getWidth() * SCALE);
            int height = (int) Math.round(pose.getHeight() * SCALE);
            int x = i % COLUMNS * CELL_WIDTH + (CELL_WIDTH - width) / 2 + jitter(i, 0);
            int y = i / COLUMNS * CELL_HEIGHT + (CELL_HEIGHT - height) / 2 + jitter(i, 1);
            pen.drawImage(pose, x, y, width, height, null);
        }
        pen.dispose();
        return new DemoFile("Gull plate.png", Files.png(plate));
    }

    private static int jitter(int pose, int axis) {
        return Math.round(2 * JITTER * Noise.at(pose, axis, 97) - JITTER);
    }
}

package dobbin.e2e;

import dobbin.raster.Size;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;

/** Photographs as cameras make them: large, and not even anywhere. */
final class Photos {
    private static final int AFTER_SIGN = 2;

    private Photos() {}

    static byte[] jpeg(Size size) throws IOException {
        BufferedImage image = new BufferedImage(size.width(), size.height(), BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < size.height(); y++) {
            for (int x = 0; x < size.width(); x++) {
                int wave = (int) (40 * Math.sin(x / 37.0) + 40 * Math.cos(y / 23.0)) + (x * 31 ^ y * 17) % 23;
                image.setRGB(x, y, (120 + wave) << 16 | (130 + wave / 2) << 8 | 90 + y * 100 / size.height());
            }
        }
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", file);
        return file.toByteArray();
    }

    /** @return the same picture as another file: with a comment */
    static byte[] another(byte[] jpeg, int number) {
        byte[] comment = String.valueOf(number).getBytes(StandardCharsets.US_ASCII);
        return ByteBuffer.allocate(jpeg.length + 4 + comment.length)
                .put(jpeg, 0, AFTER_SIGN)
                .putShort((short) 0xFFFE)
                .putShort((short) (2 + comment.length))
                .put(comment)
                .put(jpeg, AFTER_SIGN, jpeg.length - AFTER_SIGN)
                .array();
    }
}

package dobbin.still;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.IndexColorModel;

/** A decoder's image as a {@link Raster}: fast ways for the layouts decoders give, one way for all others. */
final class Pixels {
    private static final int OPAQUE = 0xFF000000;

    private Pixels() {}

    static Raster of(BufferedImage image) {
        Size size = new Size(image.getWidth(), image.getHeight());
        int[] argb = switch (image.getType()) {
            case BufferedImage.TYPE_3BYTE_BGR -> fromBgr(bytes(image), size);
            case BufferedImage.TYPE_4BYTE_ABGR -> fromAbgr(bytes(image), size);
            default -> isGray(image) ? fromGray(image, size) : converted(image, size);
        };
        return Raster.of(size, argb);
    }

    private static int[] fromBgr(byte[] bgr, Size size) {
        int[] argb = new int[Math.toIntExact(size.area())];
        for (int out = 0, in = 0; out < argb.length; out++, in += 3) {
            argb[out] = OPAQUE | (bgr[in + 2] & 0xFF) << 16 | (bgr[in + 1] & 0xFF) << 8 | bgr[in] & 0xFF;
        }
        return argb;
    }

    private static int[] fromAbgr(byte[] abgr, Size size) {
        int[] argb = new int[Math.toIntExact(size.area())];
        for (int out = 0, in = 0; out < argb.length; out++, in += 4) {
            argb[out] = (abgr[in] & 0xFF) << 24
                    | (abgr[in + 3] & 0xFF) << 16
                    | (abgr[in + 2] & 0xFF) << 8
                    | abgr[in + 1] & 0xFF;
        }
        return argb;
    }

    /** Java2D takes gray samples for linear light and would brighten them; files mean them as sRGB. */
    private static int[] fromGray(BufferedImage image, Size size) {
        var samples = image.getRaster();
        boolean hasAlpha = samples.getNumBands() == 2;
        int toByte = image.getColorModel().getComponentSize(0) - 8;
        int[] argb = new int[Math.toIntExact(size.area())];
        int[] row = new int[size.width() * samples.getNumBands()];
        for (int y = 0, out = 0; y < size.height(); y++) {
            samples.getPixels(0, y, size.width(), 1, row);
            for (int in = 0; in < row.length; out++) {
                int gray = row[in++] >> toByte;
                int alpha = hasAlpha ? row[in++] >> toByte : 255;
                argb[out] = alpha << 24 | gray << 16 | gray << 8 | gray;
            }
        }
        return argb;
    }

    private static int[] converted(BufferedImage image, Size size) {
        int[] argb = new int[Math.toIntExact(size.area())];
        for (int y = 0; y < size.height(); y++) {
            image.getRGB(0, y, size.width(), 1, argb, y * size.width(), size.width());
        }
        return argb;
    }

    private static boolean isGray(BufferedImage image) {
        var model = image.getColorModel();
        return !(model instanceof IndexColorModel)
                && model.getColorSpace().getType() == ColorSpace.TYPE_GRAY
                && model.getComponentSize(0) >= 8;
    }

    private static byte[] bytes(BufferedImage image) {
        return ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
    }
}

package dobbin.still;

import dobbin.raster.PixelRows;
import dobbin.raster.Size;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.IndexColorModel;
import java.awt.image.WritableRaster;

/** A decoder's image as rows of pixels: fast ways for the layouts decoders give, one way for all others. */
final class Pixels {
    private static final int OPAQUE = 0xFF000000;

    private Pixels() {}

    /** @param checkpoint asked for each row */
    static PixelRows of(BufferedImage image, Checkpoint checkpoint) {
        boolean plain = image.getRaster().getParent() == null;
        return switch (image.getType()) {
            case BufferedImage.TYPE_3BYTE_BGR -> plain ? bgr(image, checkpoint) : converted(image, checkpoint);
            case BufferedImage.TYPE_4BYTE_ABGR -> plain ? abgr(image, checkpoint) : converted(image, checkpoint);
            default -> {
                byte[] rgb = RgbImage.samples(image);
                yield rgb != null
                        ? rgb(image, rgb, checkpoint)
                        : isGray(image) ? gray(image, checkpoint) : converted(image, checkpoint);
            }
        };
    }

    private interface Row {
        void read(int y, int[] argb);
    }

    private record Rows(Size size, boolean isOpaque, Row row, Checkpoint checkpoint) implements PixelRows {
        static Rows of(BufferedImage image, Checkpoint checkpoint, Row row) {
            Size size = new Size(image.getWidth(), image.getHeight());
            return new Rows(size, !image.getColorModel().hasAlpha(), row, checkpoint);
        }

        @Override
        public void read(int y, int[] argb) {
            checkpoint.check();
            row.read(y, argb);
        }
    }

    private static PixelRows rgb(BufferedImage image, byte[] rgb, Checkpoint checkpoint) {
        int stride = 3 * image.getWidth();
        return Rows.of(image, checkpoint, (y, argb) -> {
            for (int x = 0, in = y * stride; x < argb.length; x++, in += 3) {
                argb[x] = OPAQUE | (rgb[in] & 0xFF) << 16 | (rgb[in + 1] & 0xFF) << 8 | rgb[in + 2] & 0xFF;
            }
        });
    }

    private static PixelRows bgr(BufferedImage image, Checkpoint checkpoint) {
        byte[] bgr = bytes(image);
        int stride = 3 * image.getWidth();
        return Rows.of(image, checkpoint, (y, argb) -> {
            for (int x = 0, in = y * stride; x < argb.length; x++, in += 3) {
                argb[x] = OPAQUE | (bgr[in + 2] & 0xFF) << 16 | (bgr[in + 1] & 0xFF) << 8 | bgr[in] & 0xFF;
            }
        });
    }

    private static PixelRows abgr(BufferedImage image, Checkpoint checkpoint) {
        byte[] abgr = bytes(image);
        int stride = 4 * image.getWidth();
        return Rows.of(image, checkpoint, (y, argb) -> {
            for (int x = 0, in = y * stride; x < argb.length; x++, in += 4) {
                argb[x] = (abgr[in] & 0xFF) << 24
                        | (abgr[in + 3] & 0xFF) << 16
                        | (abgr[in + 2] & 0xFF) << 8
                        | abgr[in + 1] & 0xFF;
            }
        });
    }

    /** Java2D takes gray samples for linear light and would brighten them; files mean them as sRGB. */
    private static PixelRows gray(BufferedImage image, Checkpoint checkpoint) {
        WritableRaster samples = image.getRaster();
        boolean hasAlpha = samples.getNumBands() == 2;
        int toByte = image.getColorModel().getComponentSize(0) - 8;
        int[] row = new int[image.getWidth() * samples.getNumBands()];
        return Rows.of(image, checkpoint, (y, argb) -> {
            samples.getPixels(0, y, image.getWidth(), 1, row);
            for (int x = 0, in = 0; x < argb.length; x++) {
                int gray = row[in++] >> toByte;
                int alpha = hasAlpha ? row[in++] >> toByte : 255;
                argb[x] = alpha << 24 | gray << 16 | gray << 8 | gray;
            }
        });
    }

    private static PixelRows converted(BufferedImage image, Checkpoint checkpoint) {
        return Rows.of(
                image, checkpoint, (y, argb) -> image.getRGB(0, y, image.getWidth(), 1, argb, 0, image.getWidth()));
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

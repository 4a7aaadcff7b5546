package dobbin.still;

import java.awt.Point;
import java.awt.Transparency;
import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.ComponentColorModel;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferByte;
import java.awt.image.PixelInterleavedSampleModel;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.util.Arrays;

/**
 * An image that takes rows as the JPEG decoder gives them: red, green and blue, a byte each. The image that the decoder
 * would make by itself has them the other way round and is filled byte by byte, which takes longer than decoding.
 */
final class RgbImage {
    private static final int CHANNELS = 3;
    private static final int[] RED_GREEN_BLUE = {0, 1, 2};

    private RgbImage() {}

    static BufferedImage of(int width, int height) {
        ColorSpace sRgb = ColorSpace.getInstance(ColorSpace.CS_sRGB);
        var model = new ComponentColorModel(sRgb, false, false, Transparency.OPAQUE, DataBuffer.TYPE_BYTE);
        return new BufferedImage(model, new Rows(width, height), false, null);
    }

    /** @return its samples row by row, or null where it is another image */
    static byte[] samples(BufferedImage image) {
        return image.getRaster() instanceof Rows rows ? rows.samples : null;
    }

    private static final class Rows extends WritableRaster {
        private final byte[] samples;

        Rows(int width, int height) {
            this(width, height, new byte[Math.multiplyExact(CHANNELS, Math.multiplyExact(width, height))]);
        }

        private Rows(int width, int height, byte[] samples) {
            super(
                    new PixelInterleavedSampleModel(
                            DataBuffer.TYPE_BYTE, width, height, CHANNELS, CHANNELS * width, RED_GREEN_BLUE),
                    new DataBufferByte(samples, samples.length),
                    new Point());
            this.samples = samples;
        }

        @Override
        public void setRect(int x, int y, Raster source) {
            if (x == 0 && source.getHeight() == 1 && source.getWidth() == width && isAlike(source)) {
                byte[] row = ((DataBufferByte) source.getDataBuffer()).getData();
                System.arraycopy(row, 0, samples, CHANNELS * width * y, CHANNELS * width);
            } else {
                super.setRect(x, y, source);
            }
        }

        private boolean isAlike(Raster source) {
            return source.getParent() == null
                    && source.getSampleModel() instanceof PixelInterleavedSampleModel model
                    && source.getDataBuffer() instanceof DataBufferByte
                    && model.getPixelStride() == CHANNELS
                    && Arrays.equals(model.getBandOffsets(), RED_GREEN_BLUE);
        }
    }
}

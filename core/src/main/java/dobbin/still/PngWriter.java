package dobbin.still;

import dobbin.raster.Raster;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;

/** Writes a raster as a PNG, pixel for pixel. */
public final class PngWriter {
    /** Deflate's lightest setting: these files are for the working day, and writing time is what people wait for. */
    private static final float LIGHT_COMPRESSION = 0.9f;

    private PngWriter() {}

    /** @param out receives the file and stays open */
    public static void write(Raster raster, OutputStream out) throws IOException {
        BufferedImage image = toImage(raster);
        ImageWriter writer = ImageIO.getImageWriters(ImageTypeSpecifier.createFromRenderedImage(image), "png")
                .next();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(LIGHT_COMPRESSION);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, null), how);
        } finally {
            writer.dispose();
        }
    }

    /** @return the file */
    public static byte[] bytes(Raster raster) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            write(raster, out);
        } catch (IOException e) {
            throw new UncheckedIOException("Memory does not fail to be written to", e);
        }
        return out.toByteArray();
    }

    private static BufferedImage toImage(Raster raster) {
        int type = raster.isOpaque() ? BufferedImage.TYPE_INT_RGB : BufferedImage.TYPE_INT_ARGB;
        BufferedImage image = new BufferedImage(raster.width(), raster.height(), type);
        image.getRaster().setDataElements(0, 0, raster.width(), raster.height(), raster.argb());
        return image;
    }
}

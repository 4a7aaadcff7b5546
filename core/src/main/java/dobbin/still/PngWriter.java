package dobbin.still;

import dobbin.raster.Raster;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
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

    /** Where the signature (8 bytes) and the header chunk (25) end. */
    private static final int AFTER_HEADER = 33;

    private static final int CHUNK_FRAME_BYTES = 12;

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

    /**
     * @param comment a few words of ASCII that become part of the file
     * @return the file
     */
    public static byte[] bytes(Raster raster, String comment) {
        byte[] png = bytes(raster);
        byte[] text = ("Comment\0" + comment).getBytes(StandardCharsets.ISO_8859_1);
        ByteBuffer file = ByteBuffer.allocate(png.length + CHUNK_FRAME_BYTES + text.length);
        file.put(png, 0, AFTER_HEADER);
        // A chunk: length, type, data, checksum of type and data (PNG specification, 5.3).
        byte[] typed = new byte[4 + text.length];
        System.arraycopy("tEXt".getBytes(StandardCharsets.ISO_8859_1), 0, typed, 0, 4);
        System.arraycopy(text, 0, typed, 4, text.length);
        CRC32 checksum = new CRC32();
        checksum.update(typed);
        file.putInt(text.length).put(typed).putInt((int) checksum.getValue());
        return file.put(png, AFTER_HEADER, png.length - AFTER_HEADER).array();
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

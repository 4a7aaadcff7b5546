package dobbin.still;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import dobbin.raster.Orientation;
import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** Reads one still picture of any kind that ImageIO and its plug-ins know. */
public final class StillReader {
    /** The longer side of the pictures Dobbin works on; larger ones are reduced to it once, when they are read. */
    public static final int WORKING_SIDE = 1600;

    static {
        ImageIO.setUseCache(false);
    }

    private StillReader() {}

    /**
     * @param raster upright, its longer side at most {@link #WORKING_SIDE}
     * @param size of the upright picture as it was in the file
     */
    public record StillPicture(Raster raster, Size size) {}

    /** @return the size of the picture as stored, read from the file's head only */
    public static Size storedSize(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        try (ImageInputStream in = open(file, limits)) {
            ImageReader reader = readerOf(in);
            try {
                return new Size(reader.getWidth(0), reader.getHeight(0));
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            throw damaged(e);
        }
    }

    /** @throws UnreadablePicture where the file is no picture, is damaged, or passes {@code limits} */
    public static StillPicture read(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        FileKind kind = FileKind.of(file);
        Size stored = storedSize(file, limits);
        if (stored.area() > limits.maxPixels()) {
            throw new UnreadablePicture("is " + stored + " pixels; at most " + limits.maxPixels() / 1_000_000
                    + " megapixels can be read. Make it smaller first");
        }
        if (kind == FileKind.JPEG && JpegEnd.isMissing(file)) {
            throw new UnreadablePicture("breaks off in the middle. Copy or export it again");
        }
        Raster decoded = Pixels.of(decode(file, limits));
        Orientation orientation = kind == FileKind.JPEG ? orientationOf(file) : Orientation.UPRIGHT;
        Raster working = Resampler.resize(decoded, decoded.size().reducedTo(WORKING_SIDE));
        return new StillPicture(orientation.upright(working), orientation.upright(stored));
    }

    private static BufferedImage decode(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        try (ImageInputStream in = open(file, limits)) {
            ImageReader reader = readerOf(in);
            try {
                return reader.read(0);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            throw damaged(e);
        }
    }

    private static ImageInputStream open(byte[] file, DecodeLimits limits) throws UnreadablePicture, IOException {
        if (file.length == 0) {
            throw new UnreadablePicture("is empty");
        }
        if (file.length > limits.maxBytes()) {
            throw new UnreadablePicture("has " + file.length / 1_000_000 + " MB; at most "
                    + limits.maxBytes() / 1_000_000 + " MB can be read. Make it smaller first");
        }
        return ImageIO.createImageInputStream(new ByteArrayInputStream(file));
    }

    private static ImageReader readerOf(ImageInputStream in) throws UnreadablePicture {
        Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
        if (!readers.hasNext()) {
            throw new UnreadablePicture("is not a picture that can be read here (JPEG, PNG, GIF, WebP or BMP)");
        }
        ImageReader reader = readers.next();
        reader.setInput(in, true, true);
        return reader;
    }

    private static UnreadablePicture damaged(Exception cause) {
        return new UnreadablePicture("is damaged and cannot be read. Copy or export it again", cause);
    }

    private static Orientation orientationOf(byte[] file) {
        try {
            ExifIFD0Directory exif = ImageMetadataReader.readMetadata(new ByteArrayInputStream(file))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer tag = exif == null ? null : exif.getInteger(ExifDirectoryBase.TAG_ORIENTATION);
            return tag == null ? Orientation.UPRIGHT : Orientation.ofExif(tag);
        } catch (ImageProcessingException | IOException e) {
            // A picture with unreadable notes beside it is still a picture; it just lies as it is stored.
            return Orientation.UPRIGHT;
        }
    }
}

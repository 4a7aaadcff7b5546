package dobbin.still;

import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import dobbin.raster.Orientation;
import dobbin.raster.PixelRows;
import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CancellationException;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.stream.ImageInputStream;

/** Reads one still picture of any kind that ImageIO and its plug-ins know. */
public final class StillReader {
    /** The longer side of the pictures Dobbin works on; larger ones are reduced to it once, when they are read. */
    public static final int WORKING_SIDE = 1600;

    /** For the working copy, and what is made of it. */
    private static final int RESULT_BYTES_A_PIXEL = 12;

    private static final int UNKNOWN_BYTES_A_PIXEL = 8;

    /** What a picture is made of. Its profile is read here, as far as that has a sensible size. */
    private static final Set<String> OF_A_PNG = Set.of("IHDR", "PLTE", "tRNS", "IDAT", "IEND");

    private StillReader() {}

    /**
     * @param raster upright, its longer side at most {@link #WORKING_SIDE}
     * @param size of the upright picture as it was in the file
     */
    public record StillPicture(Raster raster, Size size) {}

    /**
     * What a file says of its picture before it is read.
     *
     * @param size as stored
     * @param bytes of memory that reading it takes, about, the file not counted
     */
    public record Head(Size size, long bytes) {}

    /** Reads the head of the file's first page only. */
    public static Head head(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        return head(file, 0, limits);
    }

    /** Reads the head of one page only. @param page of the file, from 0 */
    public static Head head(byte[] file, int page, DecodeLimits limits) throws UnreadablePicture {
        return reading(file, limits, Checkpoint.NONE, reader -> {
            Size size = new Size(reader.getWidth(page), reader.getHeight(page));
            long working = Math.min(size.area(), (long) WORKING_SIDE * WORKING_SIDE);
            return new Head(
                    size,
                    size.area() * bytesOfAPixel(FileKind.of(file), page, reader)
                            + working * RESULT_BYTES_A_PIXEL
                            + (withoutNotes(file) == file ? 0 : file.length));
        });
    }

    public static StillPicture read(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        return read(file, limits, Checkpoint.NONE);
    }

    /**
     * @throws UnreadablePicture where the file is no picture, is damaged, or passes {@code limits}
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}
     */
    public static StillPicture read(byte[] file, DecodeLimits limits, Checkpoint checkpoint) throws UnreadablePicture {
        return read(file, 0, limits, checkpoint);
    }

    /** @return how many pictures the file holds, each a still of its own */
    public static int pages(byte[] file) {
        return FileKind.of(file) == FileKind.TIFF ? TiffPages.count(file) : 1;
    }

    /**
     * @param page of the file, from 0
     * @throws UnreadablePicture where that is no picture, is damaged, or passes {@code limits}
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}
     */
    public static StillPicture read(byte[] file, int page, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        FileKind kind = FileKind.of(file);
        Size stored = reading(
                file, limits, Checkpoint.NONE, reader -> new Size(reader.getWidth(page), reader.getHeight(page)));
        DecodeLimits.checkSides(stored);
        if (stored.area() > limits.maxPixels()) {
            throw tooLarge(stored, limits);
        }
        if (kind == FileKind.JPEG && JpegEnd.isMissing(file)) {
            throw new UnreadablePicture("breaks off in the middle. Copy or export it again");
        }
        PixelRows decoded =
                Pixels.of(reading(file, limits, checkpoint, reader -> decoded(kind, page, reader)), checkpoint);
        Orientation orientation = orientationOf(file, kind, page);
        Raster reduced = Resampler.resize(decoded, stored.reducedTo(WORKING_SIDE));
        Raster working = inSrgb(file, kind, reduced);
        return new StillPicture(orientation.upright(working), orientation.upright(stored));
    }

    /**
     * Reads a picture with all its pixels, upright.
     *
     * @throws UnreadablePicture where the file is no picture, is damaged, or passes {@code limits}
     */
    public static Raster readWhole(byte[] file, DecodeLimits limits, Checkpoint checkpoint) throws UnreadablePicture {
        FileKind kind = FileKind.of(file);
        Size size = head(file, limits).size();
        if (size.area() > limits.maxPixels()) {
            throw tooLarge(size, limits);
        }
        BufferedImage image = reading(file, limits, checkpoint, reader -> decoded(kind, 0, reader));
        return orientationOf(file, kind, 0)
                .upright(inSrgb(file, kind, Pixels.of(image, checkpoint).raster()));
    }

    private static Raster inSrgb(byte[] file, FileKind kind, Raster picture) {
        Optional<ColorProfile> profile = ColorProfile.of(file, kind);
        if (profile.isPresent()) {
            return profile.get().toSrgb(picture);
        }
        Optional<PngColors> colors = kind == FileKind.PNG ? PngColors.of(file) : Optional.empty();
        return colors.map(each -> each.toSrgb(picture)).orElse(picture);
    }

    private static BufferedImage decoded(FileKind kind, int page, ImageReader reader) throws IOException {
        if (kind == FileKind.JPEG
                && reader.getImageTypes(0).next().getBufferedImageType() == BufferedImage.TYPE_3BYTE_BGR) {
            ImageReadParam how = reader.getDefaultReadParam();
            how.setDestination(RgbImage.of(reader.getWidth(0), reader.getHeight(0)));
            return reader.read(0, how);
        }
        return reader.read(page);
    }

    /** WebP's reader works in whole numbers beside its samples; a JPEG in four inks is turned to three colors after. */
    private static long bytesOfAPixel(FileKind kind, int page, ImageReader reader) {
        if (kind == FileKind.WEBP) {
            return 12;
        }
        ImageTypeSpecifier type = typeOf(page, reader);
        if (type == null) {
            return UNKNOWN_BYTES_A_PIXEL;
        }
        int bits = 0;
        for (int band = 0; band < type.getNumBands(); band++) {
            bits += type.getBitsPerBand(band);
        }
        return kind == FileKind.JPEG ? (type.getNumBands() == 4 ? 8 : 3) : Math.max(1, (bits + 7) / 8);
    }

    /** A file may be sound enough to tell its size and no more. */
    private static ImageTypeSpecifier typeOf(int page, ImageReader reader) {
        try {
            return reader.getRawImageType(page);
        } catch (IOException | RuntimeException e) {
            return null;
        }
    }

    private interface Reading<V> {
        V with(ImageReader reader) throws IOException;
    }

    private static <V> V reading(byte[] file, DecodeLimits limits, Checkpoint checkpoint, Reading<V> reading)
            throws UnreadablePicture {
        if (file.length == 0) {
            throw new UnreadablePicture("is empty");
        }
        if (file.length > limits.maxBytes()) {
            throw new UnreadablePicture("has " + file.length / 1_000_000 + " MB; at most "
                    + limits.maxBytes() / 1_000_000 + " MB can be read. Make it smaller first");
        }
        try (ImageInputStream in = new WatchedStream(withoutNotes(file), checkpoint)) {
            ImageReader reader = Readers.of(FileKind.of(file), in)
                    .orElseThrow(() -> new UnreadablePicture(
                            "is not a picture that can be read here (JPEG, PNG, GIF, WebP, TIFF, BMP or SVG)"));
            try {
                return reading.with(reader);
            } finally {
                reader.dispose();
            }
        } catch (CancellationException e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            for (Throwable cause = e; cause != null; cause = cause.getCause()) {
                if (cause instanceof OutOfMemoryError outOfMemory) {
                    throw outOfMemory;
                }
                if (cause instanceof CancellationException ended) {
                    throw ended;
                }
            }
            throw damaged(e);
        }
    }

    private static byte[] withoutNotes(byte[] file) {
        return FileKind.of(file) == FileKind.PNG ? PngChunks.keeping(OF_A_PNG, file) : file;
    }

    private static UnreadablePicture tooLarge(Size size, DecodeLimits limits) {
        return new UnreadablePicture("is " + size + " pixels; at most " + limits.maxPixels() / 1_000_000
                + " megapixels can be read. Make it smaller first");
    }

    private static UnreadablePicture damaged(Exception cause) {
        return new UnreadablePicture("is damaged and cannot be read. Copy or export it again", cause);
    }

    private static Orientation orientationOf(byte[] file, FileKind kind, int page) {
        if (kind == FileKind.TIFF) {
            return TiffPages.orientation(file, page);
        }
        if (kind != FileKind.JPEG) {
            return Orientation.UPRIGHT;
        }
        try {
            ExifIFD0Directory exif = Notes.of(file).getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer tag = exif == null ? null : exif.getInteger(ExifDirectoryBase.TAG_ORIENTATION);
            return tag == null ? Orientation.UPRIGHT : Orientation.ofExif(tag);
        } catch (ImageProcessingException | IOException e) {
            // A picture with unreadable notes beside it is still a picture; it just lies as it is stored.
            return Orientation.UPRIGHT;
        }
    }
}

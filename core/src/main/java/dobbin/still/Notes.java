package dobbin.still;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.jpeg.JpegMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Set;

/** What a camera noted in a picture (Exif). Other notes are passed over: a packed one may be as large as somebody likes. */
final class Notes {
    private static final Set<String> OF_A_PNG = Set.of("IHDR", "eXIf", "IEND");

    private Notes() {}

    static Metadata of(byte[] file) throws ImageProcessingException, IOException {
        return switch (FileKind.of(file)) {
            case JPEG -> JpegMetadataReader.readMetadata(new ByteArrayInputStream(file), List.of(new ExifReader()));
            case PNG -> read(PngChunks.keeping(OF_A_PNG, file));
            default -> read(file);
        };
    }

    private static Metadata read(byte[] file) throws ImageProcessingException, IOException {
        return ImageMetadataReader.readMetadata(new ByteArrayInputStream(file), file.length);
    }
}

package dobbin.still;

import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import java.io.IOException;
import java.util.Date;
import java.util.TimeZone;

/** When a photo was taken, as its camera wrote it (Exif 2.32: {@code DateTimeOriginal}, its subseconds and its offset). */
public final class TakenTime {
    /** Time zone assumed for a camera's clock without an offset; photos of one camera still compare. */
    private static final TimeZone CAMERA = TimeZone.getTimeZone("UTC");

    private TakenTime() {}

    /** @return in milliseconds since 1970 began, or 0 where the file does not say */
    public static long of(byte[] file) {
        try {
            for (ExifSubIFDDirectory exif : Notes.of(file).getDirectoriesOfType(ExifSubIFDDirectory.class)) {
                Date original = exif.getDateOriginal(CAMERA);
                if (original != null) {
                    return Math.max(0, original.getTime());
                }
            }
            return 0;
        } catch (ImageProcessingException | IOException | RuntimeException e) {
            // What it was taken for is no reason not to read the picture.
            return 0;
        }
    }
}

package dobbin.gif;

import dobbin.raster.Size;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.stream.IntStream;

/** A loop that is encoded, with its delays, as a file. */
public final class GifFile {
    /** The longest that a stored frame can show, in hundredths of a second. */
    public static final int LONGEST_DELAY = 0xFFFF;

    private GifFile() {}

    /**
     * @param frames of {@link LoopEncoder}
     * @param hundredths how long each frame of the loop shows, in hundredths of a second; of merged ones at most 65535 in all
     */
    public static void write(
            OutputStream out, Size size, GifSettings settings, List<EncodedFrame> frames, int[] hundredths)
            throws IOException {
        GifWriter writer = new GifWriter(out);
        writer.header(size, settings.palette());
        writer.plays(settings.plays());
        if (!settings.comment().isEmpty()) {
            writer.comment(settings.comment());
        }
        for (EncodedFrame frame : frames) {
            int shown = IntStream.range(frame.first(), frame.first() + frame.frames())
                    .map(each -> hundredths[each])
                    .sum();
            writer.frame(frame.stored(), shown);
        }
        writer.trailer();
    }
}

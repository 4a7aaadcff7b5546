package dobbin.cli;

import dobbin.raster.Bounds;
import dobbin.slim.Delivered;
import dobbin.slim.FrameWeight;
import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;

/** What a file weighs frame by frame, and why, for people to read. */
final class FrameReport {
    private FrameReport() {}

    static void print(Delivered file, PrintWriter out) {
        out.println(palettes(file));
        out.printf(Locale.ROOT, "%9s %9s  %-22s %8s  %s%n", "frames", "bytes", "box", "drawn", "why");
        int frames = 0;
        List<FrameWeight> weights = FrameWeight.of(file);
        for (int i = 0; i < weights.size(); i++) {
            FrameWeight frame = weights.get(i);
            Bounds box = file.stored().get(i).stored().box();
            String range = frame.frames() == 1
                    ? String.valueOf(frame.first() + 1)
                    : frame.first() + 1 + "-" + (frame.first() + frame.frames());
            String where = box.width() + " x " + box.height() + " at " + box.left() + ", " + box.top();
            out.printf(
                    Locale.ROOT,
                    "%9s %,9d  %-22s %7.1f%%  %s%n",
                    range,
                    frame.bytes(),
                    where,
                    100 * frame.drawn(),
                    frame.why());
            frames += frame.bytes();
        }
        out.printf(Locale.ROOT, "%9s %,9d  header, palette and loop%n", "", file.bytes().length - frames);
        out.println(FrameWeight.advice(weights));
        out.flush();
    }

    private static String palettes(Delivered file) {
        String colors = file.colors() + " entries";
        if (file.lossless()) {
            return "Lossless, every color is kept: " + colors + ", nothing dithered and nothing left out.";
        }
        return file.palettes() == 1
                ? "One palette of " + colors + " for the loop."
                : file.palettes() + " palettes of up to " + colors + ": the colors change too much for one.";
    }
}

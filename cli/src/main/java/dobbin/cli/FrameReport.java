package dobbin.cli;

import dobbin.gif.Disposal;
import dobbin.gif.EncodedFrame;
import dobbin.raster.Bounds;
import dobbin.slim.Delivered;
import java.io.PrintWriter;

/** What a file weighs frame by frame, and why, for people to read. */
final class FrameReport {
    private FrameReport() {}

    static void print(Delivered file, PrintWriter out) {
        out.println(palettes(file));
        out.printf("%9s %9s  %-22s %8s  %s%n", "frames", "bytes", "box", "drawn", "why");
        int frames = 0;
        for (EncodedFrame frame : file.stored()) {
            Bounds box = frame.stored().box();
            String range = frame.frames() == 1
                    ? String.valueOf(frame.first() + 1)
                    : frame.first() + 1 + "-" + (frame.first() + frame.frames());
            String where = box.width() + " x " + box.height() + " at " + box.left() + ", " + box.top();
            out.printf(
                    "%9s %,9d  %-22s %7.1f%%  %s%n",
                    range,
                    frame.stored().bytes(),
                    where,
                    100.0 * frame.stored().drawn() / file.size().area(),
                    why(frame));
            frames += frame.stored().bytes();
        }
        out.printf("%9s %,9d  header, palette and loop%n", "", file.bytes().length - frames);
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

    private static String why(EncodedFrame frame) {
        StringBuilder why = new StringBuilder();
        if (frame.frames() > 1) {
            why.append(frame.frames()).append(" frames that look the same; ");
        }
        why.append(frame.first() == 0 ? "all of it is new" : "only what changed");
        if (frame.stored().own() != null) {
            why.append("; has its own palette");
        }
        if (frame.stored().disposal() == Disposal.CLEAR) {
            why.append("; cleared, since something vanishes after it");
        }
        if (frame.stored().disposal() == Disposal.PUT_BACK) {
            why.append("; put back, since what it covers comes again");
        }
        return why.toString();
    }
}

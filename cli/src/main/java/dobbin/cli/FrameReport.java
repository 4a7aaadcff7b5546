package dobbin.cli;

import dobbin.gif.Disposal;
import dobbin.gif.FrameWeight;
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
        for (FrameWeight weight : file.weights()) {
            Bounds box = weight.box();
            String range = weight.frames() == 1
                    ? String.valueOf(weight.first() + 1)
                    : weight.first() + 1 + "-" + (weight.first() + weight.frames());
            String where = box.width() + " x " + box.height() + " at " + box.left() + ", " + box.top();
            out.printf(
                    "%9s %,9d  %-22s %7.1f%%  %s%n",
                    range,
                    weight.bytes(),
                    where,
                    100.0 * weight.drawn() / file.size().area(),
                    why(weight));
            frames += weight.bytes();
        }
        out.printf("%9s %,9d  header, palette and loop%n", "", file.bytes().length - frames);
        out.flush();
    }

    private static String palettes(Delivered file) {
        String colors = file.colors() + " entries";
        if (file.exact()) {
            return "Every color is exact: " + colors + ", nothing dithered and nothing left out.";
        }
        return file.palettes() == 1
                ? "One palette of " + colors + " for the loop."
                : file.palettes() + " palettes of up to " + colors + ": the colors change too much for one.";
    }

    private static String why(FrameWeight weight) {
        StringBuilder why = new StringBuilder();
        if (weight.frames() > 1) {
            why.append(weight.frames()).append(" frames that look the same; ");
        }
        why.append(weight.first() == 0 ? "all of it is new" : "only what changed");
        if (weight.ownPalette()) {
            why.append("; has its own palette");
        }
        if (weight.disposal() == Disposal.CLEAR) {
            why.append("; cleared, since something vanishes after it");
        }
        if (weight.disposal() == Disposal.PUT_BACK) {
            why.append("; put back, since what it covers comes again");
        }
        return why.toString();
    }
}

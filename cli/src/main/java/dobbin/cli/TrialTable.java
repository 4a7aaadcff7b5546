package dobbin.cli;

import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Reel;
import dobbin.slim.Trial;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Settings that were tried, as comma-separated values: the table behind the chart. */
final class TrialTable {
    private static final String HEADER =
            "colors,dither,amount,tolerance,width,height,every,bytes,visible_error,worst_frame,worst_error";

    private TrialTable() {}

    static void write(List<Trial> trials, Reel reel, Path out) throws IOException {
        List<String> lines = new ArrayList<>(List.of(HEADER));
        trials.forEach(trial -> lines.add(line(trial, reel)));
        Files.write(out, lines);
    }

    private static String line(Trial trial, Reel reel) {
        Delivery how = trial.delivery();
        Size size = how.sizeOf(reel.canvas());
        return String.format(
                Locale.ROOT,
                "%d,%s,%d,%d,%d,%d,%d,%d,%.4f,%d,%.4f",
                how.colors(),
                DeliveryOptions.name(how.dither()),
                how.encoding().ditherAmount(),
                how.encoding().tolerance(),
                size.width(),
                size.height(),
                how.framing().every(),
                trial.bytes(),
                trial.error(),
                trial.looks().worstFrame() + 1,
                trial.looks().worstError());
    }
}

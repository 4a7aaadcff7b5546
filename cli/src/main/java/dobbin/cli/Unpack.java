package dobbin.cli;

import dobbin.gather.SeriesFile;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.Series;
import dobbin.still.UnreadablePicture;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** An animation or a drawing of layers to PNG stills, and what it says of time. */
@Command(
        name = "unpack",
        description =
                "Writes the frames of a GIF or an animated PNG, or the layers of an OpenRaster file, as PNG files, and frames.json.")
final class Unpack implements Callable<Integer> {
    private static final String TIMING = "frames.json";

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "IN", description = "the GIF, animated PNG or OpenRaster file to read")
    private Path file;

    @Parameters(paramLabel = "FOLDER", description = "where to write; made where it is missing")
    private Path folder;

    @Option(
            names = "--flattened",
            description = "lays the layers of an OpenRaster file over one another, as one picture")
    private boolean flattened;

    /** @param plays how often viewers play it in all, 0 for forever */
    private record Timing(int width, int height, int plays, List<FrameTiming> frames) {}

    private record FrameTiming(int delayMillis) {}

    @Override
    public Integer call() throws IOException, UnreadablePicture {
        Series series = SeriesFile.open(Files.readAllBytes(file), flattened, DecodeLimits.USUAL, Checkpoint.NONE);
        FrameFolder out = new FrameFolder(folder, TIMING);
        List<FrameTiming> frames = new ArrayList<>();
        for (Optional<Series.Shown> frame = series.next(); frame.isPresent(); frame = series.next()) {
            frames.add(new FrameTiming(frame.get().delayMillis()));
            out.add(frame.get().picture());
        }
        out.close(new Timing(
                series.size().width(), series.size().height(), series.plays().orElse(0), frames));
        Stream.concat(series.warnings().stream(), series.notes().stream())
                .forEach(note -> spec.commandLine().getErr().println("note: " + note));
        return 0;
    }
}

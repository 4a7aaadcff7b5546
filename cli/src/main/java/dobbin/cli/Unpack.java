package dobbin.cli;

import dobbin.edit.EditRejected;
import dobbin.gather.SeriesFile;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.Series;
import dobbin.still.UnreadablePicture;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

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

    /** @param plays how often viewers play it in all, 0 for forever */
    private record Timing(int width, int height, int plays, List<FrameTiming> frames) {}

    private record FrameTiming(int delayMillis) {}

    @Override
    public Integer call() throws IOException, UnreadablePicture {
        Series series = SeriesFile.open(Files.readAllBytes(file), DecodeLimits.USUAL);
        Files.createDirectories(folder);
        List<Path> older = olderFrames();
        List<FrameTiming> frames = new ArrayList<>();
        for (Optional<Series.Shown> frame = series.next(); frame.isPresent(); frame = series.next()) {
            frames.add(new FrameTiming(frame.get().delayMillis()));
            Path still = frame(frames.size());
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(still))) {
                PngWriter.write(frame.get().picture(), out);
            }
        }
        for (Path frame : older.subList(Math.min(older.size(), frames.size()), older.size())) {
            Files.delete(frame);
        }
        Timing timing = new Timing(
                series.size().width(), series.size().height(), series.plays().orElse(0), frames);
        JsonMapper pretty =
                JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
        Files.writeString(folder.resolve(TIMING), pretty.writeValueAsString(timing) + "\n");
        Stream.concat(series.warnings().stream(), series.notes().stream())
                .forEach(note -> spec.commandLine().getErr().println("note: " + note));
        return 0;
    }

    /** What an earlier unpacking left here is replaced whole; frames of any other origin are nobody's to remove. */
    private List<Path> olderFrames() throws IOException {
        List<Path> older = new ArrayList<>();
        for (int number = 1; Files.exists(frame(number)); number++) {
            older.add(frame(number));
        }
        if (!older.isEmpty() && !Files.exists(folder.resolve(TIMING))) {
            throw new EditRejected(
                    folder.toString(), "holds frames that were not unpacked here. Choose an empty folder");
        }
        return older;
    }

    private Path frame(int number) {
        return folder.resolve(String.format("frame-%04d.png", number));
    }
}

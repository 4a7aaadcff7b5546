package dobbin.cli;

import dobbin.edit.EditRejected;
import dobbin.gif.GifFormatException;
import dobbin.gif.GifFrame;
import dobbin.gif.GifReader;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** A GIF to PNG stills as a browser shows them, and what it says of time. */
@Command(name = "unpack", description = "Writes a GIF's composited frames as PNG files, and frames.json.")
final class Unpack implements Callable<Integer> {
    private static final String TIMING = "frames.json";

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "IN.gif", description = "the file to read")
    private Path file;

    @Parameters(paramLabel = "FOLDER", description = "where to write; made where it is missing")
    private Path folder;

    /** @param plays how often viewers play it in all, 0 for forever */
    private record Timing(int width, int height, int plays, List<FrameTiming> frames) {}

    private record FrameTiming(int delayMillis) {}

    @Override
    public Integer call() throws IOException, GifFormatException {
        GifReader reader = GifReader.open(Files.readAllBytes(file), DecodeLimits.USUAL);
        Files.createDirectories(folder);
        List<Path> older = olderFrames();
        List<FrameTiming> frames = new ArrayList<>();
        for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
            frames.add(new FrameTiming(frame.get().delayMillis()));
            Path still = frame(frames.size());
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(still))) {
                PngWriter.write(frame.get().picture(), out);
            }
        }
        for (Path frame : older.subList(Math.min(older.size(), frames.size()), older.size())) {
            Files.delete(frame);
        }
        Timing timing = new Timing(reader.size().width(), reader.size().height(), reader.plays(), frames);
        JsonMapper pretty =
                JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
        Files.writeString(folder.resolve(TIMING), pretty.writeValueAsString(timing) + "\n");
        reader.warnings().forEach(warning -> spec.commandLine().getErr().println("note: " + warning));
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

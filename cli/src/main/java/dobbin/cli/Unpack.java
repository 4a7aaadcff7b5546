package dobbin.cli;

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
        List<FrameTiming> frames = new ArrayList<>();
        for (Optional<GifFrame> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
            frames.add(new FrameTiming(frame.get().delayMillis()));
            Path still = folder.resolve(String.format("frame-%04d.png", frames.size()));
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(still))) {
                PngWriter.write(frame.get().picture(), out);
            }
        }
        Timing timing = new Timing(reader.size().width(), reader.size().height(), reader.plays(), frames);
        JsonMapper pretty =
                JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
        Files.writeString(folder.resolve("frames.json"), pretty.writeValueAsString(timing) + "\n");
        reader.warnings().forEach(warning -> spec.commandLine().getErr().println("note: " + warning));
        return 0;
    }
}

package dobbin.cli;

import dobbin.edit.EditRejected;
import dobbin.raster.Raster;
import dobbin.still.PngWriter;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** A folder of numbered PNG files, with a JSON file beside them that says what they are. */
final class FrameFolder {
    private final Path folder;
    private final Path description;
    private final List<Path> older;
    private int written;

    /**
     * What an earlier call left here is replaced whole; frames of any other origin are nobody's to remove.
     *
     * @param description the name of the JSON file, by which frames that were written here are told
     */
    FrameFolder(Path folder, String description) throws IOException {
        this.folder = Files.createDirectories(folder);
        this.description = folder.resolve(description);
        this.older = new ArrayList<>();
        for (int number = 1; Files.exists(frame(number)); number++) {
            older.add(frame(number));
        }
        if (!older.isEmpty() && !Files.exists(this.description)) {
            throw new EditRejected(
                    folder.toString(), "holds frames that were not written here. Choose an empty folder");
        }
    }

    void add(Raster frame) throws IOException {
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(frame(++written)))) {
            PngWriter.write(frame, out);
        }
    }

    /** @param what becomes the JSON file */
    void close(Object what) throws IOException {
        for (Path frame : older.subList(Math.min(older.size(), written), older.size())) {
            Files.delete(frame);
        }
        JsonMapper pretty =
                JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
        Files.writeString(description, pretty.writeValueAsString(what) + "\n");
    }

    private Path frame(int number) {
        return folder.resolve(String.format(Locale.ROOT, "frame-%04d.png", number));
    }
}

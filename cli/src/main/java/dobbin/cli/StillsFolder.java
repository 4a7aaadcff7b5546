package dobbin.cli;

import dobbin.edit.NewStill;
import dobbin.gather.FileOpener;
import dobbin.gather.Opened;
import dobbin.raster.Raster;
import dobbin.render.Pictures;
import dobbin.still.Checkpoint;
import dobbin.still.CountingOrder;
import dobbin.still.DecodeLimits;
import dobbin.still.UnreadablePicture;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/** A folder's pictures in memory, in counting order of their names. */
final class StillsFolder {
    private final Map<String, Raster> rasters = new HashMap<>();

    private final List<NewStill> stills = new ArrayList<>();

    static StillsFolder read(Path folder, PrintWriter problems) throws IOException {
        return read(folder, null, problems);
    }

    /**
     * Reads what is a picture; says on {@code problems}, a line each, which files are none.
     *
     * @param out the files that are written in the end, which are no input though they may lie there; null for none
     */
    static StillsFolder read(Path folder, FormFiles out, PrintWriter problems) throws IOException {
        if (!Files.isDirectory(folder)) {
            throw new NotDirectoryException(folder + " is not a folder");
        }
        StillsFolder read = new StillsFolder();
        for (Path file : filesOf(folder)) {
            if (out != null && out.have(file)) {
                continue;
            }
            try {
                read.add(file, problems);
            } catch (UnreadablePicture e) {
                problems.println("left out: “" + file.getFileName() + "” " + e.getMessage());
            }
        }
        return read;
    }

    List<NewStill> stills() {
        return List.copyOf(stills);
    }

    /** Lays the stills over one another; their pictures have one size from then on. */
    void lineUp(AlignedStills alignedStills, boolean tells, PrintWriter err) {
        List<Raster> before =
                stills.stream().map(still -> rasters.get(still.picture())).toList();
        List<Raster> linedUp = alignedStills.linedUp(stills, before, tells, err);
        for (int i = 0; i < stills.size(); i++) {
            NewStill still = stills.get(i);
            rasters.put(still.picture(), linedUp.get(i));
            stills.set(
                    i,
                    new NewStill(
                            still.picture(),
                            still.name(),
                            linedUp.get(i).size(),
                            still.delayMillis(),
                            still.plays(),
                            still.taken()));
        }
    }

    Pictures pictures() {
        return Copies.of(rasters);
    }

    private static List<Path> filesOf(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(Files::isRegularFile)
                    .filter(file -> !file.getFileName().toString().startsWith("."))
                    .sorted((a, b) -> CountingOrder.OF_NAMES.compare(
                            a.getFileName().toString(), b.getFileName().toString()))
                    .toList();
        }
    }

    private void add(Path file, PrintWriter problems) throws IOException, UnreadablePicture {
        String name = file.getFileName().toString();
        if (Files.size(file) > DecodeLimits.USUAL.maxBytes()) {
            throw new UnreadablePicture("has more than " + DecodeLimits.USUAL.maxBytes() / 1_000_000 + " MB");
        }
        byte[] bytes = Files.readAllBytes(file);
        int first = stills.size();
        Opened opened = FileOpener.open(bytes, DecodeLimits.USUAL, Checkpoint.NONE, gathered -> {
            String picture = String.format(Locale.ROOT, "%064x", stills.size());
            rasters.put(picture, gathered.raster());
            stills.add(new NewStill(picture, name, gathered.size(), gathered.delayMillis()));
        });
        opened.plays()
                .ifPresent(plays -> stills.subList(first, stills.size()).replaceAll(still -> still.playing(plays)));
        FileOpener.notesOn(bytes, name).forEach(note -> problems.println("note: “" + name + "” " + note));
        opened.notes().forEach(note -> problems.println("note: “" + name + "” " + note));
    }
}

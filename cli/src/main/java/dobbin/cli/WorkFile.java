package dobbin.cli;

import dobbin.document.UnreadableWork;
import dobbin.document.WorkingFile;
import dobbin.edit.EditRejected;
import dobbin.gather.StillFile;
import dobbin.raster.Raster;
import dobbin.reel.PictureRef;
import dobbin.reel.Reel;
import dobbin.render.Pictures;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.UnreadablePicture;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/** A working file's reel, with its pictures in memory. */
final class WorkFile {
    private final Reel reel;
    private final Map<String, Raster> rasters = new HashMap<>();

    private WorkFile(Reel reel) {
        this.reel = reel;
    }

    static boolean isOne(Path file) {
        return Files.isRegularFile(file)
                && file.toString().toLowerCase(Locale.ROOT).endsWith(WorkingFile.SUFFIX);
    }

    /** @throws EditRejected where it cannot be used, with its part named */
    static WorkFile read(Path file) throws IOException {
        try (WorkingFile work = WorkingFile.open(file, DecodeLimits.USUAL)) {
            WorkFile read = new WorkFile(work.reel());
            for (PictureRef ref : work.reel().pictures()) {
                read.rasters.put(ref.picture(), raster(work, ref));
            }
            return read;
        } catch (UnreadableWork e) {
            throw new EditRejected(file.toString(), e.getMessage(), e);
        }
    }

    private static Raster raster(WorkingFile work, PictureRef ref) throws IOException {
        try {
            return StillFile.read(work.picture(ref.picture()), ref.size(), DecodeLimits.USUAL, Checkpoint.NONE)
                    .raster();
        } catch (UnreadablePicture e) {
            throw work.refused(ref.picture(), e.getMessage(), e);
        }
    }

    Reel reel() {
        return reel;
    }

    Pictures pictures() {
        return Copies.of(rasters);
    }
}

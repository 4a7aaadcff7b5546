package dobbin.server.working;

import dobbin.document.WorkWriter;
import dobbin.document.WorkingFile;
import dobbin.lettering.UnusableTypeface;
import dobbin.reel.PictureRef;
import dobbin.server.Settings;
import dobbin.server.data.DataStore;
import dobbin.server.data.Spool;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.reels.Works;
import dobbin.server.typefaces.TypefaceStore;
import dobbin.server.work.Budget;
import dobbin.still.Checkpoint;
import dobbin.still.UnreadablePicture;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.springframework.stereotype.Service;

/** Saves reels to working files on the disk, and puts those that are brought on the shelf. */
@Service
class WorkingFiles {
    private final Works works;
    private final PictureLibrary pictures;
    private final TypefaceStore typefaces;
    private final Spool spool;
    private final DataStore data;
    private final Budget budget;
    private final Settings settings;

    WorkingFiles(
            Works works,
            PictureLibrary pictures,
            TypefaceStore typefaces,
            Spool spool,
            DataStore data,
            Budget budget,
            Settings settings) {
        this.works = works;
        this.pictures = pictures;
        this.typefaces = typefaces;
        this.spool = spool;
        this.data = data;
        this.budget = budget;
        this.settings = settings;
    }

    /** @return the file, whole; whoever has it removes it */
    Path save(String reel, boolean withPast) throws IOException {
        data.needRoom(settings.maxFileSize().toBytes());
        Path file = spool.begin();
        long bytes = Math.min(2 * settings.maxFileSize().toBytes(), budget.mostBytes());
        try {
            budget.during(bytes, () -> {}, () -> {
                works.use(reel, withPast, work -> {
                    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
                        WorkWriter.write(work, out);
                    }
                });
                return null;
            });
            return file;
        } catch (IOException | RuntimeException e) {
            Spool.remove(file);
            throw e;
        }
    }

    /** Is told how far it is. */
    interface Progress {
        /** @throws CancellationException where nobody waits for it any more */
        void read(int pictures, int of);
    }

    /**
     * @return the id of the new reel
     * @throws IOException whose message is a clause to follow the file's name; then there is no new reel
     */
    String open(Path file, Progress progress) throws IOException {
        data.needRoom(Files.size(file));
        try (WorkingFile work = WorkingFile.open(file, settings.decodeLimits())) {
            List<PictureRef> refs = work.pictures();
            for (int i = 0; i < refs.size(); i++) {
                progress.read(i, refs.size());
                keep(work, refs.get(i));
            }
            for (String typeface : work.typefaces()) {
                typefaces.keep(work.typeface(typeface));
            }
            return works.keep(work);
        } catch (UnusableTypeface e) {
            throw new IllegalStateException("It could be used when the file was opened", e);
        }
    }

    private void keep(WorkingFile work, PictureRef ref) throws IOException {
        long until = System.nanoTime() + settings.longestReading().toNanos();
        Checkpoint checkpoint = () -> {
            if (System.nanoTime() > until) {
                throw new CancellationException(
                        "takes longer than " + settings.longestReading().toSeconds() + " s to be read");
            }
        };
        try {
            pictures.keepAgain(work.picture(ref.picture()), ref.size(), checkpoint);
        } catch (UnreadablePicture | CancellationException e) {
            throw work.refused(ref.picture(), e.getMessage(), e);
        }
    }
}

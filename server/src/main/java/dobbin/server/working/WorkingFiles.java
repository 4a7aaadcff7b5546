package dobbin.server.working;

import dobbin.document.WorkWriter;
import dobbin.document.WorkingFile;
import dobbin.lettering.UnusableTypeface;
import dobbin.reel.PictureRef;
import dobbin.server.Settings;
import dobbin.server.data.DataStore;
import dobbin.server.data.QuotaStore;
import dobbin.server.data.Spool;
import dobbin.server.pictures.PictureLibrary;
import dobbin.server.pictures.ReadingTime;
import dobbin.server.reels.Works;
import dobbin.server.typefaces.TypefaceStore;
import dobbin.server.work.Budget;
import dobbin.server.work.Lines;
import dobbin.server.worker.Workers;
import dobbin.still.UnreadablePicture;
import jakarta.annotation.PreDestroy;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Saves reels to working files on the disk, and puts those that are brought on the shelf. */
@Service
class WorkingFiles {
    private static final Logger LOG = LoggerFactory.getLogger(WorkingFiles.class);
    private static final int AT_A_TIME = Runtime.getRuntime().availableProcessors();

    private final Lines readers = Lines.of("working file", AT_A_TIME);
    private final Works works;
    private final PictureLibrary pictures;
    private final TypefaceStore typefaces;
    private final Spool spool;
    private final DataStore data;
    private final QuotaStore quota;
    private final Budget budget;
    private final Workers workers;
    private final Settings settings;

    WorkingFiles(
            Works works,
            PictureLibrary pictures,
            TypefaceStore typefaces,
            Spool spool,
            DataStore data,
            QuotaStore quota,
            Budget budget,
            Workers workers,
            Settings settings) {
        this.workers = workers;
        this.works = works;
        this.pictures = pictures;
        this.typefaces = typefaces;
        this.spool = spool;
        this.data = data;
        this.quota = quota;
        this.budget = budget;
        this.settings = settings;
    }

    /** @return the file, whole; whoever has it removes it */
    Path save(String reel, boolean withPast) throws IOException {
        data.needDisk(settings.maxFileSize().toBytes());
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
        quota.need(Files.size(file));
        data.needRoom(Files.size(file));
        try (WorkingFile work = WorkingFile.open(file, settings.decodeLimits(), workers::tryTypeface)) {
            keepPictures(work, progress);
            for (String typeface : work.typefaces()) {
                typefaces.keep(work.typeface(typeface));
            }
            return works.keep(work);
        } catch (UnusableTypeface e) {
            throw new IllegalStateException("It could be used when the file was opened", e);
        }
    }

    /** A few at a time; in the end all of them have ended, however it ends. */
    private void keepPictures(WorkingFile work, Progress progress) throws IOException {
        List<PictureRef> refs = work.pictures();
        Deque<Future<?>> underWay = new ArrayDeque<>();
        try {
            for (int i = 0; i < refs.size(); i++) {
                PictureRef ref = refs.get(i);
                underWay.add(readers.submit(() -> keep(work, ref)));
                if (underWay.size() == AT_A_TIME) {
                    await(underWay.remove());
                }
                progress.read(i, refs.size());
            }
            while (!underWay.isEmpty()) {
                await(underWay.remove());
            }
        } finally {
            for (Future<?> each : underWay) {
                settle(each);
            }
        }
    }

    private static void await(Future<?> reading) throws IOException {
        try {
            reading.get();
        } catch (ExecutionException e) {
            if (e.getCause() instanceof IOException refused) {
                throw refused;
            }
            if (e.getCause() instanceof Error error) {
                throw error;
            }
            throw (RuntimeException) e.getCause();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancellationException("Dobbin is being stopped");
        }
    }

    private static void settle(Future<?> reading) {
        try {
            reading.get();
        } catch (ExecutionException e) {
            LOG.debug("Another picture of a file that was refused", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @PreDestroy
    void stop() {
        readers.stop();
    }

    private PictureRef keep(WorkingFile work, PictureRef ref) throws IOException {
        try {
            pictures.keepAgain(work.picture(ref.picture()), ref.size(), new ReadingTime(settings.longestReading()));
            return ref;
        } catch (UnreadablePicture | CancellationException e) {
            throw work.refused(ref.picture(), e.getMessage(), e);
        }
    }
}

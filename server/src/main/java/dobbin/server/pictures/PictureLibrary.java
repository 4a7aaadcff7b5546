package dobbin.server.pictures;

import dobbin.edit.NewStill;
import dobbin.gather.FileOpener;
import dobbin.gather.GatherOptions;
import dobbin.gather.Gathered;
import dobbin.gather.Opened;
import dobbin.gather.SeriesFile;
import dobbin.gather.StillFile;
import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import dobbin.reel.ContentName;
import dobbin.reel.PictureRef;
import dobbin.render.Level;
import dobbin.render.Pictures;
import dobbin.server.Settings;
import dobbin.server.data.DataStore;
import dobbin.server.data.QuotaStore;
import dobbin.server.web.NotFound;
import dobbin.server.work.Budget;
import dobbin.server.work.Remembered;
import dobbin.server.worker.Workers;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.PngWriter;
import dobbin.still.ReducedPng;
import dobbin.still.StillReader;
import dobbin.still.TakenTime;
import dobbin.still.UnreadablePicture;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** All pictures: takes files in, and gives decoded pictures out from what is remembered of them. */
@Service
public class PictureLibrary implements Pictures {
    /** What the places of pictures in the bucket begin with. */
    public static final String IN_BUCKET = "pictures";

    private static final Logger LOG = LoggerFactory.getLogger(PictureLibrary.class);

    /** Stored pictures were checked when they came; a reduced one may be anything up to that. */
    private static final DecodeLimits STORED = new DecodeLimits(Integer.MAX_VALUE, 1, Integer.MAX_VALUE);

    /** For the pixels, and what is made of them. */
    private static final int WHOLE_BYTES_A_PIXEL = 12;

    private static final int SMALL_FILE_BYTES = 1_000_000;

    private final PictureStore store;
    private final DataStore data;
    private final QuotaStore quota;
    private final DecodeLimits limits;
    private final Budget budget;
    private final Workers workers;
    private final Remembered<Raster> rasters;

    PictureLibrary(
            PictureStore store, DataStore data, QuotaStore quota, Budget budget, Workers workers, Settings settings) {
        this.workers = workers;
        this.quota = quota;
        this.store = store;
        this.data = data;
        this.limits = settings.decodeLimits();
        this.budget = budget;
        this.rasters = new Remembered<>(budget, Budget.Kept.PICTURES, (key, raster) -> 4 * raster.argb().length);
    }

    /**
     * @param stills ready to be added
     * @param notes what is odd about the file or was left out: clauses to follow its name
     */
    public record TakenFile(List<NewStill> stills, List<String> notes) {}

    /** Reads a file that is in memory anyhow. */
    public TakenFile take(byte[] file, String name) throws UnreadablePicture {
        return take(Incoming.of(file), name, GatherOptions.USUAL, Checkpoint.NONE);
    }

    /**
     * Reads a file, unless its picture is here already. Waits until there is memory for it.
     *
     * @param choices of whoever brings it in
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}
     */
    TakenFile take(Incoming incoming, String name, GatherOptions choices, Checkpoint checkpoint)
            throws UnreadablePicture {
        PictureInfo known = store.infos(List.of(incoming.name())).get(incoming.name());
        if (known != null) {
            store.touch(known.id());
            quota.brought(known.id(), incoming.size());
            return new TakenFile(List.of(still(known, name, 0)), FileOpener.notesOn(incoming.head(), name));
        }
        quota.need(incoming.size());
        data.needRoom(incoming.size());
        long bytes = bytesToRead(incoming, checkpoint);
        return budget.during(bytes, checkpoint::check, () -> read(incoming.bytes(), name, choices, checkpoint));
    }

    /** @return whether a worker process reads it */
    boolean isDrawing(Incoming incoming) {
        return FileKind.of(incoming.head()) == FileKind.SVG;
    }

    /** @return whether reading it takes little of everything; an animation may take any time */
    boolean isSmall(Incoming incoming) {
        try {
            return incoming.size() <= SMALL_FILE_BYTES
                    && !SeriesFile.isOne(incoming.head())
                    && budget.isSmall(FileOpener.bytesToOpen(incoming.bytes(), limits));
        } catch (UnreadablePicture e) {
            return true;
        }
    }

    private long bytesToRead(Incoming incoming, Checkpoint checkpoint) throws UnreadablePicture {
        // The head needs the file, and the file needs memory as well.
        long bytes = budget.during(
                incoming.size(),
                checkpoint::check,
                () -> incoming.size() + FileOpener.bytesToOpen(incoming.bytes(), limits));
        return needed(bytes);
    }

    private long needed(long bytes) throws UnreadablePicture {
        if (bytes > budget.mostBytes()) {
            throw new UnreadablePicture("needs " + bytes / 1_000_000 + " MB of memory to be read, and Dobbin has "
                    + budget.mostBytes() / 1_000_000
                    + " MB for that. Make it smaller, or start Dobbin with more (DOBBIN_MEMORY=2g)");
        }
        return bytes;
    }

    private TakenFile read(byte[] file, String name, GatherOptions choices, Checkpoint checkpoint)
            throws UnreadablePicture {
        FileKind kind = FileKind.of(file);
        List<NewStill> stills = new ArrayList<>();
        Opened opened = FileOpener.open(file, choices, limits, workers, checkpoint, still -> {
            PictureInfo kept = still.alone() ? keepFile(still, file, kind) : keepFrame(still);
            stills.add(still(kept, name, still.delayMillis()));
            checkpoint.came();
        });
        data.force();
        opened.plays().ifPresent(plays -> stills.replaceAll(still -> still.playing(plays)));
        long taken = TakenTime.of(file);
        stills.replaceAll(still -> still.takenAt(taken));
        List<String> notes = new ArrayList<>(FileOpener.notesOn(file, name));
        notes.addAll(opened.notes());
        return new TakenFile(stills, notes);
    }

    private static NewStill still(PictureInfo picture, String name, int delayMillis) {
        return new NewStill(picture.id(), name, new Size(picture.width(), picture.height()), delayMillis);
    }

    /** Keeps a picture that was drawn here. */
    public PictureRef keep(Raster drawn) {
        return kept(drawn, keepFrame(new Gathered(drawn, drawn.size(), 0, false)));
    }

    /** Keeps a picture of any size that was drawn here. A large one is worked on from a reduced copy. */
    public PictureRef keepStill(Raster drawn) {
        Raster working = Resampler.resize(drawn, drawn.size().reducedTo(StillReader.WORKING_SIDE));
        PictureInfo kept = keepFrame(new Gathered(working, drawn.size(), 0, false));
        data.force();
        return new PictureRef(kept.id(), drawn.size());
    }

    /** The same whether there is none or whoever asks may not use it. */
    public static NotFound noPicture(String picture) {
        return new NotFound("There is no picture " + picture + ".");
    }

    /** @return the file of a picture, as it came or as it was made here */
    public byte[] file(String picture) {
        byte[] file = store.whole(picture).orElseThrow(() -> noPicture(picture));
        byte[] whole = StoredPatch.isPatch(file) ? PngWriter.bytes(raster(picture, Level.FULL)) : file;
        if (!ContentName.of(whole).equals(picture)) {
            throw new DamagedPicture(picture, null);
        }
        return whole;
    }

    /**
     * Keeps a file that is one still, unless it is here already. Waits until there is memory for it.
     *
     * @param size that a document says it has
     * @throws UnreadablePicture where it is no such still
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}
     */
    public void keepAgain(byte[] file, Size size, Checkpoint checkpoint) throws UnreadablePicture {
        String name = ContentName.of(file);
        PictureInfo known = store.infos(List.of(name)).get(name);
        if (known != null) {
            if (!size.equals(new Size(known.width(), known.height()))) {
                throw new UnreadablePicture("is here already in another size");
            }
            store.touch(name);
            quota.brought(name, file.length);
            return;
        }
        long bytes = needed(file.length + StillFile.bytesToRead(file, limits));
        Gathered still = budget.during(bytes, checkpoint::check, () -> StillFile.read(file, size, limits, checkpoint));
        boolean own = ReducedPng.sizeBefore(file).isPresent();
        keep(still, file, FileKind.of(file), () -> isReduced(still) && !own ? StoredCopy.pack(still.raster()) : null);
    }

    /**
     * Works on a picture with all the pixels it came with. Waits until there is memory for it, on the calling thread.
     *
     * @param threads reads and does the work once there is memory, and waits for it
     * @param use must not keep it
     */
    public <V> V whole(String picture, Function<Supplier<V>, V> threads, Function<Raster, V> use) {
        byte[] file = store.whole(picture).orElseThrow(() -> noPicture(picture));
        if (StoredPatch.isPatch(file)) {
            return threads.apply(() -> use.apply(raster(picture, Level.FULL)));
        }
        try {
            StillReader.Head head = StillReader.head(file, STORED);
            long bytes = file.length
                    + head.bytes()
                    + WHOLE_BYTES_A_PIXEL * head.size().area();
            return budget.during(bytes, () -> {}, () -> threads.apply(() -> use.apply(whole(picture, file))));
        } catch (UnreadablePicture e) {
            throw new DamagedPicture(picture, e);
        }
    }

    private static Raster whole(String picture, byte[] file) {
        try {
            return StillReader.readWhole(file, STORED, Checkpoint.NONE);
        } catch (UnreadablePicture e) {
            throw new DamagedPicture(picture, e);
        }
    }

    /**
     * Keeps a picture that is nearly an earlier one, by what differs.
     *
     * @param earlier the name of the earlier one; empty for none
     * @param x and {@code y} where the corner of the earlier one lies in this one
     */
    public PictureRef keep(Raster drawn, String earlier, int x, int y) {
        int depth = earlier.isEmpty()
                ? StoredPatch.DEEPEST
                : StoredPatch.depthOf(store.whole(earlier).orElseThrow());
        if (depth == StoredPatch.DEEPEST) {
            return keep(drawn);
        }
        PictureInfo info = new PictureInfo(ContentName.of(PngWriter.bytes(drawn)), drawn.width(), drawn.height());
        if (!info.id().equals(earlier) && store.infos(List.of(info.id())).isEmpty()) {
            byte[] patch = StoredPatch.pack(drawn, depth + 1, earlier, raster(earlier, Level.FULL), x, y);
            PictureStore.Row row =
                    new PictureStore.Row(info, FileKind.PNG.mediaType(), patch, null, null, null, earlier);
            quota.need(row.size());
            data.needRoom(row.size());
            store.insert(row);
            quota.brought(info.id(), row.size());
        } else {
            quota.brought(info.id(), 0);
        }
        return kept(drawn, info);
    }

    private PictureRef kept(Raster drawn, PictureInfo info) {
        data.force();
        // It is about to be drawn again.
        for (Level level : Level.values()) {
            if (!level.hasCopyOf(drawn.size())) {
                rasters.get(level + " " + info.id(), () -> drawn);
            }
        }
        return new PictureRef(info.id(), drawn.size());
    }

    public Map<String, PictureInfo> infos(Collection<String> ids) {
        return store.infos(ids);
    }

    @Override
    public Raster raster(String picture, Level level) {
        return rasters.get(level + " " + picture, () -> decoded(picture, level));
    }

    /**
     * Removes pictures that came before {@code when} and that no reel names. One that others are stored as patches of goes after
     * them.
     *
     * @return how many
     */
    public int sweep(Instant when) {
        int swept = 0;
        for (int more = sweepOnce(when); more > 0; more = sweepOnce(when)) {
            swept += more;
        }
        return swept;
    }

    private int sweepOnce(Instant when) {
        int swept = 0;
        String last = "";
        for (List<String> some = store.unnamed(when, last); !some.isEmpty(); some = store.unnamed(when, last)) {
            swept += store.delete(some, when);
            last = some.get(some.size() - 1);
        }
        return swept;
    }

    /** @return those of the places in the bucket that pictures are in */
    public Set<String> placesNamed(Set<String> places) {
        return store.places(places);
    }

    /** The file itself is kept, and what was made smaller of it beside it. */
    private PictureInfo keepFile(Gathered still, byte[] file, FileKind kind) {
        return keep(still, file, kind, () -> isReduced(still) ? StoredCopy.pack(still.raster()) : null);
    }

    /** A frame of an animation, or a page of several, has no file of its own until it gets one here. */
    private PictureInfo keepFrame(Gathered still) {
        byte[] file =
                isReduced(still) ? ReducedPng.bytes(still.raster(), still.size()) : PngWriter.bytes(still.raster());
        return keep(still, file, FileKind.PNG, () -> null);
    }

    private static boolean isReduced(Gathered still) {
        return still.raster().size().area() < still.size().area();
    }

    private PictureInfo keep(Gathered still, byte[] bytes, FileKind kind, Supplier<byte[]> working) {
        Size size = still.size();
        PictureInfo info = new PictureInfo(ContentName.of(bytes), size.width(), size.height());
        if (store.infos(List.of(info.id())).isEmpty()) {
            byte[] medium = copy(still.raster(), Level.MEDIUM);
            byte[] small = copy(still.raster(), Level.SMALL);
            PictureStore.Row row =
                    new PictureStore.Row(info, kind.mediaType(), bytes, working.get(), medium, small, null);
            quota.need(bytes.length);
            data.needRoom(row.size());
            store.insert(row);
        }
        quota.brought(info.id(), bytes.length);
        return info;
    }

    private static byte[] copy(Raster raster, Level level) {
        return level.hasCopyOf(raster.size()) ? StoredCopy.pack(level.of(raster)) : null;
    }

    private Raster decoded(String id, Level level) {
        PictureStore.Copy copy = store.copy(id, level).orElseThrow(() -> noPicture(id));
        if (copy.whole() && StoredPatch.isPatch(copy.bytes())) {
            return level.of(patched(id, copy.bytes()));
        }
        if (copy.whole() ? ContentName.of(copy.bytes()).equals(id) : !copy.isDamaged()) {
            try {
                return StoredCopy.isPacked(copy.bytes())
                        ? StoredCopy.unpack(copy.bytes())
                        : StillReader.read(copy.bytes(), STORED).raster();
            } catch (UnreadablePicture e) {
                LOG.warn("A stored copy of picture {} {}", id, e.getMessage());
            }
        }
        return madeAnew(id, level);
    }

    private Raster patched(String id, byte[] bytes) {
        try {
            StoredPatch patch = StoredPatch.unpack(bytes);
            return patch.on(raster(patch.base(), Level.FULL));
        } catch (UnreadablePicture e) {
            throw new DamagedPicture(id, e);
        }
    }

    /** A copy that is damaged is made again of the picture itself, where that still is what its name says. */
    private Raster madeAnew(String id, Level level) {
        byte[] whole = store.whole(id).orElseThrow(() -> noPicture(id));
        if (!ContentName.of(whole).equals(id)) {
            throw new DamagedPicture(id, null);
        }
        try {
            return level.of(StillReader.read(whole, STORED).raster());
        } catch (UnreadablePicture e) {
            throw new DamagedPicture(id, e);
        }
    }
}

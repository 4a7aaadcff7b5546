package dobbin.server.pictures;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dobbin.edit.NewStill;
import dobbin.gather.FileOpener;
import dobbin.gather.Gathered;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.ContentName;
import dobbin.reel.PictureRef;
import dobbin.render.Level;
import dobbin.render.Pictures;
import dobbin.server.Settings;
import dobbin.server.web.NotFound;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.PngWriter;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** All pictures: takes files in, and gives decoded pictures out from a cache of bounded size. */
@Service
public class PictureLibrary implements Pictures {
    /** Stored pictures were checked when they came; a reduced one may be anything up to that. */
    private static final DecodeLimits STORED = new DecodeLimits(Integer.MAX_VALUE, 1, Integer.MAX_VALUE);

    private final PictureStore store;
    private final DecodeLimits limits;
    private final int megapixelsAtOnce;
    private final Semaphore decoding;
    private final Cache<String, Raster> rasters;

    PictureLibrary(PictureStore store, Settings settings) {
        this.store = store;
        this.limits = settings.decodeLimits();
        this.megapixelsAtOnce = settings.megapixelsReadAtOnce();
        this.decoding = new Semaphore(megapixelsAtOnce);
        this.rasters = Caffeine.newBuilder()
                .maximumWeight(settings.pictureCache().toBytes())
                .weigher((String key, Raster raster) -> 4 * raster.argb().length)
                .build();
    }

    /** @param delayMillis what the file says of its time, 0 where it says nothing */
    public record Taken(PictureInfo picture, int delayMillis) {
        public NewStill named(String name) {
            return new NewStill(picture.id(), name, new Size(picture.width(), picture.height()), delayMillis);
        }
    }

    /** @param note a clause on what is odd about the file, or nothing */
    public record TakenFile(List<Taken> stills, Optional<String> note) {}

    /** Reads a file, unless its picture is here already. */
    public TakenFile take(byte[] file, String name) throws UnreadablePicture {
        Optional<String> note = FileOpener.noteOn(file, name);
        String id = ContentName.of(file);
        PictureInfo known = store.infos(List.of(id)).get(id);
        return known != null
                ? new TakenFile(List.of(new Taken(known, 0)), note)
                : new TakenFile(read(file, FileKind.of(file)), note);
    }

    /** Waits its turn, so that many large files at once do not need memory for all of them. */
    private List<Taken> read(byte[] file, FileKind kind) throws UnreadablePicture {
        int megapixels = kind == FileKind.GIF ? megapixelsAtOnce : megapixelsOf(file);
        decoding.acquireUninterruptibly(megapixels);
        try {
            List<Taken> stills = new ArrayList<>();
            FileOpener.open(
                    file,
                    limits,
                    still -> stills.add(kind == FileKind.GIF ? keepFrame(still) : keepFile(still, file, kind)));
            return stills;
        } finally {
            decoding.release(megapixels);
        }
    }

    private int megapixelsOf(byte[] file) throws UnreadablePicture {
        long megapixels = 1 + StillReader.storedSize(file, limits).area() / 1_000_000;
        return (int) Math.min(megapixels, megapixelsAtOnce);
    }

    /** Keeps a picture that was drawn here. */
    public PictureRef keep(Raster drawn) {
        Taken taken = keepFrame(new Gathered(drawn, drawn.size(), 0));
        return new PictureRef(taken.picture().id(), drawn.size());
    }

    public Map<String, PictureInfo> infos(Collection<String> ids) {
        return store.infos(ids);
    }

    @Override
    public Raster raster(String picture, Level level) {
        return rasters.get(level + " " + picture, missing -> decoded(picture, level));
    }

    /** The file itself is kept, and what was made smaller of it beside it. */
    private Taken keepFile(Gathered still, byte[] file, FileKind kind) {
        boolean reduced = still.raster().size().area() < still.size().area();
        return keep(still, file, kind, () -> reduced ? PngWriter.bytes(still.raster()) : null);
    }

    /** A frame of an animation has no file of its own until it gets one here. */
    private Taken keepFrame(Gathered still) {
        return keep(still, PngWriter.bytes(still.raster()), FileKind.PNG, () -> null);
    }

    private Taken keep(Gathered still, byte[] bytes, FileKind kind, Supplier<byte[]> working) {
        Size size = still.size();
        PictureInfo info = new PictureInfo(ContentName.of(bytes), size.width(), size.height());
        if (store.infos(List.of(info.id())).isEmpty()) {
            byte[] medium = copy(still.raster(), Level.MEDIUM);
            byte[] small = copy(still.raster(), Level.SMALL);
            store.insert(new PictureStore.Row(info, kind.mediaType(), bytes, working.get(), medium, small));
        }
        return new Taken(info, still.delayMillis());
    }

    private static byte[] copy(Raster raster, Level level) {
        return level.hasCopyOf(raster.size()) ? PngWriter.bytes(level.of(raster)) : null;
    }

    private Raster decoded(String id, Level level) {
        byte[] bytes = store.copy(id, level).orElseThrow(() -> new NotFound("There is no picture " + id + "."));
        try {
            return StillReader.read(bytes, STORED).raster();
        } catch (UnreadablePicture e) {
            throw new IllegalStateException("A stored picture " + e.getMessage(), e);
        }
    }
}

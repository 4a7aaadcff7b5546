package dobbin.ora;

import dobbin.ora.OraStack.Part;
import dobbin.raster.Compositor;
import dobbin.raster.Layer;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.Series;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Reads an OpenRaster file layer by layer, the lowest first: each layer and each group that is visible, on a canvas of its
 * own, where it lies and as opaque as it is there. What blends with what is below it does so within its group. Or all of
 * them are laid over one another.
 */
public final class OraReader implements Series {
    /** The canvas, a group on it, and a layer of that; and what it is reduced to. */
    private static final long BYTES_A_PIXEL = 24;

    private static final int BYTES_OF_A_GROUP_A_PIXEL = 4;

    private final OraZip zip;
    private final OraStack stack;
    private final DecodeLimits limits;
    private final Checkpoint checkpoint;
    /** Parts not yet read. */
    private Iterator<Part> parts = Collections.emptyIterator();

    private final List<String> notes = new ArrayList<>();
    private final Map<String, Long> areas = new HashMap<>();
    private long pixels;

    private OraReader(OraZip zip, OraStack stack, DecodeLimits limits, Checkpoint checkpoint) {
        this.checkpoint = checkpoint;
        this.zip = zip;
        this.stack = stack;
        this.limits = limits;
    }

    /** @param head the file, or its first bytes */
    public static boolean isOne(byte[] head) {
        return OraZip.isOne(head);
    }

    /** @return of memory that reading it takes, about, the file not counted */
    public static long bytesToRead(byte[] file, DecodeLimits limits) throws UnreadablePicture {
        OraStack stack = OraStack.read(OraZip.openStack(file, limits).file(OraZip.STACK));
        long canvases = stack.size().area() * (BYTES_A_PIXEL + (long) BYTES_OF_A_GROUP_A_PIXEL * stack.depth());
        return (long) OraZip.MOST_TIMES * file.length + canvases;
    }

    /**
     * Reads the list of layers.
     *
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}, as reading each layer does
     */
    public static OraReader open(byte[] file, DecodeLimits limits, Checkpoint checkpoint) throws UnreadablePicture {
        OraReader reader = openChecked(file, limits, checkpoint);
        List<Part> visible = reader.visible();
        reader.parts =
                visible.subList(0, Math.min(visible.size(), limits.maxFrames())).iterator();
        if (reader.stack.parts().size() > 1) {
            reader.notes.add("holds layers; each became a frame, the lowest first");
        }
        reader.noteHidden();
        reader.pixels = visible.size() * reader.size().area() + reader.pixels(visible);
        if (visible.size() > limits.maxFrames()) {
            reader.notes.add(
                    "has " + visible.size() + " visible layers; the first " + limits.maxFrames() + " became frames");
        }
        return reader;
    }

    /** Opens a file of which all that is visible becomes one picture. */
    public static OraReader openFlattened(byte[] file, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        OraReader reader = openChecked(file, limits, checkpoint);
        List<Part> all = reader.stack.parts();
        reader.parts = List.of(Part.group(all)).iterator();
        reader.pixels = 2 * reader.size().area() + reader.pixels(all);
        if (all.size() > 1) {
            reader.notes.add("holds layers, which lie over one another on one frame");
        }
        reader.noteHidden();
        return reader;
    }

    private static OraReader openChecked(byte[] file, DecodeLimits limits, Checkpoint checkpoint)
            throws UnreadablePicture {
        OraZip zip = OraZip.open(file, limits);
        OraStack stack = OraStack.read(zip.file(OraZip.STACK));
        Size size = stack.size();
        DecodeLimits.checkSides(size);
        OraReader reader = new OraReader(zip, stack, limits, checkpoint);
        List<Part> visible = reader.visible();
        if (size.area() > limits.maxPixels()) {
            throw new UnreadablePicture("is " + size + " pixels, more than can be read. Make it smaller first");
        }
        if (visible.isEmpty()) {
            throw new UnreadablePicture("has no visible layer. Show one, and save it again");
        }
        return reader;
    }

    private List<Part> visible() {
        return stack.parts().stream().filter(Part::visible).toList();
    }

    private void noteHidden() {
        int hidden = stack.parts().size() - visible().size();
        if (hidden > 0) {
            notes.add(
                    hidden == 1
                            ? "has a hidden layer, which was left out"
                            : "has " + hidden + " hidden layers, which were left out");
        }
    }

    @Override
    public Size size() {
        return stack.size();
    }

    /** Each layer as large as its own picture, each group as large as the canvas, and once more what becomes a frame. */
    @Override
    public long pixels() {
        return pixels;
    }

    private long pixels(List<Part> all) {
        long sum = 0;
        for (Part part : all) {
            if (part.visible()) {
                sum += part.source().isEmpty() ? size().area() + pixels(part.parts()) : areaOf(part.source());
            }
        }
        return sum;
    }

    /** A part that cannot be read is reported when its turn comes. */
    private long areaOf(String source) {
        return areas.computeIfAbsent(source, name -> {
            try {
                return StillReader.head(zip.file(name), limits).size().area();
            } catch (UnreadablePicture e) {
                return 0L;
            }
        });
    }

    @Override
    public OptionalInt plays() {
        return OptionalInt.empty();
    }

    @Override
    public List<String> warnings() {
        return List.of();
    }

    @Override
    public List<String> notes() {
        return List.copyOf(notes);
    }

    /** @return the next layer, as large as the whole picture, or nothing at the end */
    @Override
    public Optional<Shown> next() throws UnreadablePicture {
        if (!parts.hasNext()) {
            return Optional.empty();
        }
        int[] canvas = new int[Math.toIntExact(size().area())];
        lay(parts.next(), canvas, true);
        return Optional.of(new Shown(Raster.of(size(), canvas), 0));
    }

    /** @param isAlone whether nothing is below that it could blend with */
    private void lay(Part part, int[] canvas, boolean isAlone) throws UnreadablePicture {
        Layer seen = (part.source().isEmpty() ? group(part) : picture(part)).faded(part.opacity());
        if (!part.isUsual() && notes.stream().noneMatch(note -> note.startsWith("blends"))) {
            notes.add("blends layers in a way that is not known here; they were laid over one another");
        }
        if (isAlone) {
            Compositor.over(seen.raster(), seen.x(), seen.y(), canvas, size());
        } else {
            Compositor.blend(seen, part.blend(), canvas, size());
        }
    }

    private Layer group(Part group) throws UnreadablePicture {
        int[] canvas = new int[Math.toIntExact(size().area())];
        for (Part part : group.parts()) {
            if (part.visible()) {
                lay(part, canvas, false);
            }
        }
        return new Layer(Raster.of(size(), canvas), 0, 0);
    }

    private Layer picture(Part part) throws UnreadablePicture {
        try {
            Raster raster = StillReader.readWhole(zip.file(part.source()), limits, checkpoint);
            return new Layer(raster, part.x(), part.y());
        } catch (UnreadablePicture e) {
            throw new UnreadablePicture(
                    "has a layer (“" + part.source() + "”) that cannot be read: it " + e.getMessage(), e);
        }
    }
}

package dobbin.apng;

import dobbin.raster.Bounds;
import dobbin.raster.Compositor;
import dobbin.raster.Raster;
import dobbin.raster.Screen;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.FileKind;
import dobbin.still.PngChunks;
import dobbin.still.PngChunks.Chunk;
import dobbin.still.PngWriter;
import dobbin.still.Series;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Reads an animated PNG frame by frame, composited as browsers show it. Each frame's data becomes a PNG of its own, which
 * the reader of stills reads; what is done with it on the canvas is done here. Memory holds the canvas, not the frames. A
 * file that breaks off keeps what came before, with a warning.
 */
public final class ApngReader implements Series {
    private static final int HEADER_BYTES = 13;

    /** Chunks before the pictures that say how their samples become colors. */
    private static final Set<String> OF_COLOR = Set.of("PLTE", "tRNS", "gAMA", "cHRM", "sRGB", "iCCP", "cICP", "sBIT");

    private final byte[] file;
    private final DecodeLimits limits;
    private final Checkpoint checkpoint;
    private final PngChunks chunks;
    private final List<String> warnings = new ArrayList<>();
    private final List<Chunk> ofColor = new ArrayList<>();
    private final Size size;
    private final byte[] header;
    private final Screen screen;
    private int plays;
    private int framesRead;
    private long sequence;
    private final int frames;
    private boolean done;
    private Chunk ahead;

    private ApngReader(byte[] file, DecodeLimits limits, Checkpoint checkpoint, PngChunks chunks, Chunk header) {
        this.checkpoint = checkpoint;
        this.file = file;
        this.limits = limits;
        this.chunks = chunks;
        this.size = new Size((int) header.number(0), (int) header.number(4));
        this.header = Arrays.copyOfRange(file, header.start(), header.start() + HEADER_BYTES);
        this.frames = Math.min(PngChunks.count(file, "fcTL"), limits.maxFrames());
        this.screen = new Screen(size);
    }

    /** @return whether the file, or its first part, is a PNG that moves: an {@code acTL} chunk before the picture */
    public static boolean isOne(byte[] head) {
        if (FileKind.of(head) != FileKind.PNG) {
            return false;
        }
        try {
            PngChunks chunks = new PngChunks(head);
            while (chunks.hasNext()) {
                String type = chunks.next().type();
                if (type.equals("acTL") || type.equals("IDAT")) {
                    return type.equals("acTL");
                }
            }
        } catch (UnreadablePicture e) {
            // Whoever reads the file says so.
            return false;
        }
        return false;
    }

    /**
     * Reads up to the first picture.
     *
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}, as reading each frame does
     */
    public static ApngReader open(byte[] file, DecodeLimits limits, Checkpoint checkpoint) throws UnreadablePicture {
        Size size = StillReader.head(file, limits).size();
        DecodeLimits.checkSides(size);
        if (size.area() > limits.maxPixels()) {
            throw new UnreadablePicture("is " + size + " pixels, over the limit of " + limits.maxPixels());
        }
        PngChunks chunks = new PngChunks(file);
        Chunk header = chunks.next();
        if (!header.type().equals("IHDR") || header.length() != HEADER_BYTES) {
            throw new UnreadablePicture("has no header");
        }
        ApngReader reader = new ApngReader(file, limits, checkpoint, chunks, header);
        reader.readUpToThePictures();
        return reader;
    }

    @Override
    public Size size() {
        return size;
    }

    @Override
    public long pixels() {
        return frames * size.area();
    }

    @Override
    public OptionalInt plays() {
        return OptionalInt.of(plays);
    }

    @Override
    public List<String> warnings() {
        return List.copyOf(warnings);
    }

    @Override
    public Optional<Shown> next() throws UnreadablePicture {
        if (done) {
            return Optional.empty();
        }
        try {
            Optional<Shown> frame = read();
            done = frame.isEmpty();
            if (done && framesRead == 0) {
                throw new UnreadablePicture("holds no frames");
            }
            return frame;
        } catch (UnreadablePicture e) {
            done = true;
            if (framesRead == 0) {
                throw e;
            }
            warnings.add("after frame " + framesRead + " it " + e.getMessage());
            return Optional.empty();
        }
    }

    private void readUpToThePictures() throws UnreadablePicture {
        while (chunks.hasNext()) {
            Chunk chunk = chunks.next();
            if (OF_COLOR.contains(chunk.type())) {
                ofColor.add(chunk);
            } else if (chunk.type().equals("acTL") && chunk.length() == 8) {
                plays = (int) Math.min(Integer.MAX_VALUE, chunk.number(4));
            } else if (isOfAFrame(chunk)) {
                ahead = chunk;
                return;
            }
        }
    }

    private static boolean isOfAFrame(Chunk chunk) {
        return chunk.type().equals("fcTL")
                || chunk.type().equals("IDAT")
                || chunk.type().equals("fdAT");
    }

    /** A frame is a control and the data up to the next control. Data before the first control is no frame. */
    private Optional<Shown> read() throws UnreadablePicture {
        FrameControl control = null;
        ByteArrayOutputStream data = new ByteArrayOutputStream();
        for (Chunk chunk = take(); chunk != null; chunk = take()) {
            switch (chunk.type()) {
                case "fcTL" -> {
                    if (control != null) {
                        ahead = chunk;
                        return Optional.of(shown(control, data.toByteArray()));
                    }
                    checkSequence(chunk);
                    control = FrameControl.of(chunk, size, framesRead == 0);
                }
                case "IDAT" -> {
                    if (control != null) {
                        data.write(file, chunk.start(), chunk.length());
                    }
                }
                case "fdAT" -> {
                    checkSequence(chunk);
                    data.write(file, chunk.start() + 4, chunk.length() - 4);
                }
                default -> {}
            }
        }
        return control == null ? Optional.empty() : Optional.of(shown(control, data.toByteArray()));
    }

    private Chunk take() throws UnreadablePicture {
        Chunk chunk = ahead;
        ahead = null;
        if (chunk == null && chunks.hasNext()) {
            chunk = chunks.next();
        }
        return chunk;
    }

    private void checkSequence(Chunk chunk) throws UnreadablePicture {
        if (chunk.length() < 4 || chunk.number(0) != sequence++) {
            throw new UnreadablePicture("has parts missing or in the wrong order");
        }
    }

    private Shown shown(FrameControl control, byte[] data) throws UnreadablePicture {
        if (framesRead == limits.maxFrames()) {
            throw new UnreadablePicture("has more than " + limits.maxFrames() + " frames");
        }
        Raster picture = decoded(control.place(), data);
        screen.next(control.place(), control.disposal());
        if (control.replaces()) {
            screen.clear(control.place());
        }
        Compositor.over(picture, control.place().left(), control.place().top(), screen.argb(), size);
        framesRead++;
        return new Shown(screen.picture(), control.delayMillis());
    }

    private Raster decoded(Bounds place, byte[] data) throws UnreadablePicture {
        ByteArrayOutputStream png = new ByteArrayOutputStream(data.length + 1024);
        png.write(file, 0, PngChunks.SIGNATURE_BYTES);
        ByteBuffer ofFrame =
                ByteBuffer.wrap(header.clone()).putInt(place.width()).putInt(place.height());
        PngWriter.writeChunk(png, "IHDR", ofFrame.array());
        for (Chunk chunk : ofColor) {
            PngWriter.writeChunk(
                    png, chunk.type(), Arrays.copyOfRange(file, chunk.start(), chunk.start() + chunk.length()));
        }
        PngWriter.writeChunk(png, "IDAT", data);
        PngWriter.writeChunk(png, "IEND", new byte[0]);
        return StillReader.readWhole(png.toByteArray(), limits, checkpoint);
    }
}

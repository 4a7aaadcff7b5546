package dobbin.gif;

import dobbin.raster.Raster;
import dobbin.raster.Screen;
import dobbin.raster.Size;
import dobbin.still.DecodeLimits;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reads a GIF frame by frame, composited as browsers show it: untouched and cleared pixels are transparent, whatever the
 * background index says. Memory holds the screen, not the frames. A file that breaks off keeps what came before, with a
 * warning.
 */
public final class GifReader {
    private static final int MAX_WARNINGS = 20;
    private static final int IMAGE = 0x2C;
    private static final int EXTENSION = 0x21;
    private static final int TRAILER = 0x3B;
    private static final int GRAPHIC_CONTROL = 0xF9;
    private static final int APPLICATION = 0xFF;

    /** What browsers show of a file that has no color table at all. */
    private static final int[] ALL_BLACK = new int[256];

    private final ByteSource in;
    private final DecodeLimits limits;
    private final LzwDecoder lzw = new LzwDecoder();
    private final List<String> warnings = new ArrayList<>();
    private final Screen screen;
    private final int[] globalColors;
    private GraphicControl control = GraphicControl.NONE;
    private int plays = 1;
    private final long pixels;
    private int framesRead;
    private boolean done;

    private GifReader(ByteSource in, DecodeLimits limits, Size size, int[] globalColors) {
        this.in = in;
        this.limits = limits;
        this.screen = new Screen(size);
        this.globalColors = globalColors;
        this.pixels = in.ahead(rest -> pixels(rest, size.area(), limits.maxFrames()));
    }

    /**
     * What a frame declares counts like what it shows: a few bytes can declare any number of pixels.
     *
     * @param in the blocks, which are walked over and not read, as far as they are sound
     * @param screen how many pixels that has
     */
    private static long pixels(ByteSource in, long screen, int mostFrames) {
        long pixels = 0;
        try {
            for (int frames = 0; frames < mostFrames && !in.isAtEnd(); ) {
                switch (in.unsignedByte("block")) {
                    case IMAGE -> {
                        in.bytes(4, "image descriptor");
                        long own = (long) in.unsignedShort("image descriptor") * in.unsignedShort("image descriptor");
                        readColors(in, in.unsignedByte("image descriptor"), "local color table");
                        in.unsignedByte("image data");
                        pixels += Math.max(own, screen);
                        frames++;
                        in.skipSubBlocks("image data");
                    }
                    case EXTENSION -> {
                        in.unsignedByte("extension");
                        in.skipSubBlocks("extension");
                    }
                    default -> {
                        return pixels;
                    }
                }
            }
        } catch (GifFormatException e) {
            // Whoever reads that far says so.
            return pixels;
        }
        return pixels;
    }

    /** Reads up to the first frame. */
    public static GifReader open(byte[] file, DecodeLimits limits) throws GifFormatException {
        ByteSource in = new ByteSource(file);
        Size size = size(in, file, limits);
        int packed = in.unsignedByte("logical screen");
        in.bytes(2, "logical screen");
        return new GifReader(in, limits, size, readColors(in, packed, "global color table"));
    }

    /** @return what {@link #size} will be, without taking memory for it */
    public static Size sizeOf(byte[] file, DecodeLimits limits) throws GifFormatException {
        return size(new ByteSource(file), file, limits);
    }

    /** Logical screen descriptor: width, height (2 bytes each), then packed fields, background index, aspect ratio. */
    private static Size size(ByteSource in, byte[] file, DecodeLimits limits) throws GifFormatException {
        if (file.length > limits.maxBytes()) {
            throw new GifFormatException(0, "header", "The file is larger than " + limits.maxBytes() + " bytes");
        }
        String signature = new String(in.bytes(6, "header"), StandardCharsets.ISO_8859_1);
        if (!signature.equals("GIF89a") && !signature.equals("GIF87a")) {
            throw new GifFormatException(0, "header", "The file does not begin with GIF87a or GIF89a");
        }
        int width = in.unsignedShort("logical screen");
        int height = in.unsignedShort("logical screen");
        if (width == 0 || height == 0) {
            throw new GifFormatException(6, "logical screen", "The picture is " + width + " x " + height);
        }
        if ((long) width * height > limits.maxPixels()) {
            throw new GifFormatException(
                    6,
                    "logical screen",
                    "The picture is " + width + " x " + height + ", over the limit of " + limits.maxPixels()
                            + " pixels");
        }
        return new Size(width, height);
    }

    public Size size() {
        return screen.size();
    }

    /** @return how many pixels all frames have together, each as large as the screen or what it declares, if that is more */
    public long pixels() {
        return pixels;
    }

    /** @return how often viewers play the file in all, 0 for without end; known for sure once the last frame was read */
    public int plays() {
        return plays;
    }

    /** @return flaws that were survived, the first 20 of them */
    public List<String> warnings() {
        return List.copyOf(warnings);
    }

    /** @return the next frame, or nothing at the end */
    public Optional<GifFrame> next() throws GifFormatException {
        try {
            while (!done) {
                switch (in.isAtEnd() ? TRAILER : in.unsignedByte("block")) {
                    case IMAGE -> {
                        return Optional.of(readImage());
                    }
                    case EXTENSION -> readExtension();
                    case TRAILER -> done = true;
                    default -> {
                        warn("Something that is no block follows frame " + framesRead);
                        done = true;
                    }
                }
            }
        } catch (GifFormatException e) {
            done = true;
            if (framesRead == 0) {
                throw e;
            }
            warn(e.getMessage());
        }
        if (framesRead == 0) {
            throw new GifFormatException(in.offset(), "trailer", "The file holds no frames");
        }
        return Optional.empty();
    }

    private void readExtension() throws GifFormatException {
        switch (in.unsignedByte("extension")) {
            case GRAPHIC_CONTROL -> control = readGraphicControl();
            case APPLICATION -> readApplication();
            default -> in.subBlocks("extension");
        }
    }

    /** Packed fields (bits 4-2 disposal, bit 0 transparency), delay in 1/100 s (2 bytes), transparent index (1 byte). */
    private GraphicControl readGraphicControl() throws GifFormatException {
        byte[] fields = in.subBlocks("graphic control");
        if (fields.length < 4) {
            warn("A graphic control has " + fields.length + " bytes instead of 4");
            return control;
        }
        int packed = fields[0] & 0xFF;
        int delay = fields[1] & 0xFF | (fields[2] & 0xFF) << 8;
        return new GraphicControl(
                GraphicControl.disposal(packed >> 2 & 7), delay, (packed & 1) == 1 ? fields[3] & 0xFF : -1);
    }

    /** "NETSCAPE2.0" or "ANIMEXTS1.0": 1, then how often viewers play it again after the first time (2 bytes, 0 endless). */
    private void readApplication() throws GifFormatException {
        byte[] name = in.bytes(in.unsignedByte("application extension"), "application extension");
        byte[] data = in.subBlocks("application extension");
        String application = new String(name, StandardCharsets.ISO_8859_1);
        boolean isLoop = application.equals("NETSCAPE2.0") || application.equals("ANIMEXTS1.0");
        if (isLoop && data.length >= 3 && data[0] == 1) {
            int repeats = data[1] & 0xFF | (data[2] & 0xFF) << 8;
            plays = repeats == 0 ? 0 : repeats + 1;
        }
    }

    /** Image descriptor: left, top, width, height (2 bytes each), packed (bit 7 local colors, bit 6 interlace). */
    private GifFrame readImage() throws GifFormatException {
        if (framesRead == limits.maxFrames()) {
            throw new GifFormatException(in.offset(), "image", "More than " + limits.maxFrames() + " frames");
        }
        int offset = in.offset();
        int left = in.unsignedShort("image descriptor");
        int top = in.unsignedShort("image descriptor");
        int width = in.unsignedShort("image descriptor");
        int height = in.unsignedShort("image descriptor");
        int packed = in.unsignedByte("image descriptor");
        if ((long) width * height > limits.maxPixels()) {
            throw new GifFormatException(
                    offset, "image descriptor", "A frame is " + width + " x " + height + ", over the limit");
        }
        int[] localColors = readColors(in, packed, "local color table");
        int[] global = globalColors.length > 0 ? globalColors : ALL_BLACK;
        int[] colors = localColors.length > 0 ? localColors : global;
        Patch patch = readPatch(left, top, width, height, (packed & 0x40) != 0, colors);
        patch.show(screen, control);
        Raster picture = screen.picture();
        GifFrame frame = new GifFrame(picture, control.delayHundredths());
        control = GraphicControl.NONE;
        framesRead++;
        return frame;
    }

    private Patch readPatch(int left, int top, int width, int height, boolean interlaced, int[] colors)
            throws GifFormatException {
        int minimumCodeSize = in.unsignedByte("image data");
        if (minimumCodeSize < 1 || minimumCodeSize > 11) {
            throw new GifFormatException(
                    in.offset() - 1, "image data", "A code size of " + minimumCodeSize + " instead of 1 to 11");
        }
        byte[] indices = new byte[width * height];
        int read = lzw.decode(in.subBlocksOrRest(), minimumCodeSize, indices);
        if (read < indices.length) {
            warn("Frame " + (framesRead + 1) + " has " + read + " of " + indices.length + " pixels");
        }
        return new Patch(left, top, width, height, indices, read, interlaced, colors);
    }

    private static int[] readColors(ByteSource in, int packed, String block) throws GifFormatException {
        if ((packed & 0x80) == 0) {
            return new int[0];
        }
        byte[] rgb = in.bytes(3 << (packed & 7) + 1, block);
        int[] colors = new int[rgb.length / 3];
        for (int i = 0; i < colors.length; i++) {
            colors[i] = (rgb[3 * i] & 0xFF) << 16 | (rgb[3 * i + 1] & 0xFF) << 8 | rgb[3 * i + 2] & 0xFF;
        }
        return colors;
    }

    private void warn(String warning) {
        if (warnings.size() < MAX_WARNINGS) {
            warnings.add(warning);
        }
    }
}

package dobbin.gather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.sun.management.ThreadMXBean;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngParts;
import dobbin.still.PngWriter;
import dobbin.still.StillReader;
import dobbin.still.SvgDrawing;
import dobbin.still.TakenTime;
import dobbin.still.UnreadablePicture;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files of a few bytes that ask for very much: what they cost is known before it is paid. */
class BombsTest {
    private static final ThreadMXBean THREADS = (ThreadMXBean) ManagementFactory.getThreadMXBean();
    private static final int COMMENT_BYTES = 400_000_000;
    private static final byte[] PACKED_COMMENT = packedComment();
    private static final Size LARGE = new Size(5_000, 5_000);

    private interface Reading {
        void read() throws Exception;
    }

    /** @return how many bytes this thread asked for meanwhile */
    private static long allocated(Reading reading) throws Exception {
        long id = Thread.currentThread().getId();
        long before = THREADS.getThreadAllocatedBytes(id);
        reading.read();
        return THREADS.getThreadAllocatedBytes(id) - before;
    }

    private static byte[] packedComment() {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (OutputStream out = new DeflaterOutputStream(packed)) {
            byte[] some = new byte[1_000_000];
            for (int left = COMMENT_BYTES; left > 0; left -= some.length) {
                out.write(some);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return packed.toByteArray();
    }

    private static byte[] joined(byte[]... parts) {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        for (byte[] part : parts) {
            all.writeBytes(part);
        }
        return all.toByteArray();
    }

    private static byte[] latin(String text) {
        return text.getBytes(StandardCharsets.ISO_8859_1);
    }

    /** A small picture with another chunk before its data. */
    private static byte[] pngWith(String type, byte[] data) throws IOException {
        byte[] png = PngWriter.bytes(Raster.filled(new Size(4, 3), 0xFF102030));
        int header = 8 + 12 + 13;
        ByteArrayOutputStream chunk = new ByteArrayOutputStream();
        new PngParts(chunk).write(type, data);
        return joined(
                java.util.Arrays.copyOf(png, header),
                chunk.toByteArray(),
                java.util.Arrays.copyOfRange(png, header, png.length));
    }

    @ParameterizedTest
    @ValueSource(strings = {"zTXt", "iTXt", "iCCP"})
    void aPngWithACommentOf400Megabytes(String type) throws Exception {
        byte[] head = switch (type) {
            case "zTXt" -> latin("Comment\0\0");
            case "iTXt" -> latin("Comment\0\1\0\0\0");
            default -> latin("Profile\0\0");
        };
        byte[] file = pngWith(type, joined(head, PACKED_COMMENT));
        assertThat(file.length).isLessThan(500_000);
        assertThat(allocated(() -> {
                    StillReader.StillPicture read = StillReader.read(file, DecodeLimits.USUAL);
                    assertThat(read.raster()).isEqualTo(Raster.filled(new Size(4, 3), 0xFF102030));
                    assertThat(TakenTime.of(file)).isZero();
                }))
                .isLessThan(40_000_000);
    }

    private static void refused(byte[] file, String clause) throws Exception {
        List<Gathered> came = new ArrayList<>();
        assertThatThrownBy(() -> FileOpener.open(file, DecodeLimits.USUAL, Checkpoint.NONE, came::add))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageContaining(clause)
                .hasMessageContaining("at most 1000 can be read");
        assertThat(came).as("told before the first").isEmpty();
    }

    private static byte[] chunk(String type, byte[] data) {
        CRC32 checksum = new CRC32();
        checksum.update(latin(type));
        checksum.update(data);
        return ByteBuffer.allocate(12 + data.length)
                .putInt(data.length)
                .put(latin(type))
                .put(data)
                .putInt((int) checksum.getValue())
                .array();
    }

    @Test
    void anAnimatedPngOf1500FramesOf25Megapixels() throws Exception {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        PngParts png = new PngParts(file);
        png.begin(LARGE, true);
        file.writeBytes(
                chunk("acTL", ByteBuffer.allocate(8).putInt(1_500).putInt(0).array()));
        for (int i = 0; i < 1_500; i++) {
            file.writeBytes(chunk(
                    "fcTL",
                    ByteBuffer.allocate(26)
                            .putInt(2 * i)
                            .putInt(1)
                            .putInt(1)
                            .putInt(0)
                            .putInt(0)
                            .array()));
            file.writeBytes(
                    chunk("fdAT", ByteBuffer.allocate(8).putInt(2 * i + 1).array()));
        }
        png.end();
        refused(file.toByteArray(), "37500 megapixels");
    }

    @Test
    void aGifOf41FramesOf25Megapixels() throws Exception {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        file.writeBytes(latin("GIF89a"));
        byte[] size = {(byte) 0x88, 0x13, (byte) 0x88, 0x13};
        file.writeBytes(joined(size, new byte[] {0, 0, 0}));
        for (int i = 0; i < 41; i++) {
            file.writeBytes(new byte[] {0x2C, 0, 0, 0, 0, 1, 0, 1, 0, 0, 2, 1, 0x44, 0});
        }
        file.write(0x3B);
        refused(file.toByteArray(), "1025 megapixels");
    }

    /** The screen is small; the frames say that they are not. */
    @Test
    void aGifWhoseFramesAreLargerThanItsScreen() throws Exception {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        file.writeBytes(joined(latin("GIF89a"), new byte[] {1, 0, 1, 0, 0, 0, 0}));
        for (int i = 0; i < 41; i++) {
            file.writeBytes(new byte[] {0x2C, 0, 0, 0, 0, (byte) 0x88, 0x13, (byte) 0x88, 0x13, 0, 2, 1, 0x44, 0});
        }
        file.write(0x3B);
        refused(file.toByteArray(), "1025 megapixels");
    }

    @Test
    void aTiffOf42PagesOf25Megapixels() throws Exception {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        ImageWriter writer = ImageIO.getImageWritersByFormatName("tiff").next();
        BufferedImage page = new BufferedImage(LARGE.width(), LARGE.height(), BufferedImage.TYPE_BYTE_BINARY);
        try (ImageOutputStream out = ImageIO.createImageOutputStream(file)) {
            writer.setOutput(out);
            var how = writer.getDefaultWriteParam();
            how.setCompressionMode(javax.imageio.ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionType("Deflate");
            writer.prepareWriteSequence(null);
            for (int i = 0; i < 42; i++) {
                writer.writeToSequence(new IIOImage(page, null, null), how);
            }
            writer.endWriteSequence();
        }
        refused(file.toByteArray(), "1025 megapixels");
    }

    @Test
    void aSheetWhoseCellsAllLieOnOneAnother() throws Exception {
        StringBuilder cells = new StringBuilder("0 2000 2000");
        for (int i = 0; i < 300; i++) {
            cells.append("\n0 0 40");
        }
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        PngParts png = new PngParts(file);
        png.begin(new Size(2_000, 2_000), false);
        png.text("Cells", cells.toString());
        try (OutputStream data = png.data();
                OutputStream packing = new DeflaterOutputStream(data)) {
            packing.write(new byte[2_000 * (1 + 3 * 2_000)]);
        }
        png.end();
        refused(file.toByteArray(), "1200 megapixels");
    }

    private static byte[] openRaster(String layers, byte[] picture) throws IOException {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(file)) {
            byte[] type = latin("image/openraster");
            ZipEntry first = new ZipEntry("mimetype");
            first.setMethod(ZipEntry.STORED);
            first.setSize(type.length);
            CRC32 checksum = new CRC32();
            checksum.update(type);
            first.setCrc(checksum.getValue());
            zip.putNextEntry(first);
            zip.write(type);
            zip.putNextEntry(new ZipEntry("stack.xml"));
            zip.write(latin("<image w='100' h='100'><stack>" + layers + "</stack></image>"));
            zip.putNextEntry(new ZipEntry("data/a.png"));
            zip.write(picture);
        }
        return file.toByteArray();
    }

    /** Layers far larger than the canvas, all of them one picture. */
    @Test
    void anOpenRasterFileOf1000LayersThatNameOnePicture() throws Exception {
        byte[] picture = PngWriter.bytes(Raster.filled(new Size(1_200, 1_000), 0xFF102030));
        byte[] file = openRaster("<layer src='data/a.png'/>".repeat(1_000), picture);
        refused(file, "1210 megapixels");
        assertThatThrownBy(() -> FileOpener.open(
                        file,
                        new GatherOptions(GatherOptions.OWN_SIZE, true),
                        DecodeLimits.USUAL,
                        SvgDrawing::read,
                        Checkpoint.NONE,
                        still -> {}))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageContaining("1200 megapixels");
    }

    @Test
    void groupsInGroupsAreCountedInWhatMemoryTheyTake() throws Exception {
        byte[] picture = PngWriter.bytes(Raster.filled(new Size(10, 10), 0xFF102030));
        byte[] flat = openRaster("<layer src='data/a.png'/>", picture);
        byte[] deep = openRaster("<stack>".repeat(40) + "<layer src='data/a.png'/>" + "</stack>".repeat(40), picture);
        assertThat(FileOpener.bytesToOpen(deep, DecodeLimits.USUAL) - FileOpener.bytesToOpen(flat, DecodeLimits.USUAL))
                .isGreaterThanOrEqualTo(40 * 4 * 100 * 100);
    }

    /** Nothing between two layers would ask whether to go on. */
    @Test
    void readingOfLayersCanBeEnded() throws Exception {
        byte[] picture = PngWriter.bytes(Raster.filled(new Size(200, 200), 0xFF102030));
        byte[] file = openRaster("<stack>" + "<layer src='data/a.png'/>".repeat(100) + "</stack>", picture);
        int[] asked = new int[1];
        FileOpener.open(file, DecodeLimits.USUAL, () -> asked[0]++, still -> {});
        assertThat(asked[0]).isGreaterThan(100);
    }
}

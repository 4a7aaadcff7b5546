package dobbin.ora;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Compositor;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.Series.Shown;
import dobbin.still.StillReader;
import dobbin.still.UnreadablePicture;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;

class OraTest {
    private static final Size CANVAS = new Size(4, 2);
    private static final int RED = 0xFFB23A24;
    private static final int BLUE = 0xFF2B6A80;

    /** A file of layers, as a drawing program might write it. */
    private static final class OraFile {
        private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        private final ZipOutputStream zip = new ZipOutputStream(bytes);

        OraFile(String stack) throws IOException {
            this("4", stack);
        }

        OraFile(String width, String stack) throws IOException {
            byte[] mime = "image/openraster".getBytes(StandardCharsets.US_ASCII);
            CRC32 checksum = new CRC32();
            checksum.update(mime);
            ZipEntry entry = new ZipEntry("mimetype");
            entry.setMethod(ZipEntry.STORED);
            entry.setSize(mime.length);
            entry.setCrc(checksum.getValue());
            zip.putNextEntry(entry);
            zip.write(mime);
            with(
                    "stack.xml",
                    ("<image w='" + width + "' h='2'><stack>" + stack + "</stack></image>")
                            .getBytes(StandardCharsets.UTF_8));
        }

        OraFile with(String name, byte[] file) throws IOException {
            zip.putNextEntry(new ZipEntry(name));
            zip.write(file);
            return this;
        }

        OraFile with(String name, int width, int height, int color) throws IOException {
            return with(name, PngWriter.bytes(Raster.filled(new Size(width, height), color)));
        }

        byte[] bytes() throws IOException {
            zip.close();
            return bytes.toByteArray();
        }
    }

    private static List<Raster> layers(OraReader reader) throws UnreadablePicture {
        List<Raster> layers = new ArrayList<>();
        for (Optional<Shown> layer = reader.next(); layer.isPresent(); layer = reader.next()) {
            layers.add(layer.get().picture());
        }
        return layers;
    }

    private static OraReader open(byte[] file) throws UnreadablePicture {
        return OraReader.open(file, DecodeLimits.USUAL, Checkpoint.NONE);
    }

    @Test
    void visibleLayersComeFromTheLowestUpWhereTheyLie() throws Exception {
        byte[] file = new OraFile("""
                        <layer src="data/top.png" x="3" y="1" opacity="0.5" composite-op="svg:multiply"/>
                        <layer src="data/hidden.png" visibility="hidden"/>
                        <layer src="data/low.png" x="-1" y="0"/>""")
                .with("data/top.png", 3, 3, BLUE)
                .with("data/low.png", 2, 2, RED)
                .bytes();
        OraReader reader = open(file);
        List<Raster> layers = layers(reader);
        assertThat(layers.get(0)).isEqualTo(Raster.of(CANVAS, new int[] {RED, 0, 0, 0, RED, 0, 0, 0}));
        assertThat(layers.get(1)).isEqualTo(Raster.of(CANVAS, new int[] {0, 0, 0, 0, 0, 0, 0, 0x802B6A80}));
        assertThat(layers).hasSize(2);
        assertThat(reader.notes())
                .containsExactly(
                        "holds layers; each became a frame, the lowest first",
                        "has a hidden layer, which was left out");
    }

    @Test
    void aGroupIsOneFrameAndBlendsWithinItself() throws Exception {
        byte[] file = new OraFile("""
                        <stack x="1" y="0" opacity="1.0">
                          <layer src="data/gray.png" composite-op="svg:multiply"/>
                          <layer src="data/red.png"/>
                        </stack>""")
                .with("data/gray.png", 1, 1, 0xFF808080)
                .with("data/red.png", 2, 1, 0xFFFF4000)
                .bytes();
        List<Raster> layers = layers(open(file));
        assertThat(layers).containsExactly(Raster.of(CANVAS, new int[] {0, 0xFF802000, 0xFFFF4000, 0, 0, 0, 0, 0}));
    }

    @Test
    void flattenedLayersLieOverOneAnotherAndBlend() throws Exception {
        byte[] file = new OraFile("""
                        <layer src="data/hidden.png" visibility="hidden"/>
                        <layer src="data/gray.png" x="1" y="0" composite-op="svg:multiply"/>
                        <layer src="data/red.png"/>""")
                .with("data/gray.png", 1, 2, 0xFF808080)
                .with("data/red.png", 2, 1, 0xFFFF4000)
                .bytes();
        OraReader reader = OraReader.openFlattened(file, DecodeLimits.USUAL, Checkpoint.NONE);
        assertThat(layers(reader))
                .containsExactly(Raster.of(CANVAS, new int[] {0xFFFF4000, 0xFF802000, 0, 0, 0, 0xFF808080, 0, 0}));
        assertThat(reader.notes())
                .containsExactly(
                        "holds layers, which lie over one another on one frame",
                        "has a hidden layer, which was left out");
    }

    @Test
    void whatIsWrittenIsReadAgainAndIsTheSameEachTime() throws Exception {
        List<Raster> pictures =
                List.of(Raster.filled(CANVAS, RED), Raster.filled(CANVAS, 0x80123456), Raster.filled(CANVAS, 0));
        byte[] file = written(pictures);
        assertThat(layers(open(file))).isEqualTo(pictures);
        assertThat(written(pictures)).isEqualTo(file);
        assertThat(OraReader.isOne(Arrays.copyOf(file, 64))).isTrue();
        assertThat(OraReader.isOne(PngWriter.bytes(pictures.get(0)))).isFalse();
    }

    @Test
    void theMergedImageIsAllLayersOverOneAnother() throws Exception {
        Raster low = Raster.of(CANVAS, new int[] {RED, RED, RED, 0, 0, 0, 0, 0});
        Raster high = Raster.of(CANVAS, new int[] {0, 0x802B6A80, 0, BLUE, 0, 0, 0, 0});
        byte[] file = written(List.of(low, high));
        Raster merged = null;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.getName().equals("mergedimage.png")) {
                    merged = StillReader.read(zip.readAllBytes(), DecodeLimits.USUAL)
                            .raster();
                }
            }
        }
        OraReader flattened = OraReader.openFlattened(file, DecodeLimits.USUAL, Checkpoint.NONE);
        assertThat(layers(flattened)).containsExactly(merged);
        int half = Compositor.over(0x802B6A80, RED);
        assertThat(merged).isEqualTo(Raster.of(CANVAS, new int[] {RED, half, RED, BLUE, 0, 0, 0, 0}));
    }

    private static byte[] written(List<Raster> pictures) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Iterator<Raster> next = pictures.iterator();
        OraWriter.write(CANVAS, () -> next.hasNext() ? next.next() : null, out);
        return out.toByteArray();
    }

    @Test
    void aHostileFileIsRefusedInASentence() throws Exception {
        byte[] bomb = new OraFile("<layer src='data/a.png'/>")
                .with("data/a.png", new byte[20_000_000])
                .bytes();
        assertThat(bomb.length).isLessThan(100_000);
        assertThatThrownBy(() -> open(bomb)).hasMessage("unpacks to far more than it is (“data/a.png”)");
        byte[] missing = new OraFile("<layer src='../../etc/passwd'/>").bytes();
        assertThatThrownBy(() -> layers(open(missing))).hasMessageContaining("lacks the part “../../etc/passwd”");
        byte[] entity = new OraFile("&outside;").bytes();
        assertThatThrownBy(() -> open(entity)).hasMessageContaining("cannot be read (stack.xml)");
        for (String width : List.of("0", "-3", "wide", "1e99")) {
            byte[] sized = new OraFile(width, "<layer src='data/a.png'/>").bytes();
            assertThatThrownBy(() -> open(sized))
                    .as(width)
                    .isInstanceOf(UnreadablePicture.class)
                    .hasMessageContaining("cannot be read (stack.xml)");
        }
        byte[] nothing = new OraFile("<layer src='data/a.png' visibility='hidden'/>").bytes();
        assertThatThrownBy(() -> open(nothing)).hasMessageContaining("has no visible layer");
        byte[] deep = new OraFile("<stack>".repeat(200) + "</stack>".repeat(200)).bytes();
        assertThatThrownBy(() -> open(deep)).hasMessageContaining("more layers than can be read");
        byte[] broken = Arrays.copyOf(bomb, 200);
        assertThatThrownBy(() -> open(broken)).isInstanceOf(UnreadablePicture.class);
    }
}

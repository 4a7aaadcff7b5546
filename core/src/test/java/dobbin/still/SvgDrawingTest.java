package dobbin.still;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SvgDrawingTest {
    private static final String OPEN =
            "<svg xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink' ";

    private static byte[] svg(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static Raster drawn(String text, int longerSide) throws UnreadablePicture {
        return SvgDrawing.read(svg(text), longerSide, Checkpoint.NONE);
    }

    private static final String FLAG = OPEN + "width='60' height='40'>"
            + "<rect width='60' height='20' fill='#b23e28'/><rect y='20' width='30' height='20' fill='#f6f1e7'/></svg>";

    @Test
    void isDrawnAtItsOwnSizeOrAnyOther() throws Exception {
        Raster own = drawn(FLAG, 0);
        assertThat(own.size()).isEqualTo(new Size(60, 40));
        assertThat(own.pixel(59, 19)).isEqualTo(0xFFB23E28);
        assertThat(own.pixel(29, 39)).isEqualTo(0xFFF6F1E7);
        assertThat(own.pixel(30, 20)).isZero();
        Raster large = drawn(FLAG, 900);
        assertThat(large.size()).isEqualTo(new Size(900, 600));
        assertThat(large.pixel(899, 299)).isEqualTo(0xFFB23E28);
        assertThat(large.pixel(450, 300)).isZero();
    }

    @Test
    void oneThatIsLargeOrSaysNoSizeIsDrawnNoLargerThanPicturesAreWorkedOn() throws Exception {
        assertThat(drawn(OPEN + "width='9000' height='3000'/>", 0).size()).isEqualTo(new Size(1600, 533));
        assertThat(drawn(OPEN + "viewBox='0 0 30 20'><rect width='30' height='20'/></svg>", 300)
                        .size())
                .isEqualTo(new Size(300, 200));
    }

    @Test
    void isToldByWhatItHolds() {
        assertThat(FileKind.of(svg("<?xml version='1.0'?><!-- a flag -->" + FLAG)))
                .isEqualTo(FileKind.SVG);
        assertThat(FileKind.of(svg("\uFEFF\n" + FLAG))).isEqualTo(FileKind.SVG);
        assertThat(FileKind.of(svg("<html><body>No drawing</body></html>"))).isEqualTo(FileKind.OTHER);
    }

    @Test
    void nothingOutsideIsReadAndNoScriptIsRun(@TempDir Path folder) throws Exception {
        Path picture =
                Files.write(folder.resolve("red.png"), PngWriter.bytes(Raster.filled(new Size(40, 40), 0xFFFF0000)));
        Raster drawn = drawn(
                OPEN + "width='40' height='40'><image width='40' height='40' href='" + picture.toUri() + "'/>"
                        + "<image width='40' height='40' xlink:href='" + picture.toUri() + "'/>"
                        + "<script>while (true) {}</script></svg>",
                0);
        assertThat(drawn).isEqualTo(Raster.filled(new Size(40, 40), 0));
        assertThatThrownBy(() -> drawn(
                        "<!DOCTYPE svg [<!ENTITY x SYSTEM '" + picture.toUri() + "'>]>" + OPEN
                                + "><text>&x;</text></svg>",
                        0))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageContaining("declares entities");
    }

    /** Twelve levels of ten copies each: a million million shapes in a file of a kilobyte. */
    @Test
    void aFewElementsThatStandForTooManyShapesAreRefused() {
        StringBuilder bomb =
                new StringBuilder(OPEN + "width='40' height='40'><defs><g id='l0'><rect width='1' height='1'/></g>");
        for (int level = 1; level <= 12; level++) {
            bomb.append("<g id='l").append(level).append("'>");
            bomb.append(("<use href='#l" + (level - 1) + "'/>").repeat(10)).append("</g>");
        }
        bomb.append("</defs><use href='#l12'/></svg>");
        assertThatThrownBy(() -> drawn(bomb.toString(), 0))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageContaining("draws too many shapes");
    }

    @Test
    void damageAndCancellingAreSaid() {
        assertThatThrownBy(() -> drawn(OPEN + "width='40'><rect", 0))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageContaining("is a damaged SVG file");
        Checkpoint stopped = () -> {
            throw new CancellationException();
        };
        assertThatThrownBy(() -> SvgDrawing.read(svg(FLAG), 0, stopped)).isInstanceOf(CancellationException.class);
    }

    private static void refused(String text, String clause) {
        assertThatThrownBy(() -> drawn(text, 0))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageContaining(clause)
                .hasMessageEndingWith("Save it simpler, or as PNG");
    }

    /** 401 bytes that took two minutes of a processor. */
    @Test
    void twentyDiagonalsOfDashesThatNobodySees() {
        String lines = "M0 0L480 480".repeat(20);
        refused(
                OPEN + "width='480' height='480'><path d='" + lines
                        + "' stroke='#000' stroke-width='3' stroke-dasharray='0.0001'/></svg>",
                "draws too many shapes");
        refused(
                OPEN + "width='480' height='480'><path d='M0 0C1e9 0 0 1e9 480 480'"
                        + " stroke='#000' stroke-dasharray='5'/></svg>",
                "draws too many shapes");
    }

    @Test
    void dashesThatOneSeesAreDrawn() throws Exception {
        Raster drawn = drawn(
                OPEN
                        + "width='60' height='20'><path d='M0 10H60' stroke='#b23e28' stroke-width='4' stroke-dasharray='10'/>"
                        + "</svg>",
                0);
        assertThat(drawn.pixel(5, 10)).isEqualTo(0xFFB23E28);
        assertThat(drawn.pixel(15, 10)).isZero();
        assertThat(drawn.pixel(25, 10)).isEqualTo(0xFFB23E28);
    }

    @Test
    void whatIsWorkedOutInOneGoIsBounded() {
        String rect = "<rect width='40' height='40' filter='url(#f)'/></svg>";
        refused(
                OPEN
                        + "width='40' height='40'><filter id='f'><feTurbulence baseFrequency='0.1' numOctaves='99&#x39;999'/>"
                        + "</filter>" + rect,
                "has noise of more than 12 octaves");
        refused(
                OPEN + "width='40' height='40'><filter id='f'>" + "<feOffset dx='1'/>".repeat(51) + "</filter>" + rect,
                "has a filter of more than 50 parts");
        refused(
                OPEN + "width='40' height='40'><linearGradient id='g'>" + "<stop offset='0.5'/>".repeat(1_001)
                        + "</linearGradient></svg>",
                "has a gradient of more than 1000 colors");
        refused(
                OPEN + "width='40' height='40'>" + "<g>".repeat(300) + "</g>".repeat(300) + "</svg>",
                "deep in one another");
    }
}

package dobbin.cli;

import static dobbin.cli.Said.said;
import static org.assertj.core.api.Assertions.assertThat;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.skerry.SkerryPoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.StillReader;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class CutTest {
    @TempDir
    private Path folder;

    @Test
    void aPlateIsCutIntoDrawingsOfOneSize() throws Exception {
        Path plate = Files.write(
                folder.resolve("Gull plate.png"), SkerryPoint.gullPlate().bytes());
        Path cut = folder.resolve("cut");
        assertThat(said("cut", plate.toString(), cut.toString(), "--center", "foot")
                        .status())
                .isZero();
        JsonNode described = JsonMapper.shared().readTree(cut.resolve("plate.json"));
        assertThat(described.get("parts").size()).isEqualTo(10);
        assertThat(cut.resolve("frame-0011.png")).doesNotExist();
        Size size = sizeOf(cut.resolve("frame-0001.png"));
        assertThat(sizeOf(cut.resolve("frame-0010.png"))).isEqualTo(size);

        assertThat(said("cut", plate.toString(), cut.toString(), "--grid", "3x2")
                        .status())
                .isZero();
        assertThat(cut.resolve("frame-0005.png")).exists();
        assertThat(cut.resolve("frame-0006.png"))
                .as("an empty cell, and an older frame")
                .doesNotExist();
        assertThat(said("cut", plate.toString(), cut.toString(), "--pieces", "--join", "400")
                        .status())
                .isZero();
        assertThat(cut.resolve("frame-0002.png")).doesNotExist();

        assertThat(said("cut", plate.toString(), cut.toString(), "--grid", "3x").err())
                .contains("--grid must be rows and columns, as 2x4");
        assertThat(said("cut", plate.toString(), cut.toString(), "--tolerance", "120")
                        .err())
                .contains("--tolerance must be from 0 to 100");
        Path blank =
                Files.write(folder.resolve("Blank.png"), PngWriter.bytes(Raster.filled(new Size(40, 30), 0xFFF6F1E7)));
        assertThat(said("cut", blank.toString(), cut.toString()).err())
                .contains("“Blank.png” shows no drawings on an even ground");
    }

    private static Size sizeOf(Path picture) throws Exception {
        return StillReader.head(Files.readAllBytes(picture), DecodeLimits.USUAL).size();
    }
}

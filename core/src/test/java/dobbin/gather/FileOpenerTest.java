package dobbin.gather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Size;
import dobbin.skerry.DemoFile;
import dobbin.skerry.DemoFolder;
import dobbin.skerry.SkerryPoint;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.UnreadablePicture;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class FileOpenerTest {
    private static final DemoFolder SUNRISE = SkerryPoint.sunrise();
    private static final DemoFolder LIGHT = SkerryPoint.light();

    @Test
    void anAnimationOpensAsItsFramesWithTheirDelays() throws Exception {
        DemoFile light = LIGHT.files().get(0);
        List<Gathered> frames = opened(light.bytes());
        assertThat(frames)
                .extracting(Gathered::delayMillis)
                .containsExactly(900, 80, 80, 60, 60, 40, 120, 40, 60, 60, 80, 80);
        assertThat(frames).allMatch(frame -> frame.size().equals(new Size(360, 240)));
    }

    @Test
    void whatAFileHoldsCountsNotWhatItIsCalled() throws Exception {
        byte[] jpeg = SUNRISE.files().get(0).bytes();
        assertThat(opened(jpeg)).hasSize(1);
        assertThat(FileOpener.noteOn(jpeg, "sunrise.gif"))
                .hasValue("is a JPEG file by another name; it was read as that");
        assertThat(FileOpener.noteOn(jpeg, "sunrise.JPG")).isEmpty();
        assertThat(FileOpener.noteOn(jpeg, "sunrise")).isEmpty();
    }

    @Test
    void aBrokenAnimationIsRefusedInOneSentence() {
        byte[] light = LIGHT.files().get(0).bytes();
        assertThatThrownBy(() -> opened(Arrays.copyOf(light, 60)))
                .isInstanceOf(UnreadablePicture.class)
                .hasMessageContaining("is a GIF that cannot be read")
                .hasMessageContaining("global color table, byte");
    }

    @Test
    void theDemoIsTheSameEachTimeAndHasTheUsualFlaws() throws Exception {
        assertThat(SkerryPoint.gull().files())
                .zipSatisfy(
                        SkerryPoint.gull().files(),
                        (a, b) -> assertThat(a.bytes()).isEqualTo(b.bytes()));
        assertThat(SUNRISE.files())
                .extracting(DemoFile::name)
                .startsWith("Sunrise 1.jpg", "Sunrise 10.jpg", "Sunrise 11.jpg");
        List<Size> sizes = new ArrayList<>();
        for (DemoFile file : SUNRISE.files()) {
            sizes.add(opened(file.bytes()).get(0).size());
        }
        assertThat(sizes).hasSize(24).containsOnlyOnce(new Size(800, 600));
    }

    private static List<Gathered> opened(byte[] file) throws UnreadablePicture {
        List<Gathered> stills = new ArrayList<>();
        FileOpener.open(file, DecodeLimits.USUAL, Checkpoint.NONE, stills::add);
        return stills;
    }
}

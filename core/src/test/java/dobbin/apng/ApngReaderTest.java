package dobbin.apng;

import static dobbin.apng.ApngFile.CLEAR;
import static dobbin.apng.ApngFile.KEEP;
import static dobbin.apng.ApngFile.PUT_BACK;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.Checkpoint;
import dobbin.still.DecodeLimits;
import dobbin.still.PngWriter;
import dobbin.still.Series.Shown;
import dobbin.still.UnreadablePicture;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ApngReaderTest {
    private static final Size CANVAS = new Size(4, 3);
    private static final int RED = 0xFEB23A24;
    private static final int BLUE = 0xFE2B6A80;
    private static final int NONE = 0;

    /** Not wholly opaque, so that all frames are of one kind. */
    private static Raster filled(int width, int height, int color) {
        return Raster.filled(new Size(width, height), color);
    }

    private static List<Shown> frames(byte[] file) throws UnreadablePicture {
        return frames(ApngReader.open(file, DecodeLimits.USUAL, Checkpoint.NONE));
    }

    private static List<Shown> frames(ApngReader reader) throws UnreadablePicture {
        List<Shown> frames = new ArrayList<>();
        for (Optional<Shown> frame = reader.next(); frame.isPresent(); frame = reader.next()) {
            frames.add(frame.get());
        }
        return frames;
    }

    /** @return the second row, which all tests draw on */
    private static int[] row(Shown frame) {
        return Arrays.copyOfRange(frame.picture().argb(), 4, 8);
    }

    @Test
    void framesComeWithTheirDelaysAndHowOftenTheyPlay() throws Exception {
        byte[] file = new ApngFile(CANVAS, 3, 5)
                .frame(filled(4, 3, RED), 1, 8)
                .frame(filled(4, 3, BLUE), 7, 0)
                .frame(filled(4, 3, RED), 0, 100)
                .bytes();
        ApngReader reader = ApngReader.open(file, DecodeLimits.USUAL, Checkpoint.NONE);
        assertThat(reader.size()).isEqualTo(CANVAS);
        assertThat(reader.plays()).hasValue(5);
        List<Shown> frames = frames(reader);
        assertThat(frames).extracting(Shown::delayMillis).containsExactly(125, 70, 0);
        assertThat(frames)
                .extracting(Shown::picture)
                .containsExactly(filled(4, 3, RED), filled(4, 3, BLUE), filled(4, 3, RED));
        assertThat(reader.warnings()).isEmpty();
        assertThat(ApngReader.isOne(file)).isTrue();
        assertThat(ApngReader.isOne(PngWriter.bytes(filled(4, 3, RED)))).isFalse();
    }

    @ParameterizedTest
    @ValueSource(ints = {KEEP, CLEAR, PUT_BACK})
    void whatBecomesOfAFrameIsDoneBeforeTheNext(int disposal) throws Exception {
        List<Shown> frames = frames(new ApngFile(CANVAS, 3, 0)
                .frame(filled(4, 3, RED), 10, 100)
                .frame(filled(2, 1, BLUE), 1, 1, 10, 100, disposal, true)
                .frame(filled(1, 1, BLUE), 0, 0, 10, 100, KEEP, true)
                .bytes());
        assertThat(row(frames.get(1))).containsExactly(RED, BLUE, BLUE, RED);
        int place = disposal == KEEP ? BLUE : disposal == CLEAR ? NONE : RED;
        assertThat(row(frames.get(2))).containsExactly(RED, place, place, RED);
        assertThat(frames.get(2).picture().pixel(0, 0)).isEqualTo(BLUE);
    }

    @Test
    void theFirstFrameIsNotPutBackToWhatWasNever() throws Exception {
        List<Shown> frames = frames(new ApngFile(CANVAS, 2, 0)
                .frame(filled(4, 3, RED), 0, 0, 10, 100, PUT_BACK, true)
                .frame(filled(1, 1, BLUE), 1, 1, 10, 100, KEEP, true)
                .bytes());
        assertThat(row(frames.get(1))).containsExactly(NONE, BLUE, NONE, NONE);
    }

    @Test
    void aFrameTakesThePlaceOfWhatIsThereOrLiesOverIt() throws Exception {
        List<Shown> frames = frames(new ApngFile(CANVAS, 3, 0)
                .frame(filled(4, 3, RED), 10, 100)
                .frame(filled(2, 1, NONE), 0, 1, 10, 100, KEEP, false)
                .frame(filled(2, 1, NONE), 2, 1, 10, 100, KEEP, true)
                .bytes());
        assertThat(row(frames.get(1))).containsExactly(RED, RED, RED, RED);
        assertThat(row(frames.get(2))).containsExactly(RED, RED, NONE, NONE);
    }

    @Test
    void aStillBesideTheAnimationIsNoFrame() throws Exception {
        List<Shown> frames = frames(new ApngFile(CANVAS, 1, 0)
                .stillBeside(filled(4, 3, BLUE))
                .frame(filled(4, 3, RED), 10, 100)
                .bytes());
        assertThat(frames)
                .singleElement()
                .satisfies(frame -> assertThat(frame.picture()).isEqualTo(filled(4, 3, RED)));
    }

    @Test
    void aFileThatBreaksOffKeepsWhatCameBefore() throws Exception {
        byte[] whole = new ApngFile(CANVAS, 2, 0)
                .frame(filled(4, 3, RED), 10, 100)
                .frame(filled(4, 3, BLUE), 10, 100)
                .bytes();
        ApngReader reader =
                ApngReader.open(Arrays.copyOf(whole, whole.length - 20), DecodeLimits.USUAL, Checkpoint.NONE);
        assertThat(frames(reader)).hasSize(1);
        assertThat(reader.warnings()).containsExactly("after frame 1 it breaks off in the middle of a part (fdAT)");
        byte[] damaged = whole.clone();
        damaged[whole.length - 30] ^= 1;
        ApngReader second = ApngReader.open(damaged, DecodeLimits.USUAL, Checkpoint.NONE);
        assertThat(frames(second)).hasSize(1);
        assertThat(second.warnings()).containsExactly("after frame 1 it has a damaged part (fdAT)");
    }

    @Test
    void whatAFileMayNotSayIsRefusedInASentence() {
        byte[] outside = new ApngFile(CANVAS, 1, 0)
                .frame(filled(4, 3, RED), 1, 0, 10, 100, KEEP, true)
                .bytes();
        assertThatThrownBy(() -> frames(outside)).hasMessage("has a frame that does not lie on its canvas of 4 × 3");
        byte[] unknown = new ApngFile(CANVAS, 1, 0)
                .frame(filled(4, 3, RED), 0, 0, 10, 100, 3, true)
                .bytes();
        assertThatThrownBy(() -> frames(unknown)).hasMessage("has a frame control with unknown values");
        byte[] none = new ApngFile(CANVAS, 1, 0).stillBeside(filled(4, 3, RED)).bytes();
        assertThatThrownBy(() -> frames(none)).hasMessage("holds no frames");
    }

    @Test
    void onlySoManyFramesAreRead() throws Exception {
        byte[] file = new ApngFile(CANVAS, 3, 0)
                .frame(filled(4, 3, RED), 10, 100)
                .frame(filled(4, 3, BLUE), 10, 100)
                .frame(filled(4, 3, RED), 10, 100)
                .bytes();
        ApngReader reader = ApngReader.open(file, new DecodeLimits(100, 2, 10_000), Checkpoint.NONE);
        assertThat(frames(reader)).hasSize(2);
        assertThat(reader.warnings()).containsExactly("after frame 2 it has more than 2 frames");
        assertThatThrownBy(() -> ApngReader.open(file, new DecodeLimits(11, 2, 10_000), Checkpoint.NONE))
                .hasMessageContaining("over the limit of 11");
    }
}

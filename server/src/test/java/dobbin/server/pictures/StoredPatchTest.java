package dobbin.server.pictures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.still.PngWriter;
import dobbin.still.UnreadablePicture;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StoredPatchTest {
    private static final String EARLIER = "0a".repeat(32);

    private static Raster noise(int seed, int width, int height) {
        return Raster.of(
                new Size(width, height),
                new Random(seed).ints((long) width * height).toArray());
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "5, 3", "-7, -4", "100, 0", "-40, 31"})
    void everyPixelComesBackWhereverTheEarlierPictureLay(int x, int y) throws Exception {
        Raster picture = noise(1, 41, 29);
        Raster earlier = noise(2, 37, 33);
        byte[] packed = StoredPatch.pack(picture, 3, EARLIER, earlier, x, y);
        assertThat(StoredPatch.depthOf(packed)).isEqualTo(3);
        StoredPatch patch = StoredPatch.unpack(packed);
        assertThat(patch.base()).isEqualTo(EARLIER);
        assertThat(patch.on(earlier)).isEqualTo(picture);
    }

    @Test
    void whatIsTheSameTakesNextToNothing() {
        Raster earlier = noise(1, 200, 200);
        int[] argb = earlier.argb().clone();
        Arrays.fill(argb, 4_000, 4_050, 0xFF202830);
        byte[] packed = StoredPatch.pack(Raster.of(earlier.size(), argb), 1, EARLIER, earlier, 0, 0);
        assertThat(packed.length).isLessThan(500);
    }

    @Test
    void otherPicturesAreNoPatches() {
        assertThat(StoredPatch.isPatch(PngWriter.bytes(noise(1, 9, 9)))).isFalse();
        assertThat(StoredPatch.depthOf(StoredCopy.pack(noise(1, 9, 9)))).isZero();
    }

    @Test
    void damageIsSaid() {
        byte[] packed = StoredPatch.pack(noise(1, 20, 20), 1, EARLIER, noise(2, 20, 20), 0, 0);
        byte[] flipped = packed.clone();
        flipped[packed.length - 20] ^= 4;
        assertThatThrownBy(() -> StoredPatch.unpack(flipped)).isInstanceOf(UnreadablePicture.class);
        assertThatThrownBy(() -> StoredPatch.unpack(Arrays.copyOf(packed, packed.length / 2)))
                .isInstanceOf(UnreadablePicture.class);
        byte[] wider = packed.clone();
        wider[11]++;
        assertThatThrownBy(() -> StoredPatch.unpack(wider)).isInstanceOf(UnreadablePicture.class);
    }
}

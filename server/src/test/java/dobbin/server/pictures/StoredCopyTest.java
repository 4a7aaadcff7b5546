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

class StoredCopyTest {
    private static Raster noise(int alphaOr) {
        return Raster.of(
                new Size(41, 29),
                new Random(4).ints(41 * 29).map(argb -> argb | alphaOr).toArray());
    }

    @Test
    void everyPixelComesBack() throws Exception {
        for (Raster raster : new Raster[] {noise(0), noise(0xFF000000), Raster.filled(new Size(1, 1), 0x80123456)}) {
            byte[] packed = StoredCopy.pack(raster);
            assertThat(StoredCopy.isPacked(packed)).isTrue();
            assertThat(StoredCopy.unpack(packed)).isEqualTo(raster);
        }
    }

    @Test
    void aPngIsNone() {
        assertThat(StoredCopy.isPacked(PngWriter.bytes(noise(0)))).isFalse();
        assertThat(StoredCopy.isPacked(new byte[0])).isFalse();
    }

    @Test
    void damageIsSaid() {
        byte[] packed = StoredCopy.pack(noise(0));
        assertThatThrownBy(() -> StoredCopy.unpack(Arrays.copyOf(packed, packed.length / 2)))
                .isInstanceOf(UnreadablePicture.class);
        byte[] huge = packed.clone();
        huge[4] = 0x7F;
        assertThatThrownBy(() -> StoredCopy.unpack(huge)).isInstanceOf(UnreadablePicture.class);
        byte[] taller = packed.clone();
        taller[11]++;
        assertThatThrownBy(() -> StoredCopy.unpack(taller)).isInstanceOf(UnreadablePicture.class);
    }
}

package dobbin.gif;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LzwTest {
    @ParameterizedTest
    @ValueSource(ints = {2, 3, 4, 5, 6, 7, 8})
    void everyCodeSizeSurvivesTheRoundTrip(int codeSize) {
        for (int seed = 0; seed < 40; seed++) {
            Random random = new Random(seed);
            byte[] indices = new byte[1 + random.nextInt(20_000)];
            int repeats = 1 + random.nextInt(30);
            for (int i = 0; i < indices.length; i++) {
                boolean fresh = i == 0 || random.nextInt(repeats) == 0;
                indices[i] = fresh ? (byte) random.nextInt(1 << codeSize) : indices[i - 1];
            }
            assertThat(decoded(new LzwEncoder().encode(indices, codeSize), codeSize, indices.length))
                    .as("seed %d", seed)
                    .isEqualTo(indices);
        }
    }

    @Test
    void everyLengthSurvives() {
        LzwEncoder encoder = new LzwEncoder();
        for (int length = 1; length < 700; length++) {
            byte[] indices = new byte[length];
            for (int i = 0; i < length; i++) {
                indices[i] = (byte) (i * i % 5 % 4);
            }
            assertThat(decoded(encoder.encode(indices, 2), 2, length)).isEqualTo(indices);
        }
    }

    /** Ten pixels 1 1 1 1 1 2 2 2 2 2: clear 4, then 1, 6, 6, 2, 9, 9, end 5, in 3 and then 4 bits. */
    @Test
    void packsCodesLeastSignificantBitFirst() {
        byte[] data = new LzwEncoder().encode(new byte[] {1, 1, 1, 1, 1, 2, 2, 2, 2, 2}, 2);
        assertThat(data).containsExactly(0x8C, 0x2D, 0x99, 0x05);
        assertThat(decoded(data, 2, 10)).containsExactly(1, 1, 1, 1, 1, 2, 2, 2, 2, 2);
    }

    @Test
    void damagedDataGivesFewerPixelsAndNothingWorse() {
        for (int seed = 0; seed < 2_000; seed++) {
            Random random = new Random(seed);
            byte[] rubbish = new byte[random.nextInt(200)];
            random.nextBytes(rubbish);
            byte[] pixels = new byte[random.nextInt(1_000)];
            int read = new LzwDecoder().decode(rubbish, 1 + random.nextInt(11), pixels);
            assertThat(read).as("seed %d", seed).isBetween(0, pixels.length);
        }
    }

    /** Where a pixel may be either of two indices, the string decides, and it never gets longer for it. */
    @Test
    void freePixelsTakeWhicheverContinuesTheString() {
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(seed);
            byte[] indices = new byte[4_000];
            byte[] free = new byte[indices.length];
            for (int i = 0; i < indices.length; i++) {
                indices[i] = (byte) (1 + (random.nextInt(4) == 0 ? random.nextInt(15) : i / 50 % 15));
                free[i] = (byte) (i / 37 % 3 == 0 ? 1 : 0);
            }
            byte[] holes = indices.clone();
            for (int i = 0; i < holes.length; i++) {
                holes[i] = free[i] != 0 ? 0 : holes[i];
            }
            byte[] data = new LzwEncoder().encode(indices, free, 0, 4);
            byte[] shown = decoded(data, 4, indices.length);
            int kept = 0;
            for (int i = 0; i < shown.length; i++) {
                assertThat(shown[i] == indices[i] || free[i] != 0 && shown[i] == 0)
                        .as("seed %d at %d", seed, i)
                        .isTrue();
                kept += free[i] != 0 && shown[i] != 0 ? 1 : 0;
            }
            assertThat(kept).as("some are drawn again since that was shorter").isPositive();
            assertThat(data.length).isLessThan(new LzwEncoder().encode(indices, 4).length);
            assertThat(data.length).isLessThan(new LzwEncoder().encode(holes, 4).length + 40);
        }
    }

    /** A picture that repeats itself for as long as the table serves, then another one. */
    @Test
    void aFullTableIsKeptWhileItServesAndClearedWhenItDoesNot() {
        Random random = new Random(9);
        byte[] period = new byte[6_000];
        byte[] another = new byte[6_000];
        for (int i = 0; i < period.length; i++) {
            period[i] = (byte) random.nextInt(64);
            another[i] = (byte) (64 + random.nextInt(64));
        }
        byte[] indices = new byte[40 * 6_000];
        for (int i = 0; i < 40; i++) {
            System.arraycopy(i < 20 ? period : another, 0, indices, 6_000 * i, 6_000);
        }
        byte[] data = new LzwEncoder().encode(indices, 7);
        assertThat(decoded(data, 7, indices.length)).isEqualTo(indices);
        assertThat(data.length)
                .as("without any clearing each of the second half costs 12 bits")
                .isLessThan(indices.length);
    }

    private static byte[] decoded(byte[] data, int codeSize, int length) {
        byte[] pixels = new byte[length];
        Arrays.fill(pixels, (byte) 99);
        assertThat(new LzwDecoder().decode(data, codeSize, pixels)).isEqualTo(length);
        return pixels;
    }
}

package dobbin.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OklabTest {
    /** Values published for the sRGB primaries (CSS Color Module Level 4). */
    @ParameterizedTest
    @CsvSource({
        "FFFFFF, 1.00000, 0.00000, 0.00000",
        "FF0000, 0.62796, 0.22486, 0.12585",
        "00FF00, 0.86644, -0.23389, 0.17950",
        "0000FF, 0.45201, -0.03246, -0.31153",
        "000000, 0, 0, 0"
    })
    void hasThePublishedValues(String rgb, float l, float a, float b) {
        float[] lab = new float[3];
        Oklab.fromRgb(Integer.parseInt(rgb, 16), lab, 0);
        assertThat(lab[0]).isCloseTo(l, within(1e-4f));
        assertThat(lab[1]).isCloseTo(a, within(1e-4f));
        assertThat(lab[2]).isCloseTo(b, within(1e-4f));
    }

    @Test
    void colorsSurviveTheRoundTrip() {
        float[] lab = new float[3];
        for (int i = 0; i < 1 << 24; i += 977) {
            Oklab.fromRgb(i, lab, 0);
            assertThat(Oklab.toRgb(lab[0], lab[1], lab[2])).as("color %06x", i).isEqualTo(i);
        }
    }

    @Test
    void blackIsOneFromWhite() {
        assertThat(Oklab.distance(0x000000, 0xFFFFFF)).isCloseTo(1, within(1e-4));
        assertThat(Oklab.distance(0x123456, 0x123456)).isZero();
    }
}

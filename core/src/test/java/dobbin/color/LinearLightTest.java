package dobbin.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class LinearLightTest {
    @Test
    void everyValueSurvivesTheRoundTrip() {
        for (int value = 0; value < 256; value++) {
            assertThat(LinearLight.toSrgb(LinearLight.of(value))).isEqualTo(value);
        }
    }

    @Test
    void followsThePublishedCurve() {
        assertThat(LinearLight.of(0)).isZero();
        assertThat(LinearLight.of(255)).isEqualTo(1f);
        assertThat(LinearLight.of(10)).isCloseTo(0.0030353f, within(1e-6f));
        assertThat(LinearLight.of(188)).isCloseTo(0.5029f, within(1e-4f));
    }

    @Test
    void clampsWhatIsOutsideAndNotANumber() {
        assertThat(LinearLight.toSrgb(-0.1f)).isZero();
        assertThat(LinearLight.toSrgb(1.7f)).isEqualTo(255);
        assertThat(LinearLight.toSrgb(Float.NaN)).isZero();
    }
}

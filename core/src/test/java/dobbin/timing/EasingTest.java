package dobbin.timing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class EasingTest {
    @ParameterizedTest
    @EnumSource
    void allBeginAtTheOnePoseAndEndAtTheOtherExactly(Easing easing) {
        assertThat(easing.at(0)).isEqualTo(0);
        assertThat(easing.at(1)).isEqualTo(1);
    }

    @ParameterizedTest
    @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "OVERSHOOT")
    void noneGoesBackOnItsWay(Easing easing) {
        for (int i = 0; i < 100; i++) {
            assertThat(easing.at((i + 1) / 100.0)).isGreaterThanOrEqualTo(easing.at(i / 100.0));
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"EVEN", "SOFT_START", "SOFT_END", "SOFT"})
    void backwardIsTheSameSeenFromTheEnd(Easing easing) {
        for (double t = 0; t <= 1; t += 1.0 / 16) {
            assertThat(easing.backward().at(t)).isCloseTo(1 - easing.at(1 - t), within(1e-12));
        }
    }

    @Test
    void knownPlaces() {
        assertThat(Easing.HOLD.at(0.999)).isZero();
        assertThat(Easing.EVEN.at(0.25)).isEqualTo(0.25);
        assertThat(Easing.SOFT_START.at(0.5)).isEqualTo(0.25);
        assertThat(Easing.SOFT_END.at(0.5)).isEqualTo(0.75);
        assertThat(Easing.SOFT.at(0.25)).isEqualTo(0.15625);
        double most = 0;
        for (int i = 0; i <= 1000; i++) {
            most = Math.max(most, Easing.OVERSHOOT.at(i / 1000.0));
        }
        assertThat(most).isCloseTo(1.1, within(0.001));
    }
}

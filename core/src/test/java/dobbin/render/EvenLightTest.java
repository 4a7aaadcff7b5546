package dobbin.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dobbin.color.Oklab;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Fit;
import dobbin.reel.Frame;
import dobbin.reel.Light;
import dobbin.reel.Reel;
import dobbin.reel.Still;
import dobbin.skerry.SkerryPoint;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class EvenLightTest {
    private static final Size SIZE = new Size(120, 80);
    private static final Raster SCENE = SkerryPoint.sunrise(12, SIZE).get(11);

    private final Map<String, Raster> pictures = new HashMap<>();

    private Still still(Light light) {
        String name = String.format("%064x", pictures.size());
        pictures.put(name, Lit.of(SCENE, light));
        return new Still(name, "Dusk.png", SIZE, Fit.USUAL);
    }

    private Raster drawn(Still still) {
        Reel reel = Reel.empty("Dusk").withCanvas(SIZE);
        return Renderer.draw(reel, Frame.of(1, 100, still), (name, level) -> level.of(pictures.get(name)), SIZE);
    }

    private static double lightness(Raster picture) {
        float[] lab = new float[3];
        double sum = 0;
        for (int pixel : picture.argb()) {
            Oklab.fromRgb(pixel, lab, 0);
            sum += lab[0];
        }
        return sum / picture.argb().length;
    }

    private List<Double> evened(List<Still> stills) {
        List<Light> lights = EvenLight.of(stills, (name, level) -> level.of(pictures.get(name)));
        List<Double> lightness = new ArrayList<>();
        for (int i = 0; i < stills.size(); i++) {
            lightness.add(lightness(drawn(stills.get(i).withLight(lights.get(i)))));
        }
        return lightness;
    }

    @Test
    void oneThatWasExposedOtherwiseIsAsItsNeighborsAre() {
        List<Still> stills = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            stills.add(still(i == 3 ? new Light(0.9, -0.06) : Light.AS_IT_IS));
        }
        double usual = lightness(drawn(stills.get(0)));
        assertThat(lightness(drawn(stills.get(3)))).isLessThan(usual - 0.05);
        assertThat(evened(stills)).allSatisfy(each -> assertThat(each).isCloseTo(usual, within(0.004)));
    }

    @Test
    void lightThatOnlyGrowsGoesOnGrowing() {
        List<Still> stills = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            stills.add(still(new Light(1, 0.01 * i - 0.1)));
        }
        List<Light> lights = EvenLight.of(stills, (name, level) -> level.of(pictures.get(name)));
        assertThat(lights).allSatisfy(light -> {
            assertThat(light.gain()).isCloseTo(1, within(0.01));
            assertThat(light.lift()).isCloseTo(0, within(0.01));
        });
    }

    @Test
    void itsOwnLightLeavesAStillAsItIs() {
        Still still = still(Light.AS_IT_IS);
        assertThat(drawn(still.withLight(Light.AS_IT_IS))).isEqualTo(SCENE);
        Raster darker = drawn(still.withLight(new Light(1, -0.1)));
        assertThat(lightness(darker)).isCloseTo(lightness(SCENE) - 0.1, within(0.01));
    }
}

package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * How the light of a still is changed: lightness in Oklab, 0 to 1, becomes {@code gain} times itself and {@code lift}.
 */
public record Light(
        @Min(0) @Max(5) double gain, @Min(-1) @Max(1) double lift) {
    public static final Light AS_IT_IS = new Light(1, 0);

    public Light {
        Ranges.checkAmount(Light.class, "gain", gain);
        Ranges.checkAmount(Light.class, "lift", lift);
    }

    public boolean none() {
        return gain == 1 && lift == 0;
    }
}

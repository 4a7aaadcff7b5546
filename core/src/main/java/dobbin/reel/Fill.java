package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.function.Function;

/**
 * What an area is filled with: nothing, a color, or a gradient.
 *
 * @param color six hexadecimal digits, or empty for nothing
 * @param toColor where a gradient ends, or empty for none
 * @param angle where a gradient goes, in degrees clockwise from rightward, -360 to 360
 */
public record Fill(
        String color, String toColor, @Min(-360) @Max(360) double angle) implements Backdrop {
    public static final Fill NONE = new Fill("", "", 0);

    public Fill {
        Ranges.checkColorOrNone("color", color);
        Ranges.checkColorOrNone("toColor", toColor);
        Ranges.checkAmount(Fill.class, "angle", angle);
    }

    public static Fill of(String color) {
        return new Fill(color, "", 0);
    }

    public boolean none() {
        return color.isEmpty();
    }

    public boolean gradient() {
        return !none() && !toColor.isEmpty();
    }

    @Override
    public <R> R match(Function<Fill, R> fill, Function<Still, R> still) {
        return fill.apply(this);
    }
}

package dobbin.edit;

import dobbin.raster.Size;
import dobbin.reel.Fit;
import dobbin.reel.Still;

/**
 * A still that is brought in; ranges as in {@link Still}.
 *
 * @param delayMillis how long the file it came from shows it, or 0 where it does not say
 */
public record NewStill(String picture, String name, Size size, int delayMillis) {
    /** @return the still as it lies on a canvas until someone chooses */
    public Still still() {
        return new Still(picture, name, size, Fit.USUAL);
    }
}

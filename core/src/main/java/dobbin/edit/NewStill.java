package dobbin.edit;

import dobbin.raster.Size;
import dobbin.reel.Aligned;
import dobbin.reel.Fit;
import dobbin.reel.Light;
import dobbin.reel.Still;

/**
 * A still that is brought in; ranges as in {@link Still}.
 *
 * @param delayMillis how long the file it came from shows it, or 0 where it does not say
 * @param plays how often that file plays in all, 0 for without end; {@link #SAYS_NOTHING} where it does not say
 * @param taken when it was taken, as in {@link Still}
 */
public record NewStill(String picture, String name, Size size, int delayMillis, int plays, long taken) {
    public static final int SAYS_NOTHING = -1;

    public NewStill(String picture, String name, Size size, int delayMillis) {
        this(picture, name, size, delayMillis, SAYS_NOTHING, Still.NO_TIME);
    }

    public NewStill playing(int times) {
        return new NewStill(picture, name, size, delayMillis, times, taken);
    }

    public NewStill takenAt(long millis) {
        return new NewStill(picture, name, size, delayMillis, plays, millis);
    }

    /** @return the still as it lies on a canvas until someone chooses */
    public Still still() {
        return new Still(picture, name, size, Fit.USUAL, taken, Aligned.NONE, Light.AS_IT_IS);
    }
}

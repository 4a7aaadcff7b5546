package dobbin.reel;

import dobbin.raster.Size;
import java.util.function.Function;

/**
 * A picture on a frame.
 *
 * @param picture which one: the SHA-256 of its bytes, 64 hexadecimal digits
 * @param name of the file it came from
 * @param size of the upright picture in that file
 * @param fit how it lies on the canvas
 */
public record Still(String picture, String name, Size size, Fit fit) implements FrameContent, Backdrop {
    public Still {
        name = Ranges.checkName("name", name.length() > Ranges.MAX_NAME_LENGTH ? shortened(name) : name);
        Ranges.checkPicture("picture", picture, size);
        if (fit == null) {
            throw new OutOfRange("fit", "must be given");
        }
    }

    public PictureRef ref() {
        return new PictureRef(picture, size);
    }

    public Still withFit(Fit newFit) {
        return new Still(picture, name, size, newFit);
    }

    /** The end of a name tells frames apart, so its middle goes. */
    private static String shortened(String name) {
        int half = Ranges.MAX_NAME_LENGTH / 2 - 1;
        return name.substring(0, half) + "…" + name.substring(name.length() - half);
    }

    @Override
    public <R> R match(Function<Still, R> still, Function<Card, R> card, Function<CrossFade, R> fade) {
        return still.apply(this);
    }

    @Override
    public <R> R match(Function<Fill, R> fill, Function<Still, R> still) {
        return still.apply(this);
    }
}

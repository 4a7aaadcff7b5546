package dobbin.reel;

import dobbin.raster.Affine;
import dobbin.raster.Homography;
import dobbin.raster.Region;
import dobbin.raster.Size;
import java.util.function.Function;

/**
 * A picture on a frame.
 *
 * @param picture which one: the SHA-256 of its bytes, 64 hexadecimal digits
 * @param name of the file it came from
 * @param size of the upright picture in that file
 * @param fit how it lies on the canvas
 * @param taken when it was taken, in milliseconds since 1970 began; {@link #NO_TIME} where that is not known
 * @param aligned how it is moved before that, to lie on another one
 * @param light how its light is changed, to be even with that of others
 */
public record Still(String picture, String name, Size size, Fit fit, long taken, Aligned aligned, Light light)
        implements FrameContent, Backdrop {
    public static final long NO_TIME = 0;

    /** The first moment of the year 1, and the last of 9999, in UTC. */
    private static final long EARLIEST = -62_135_596_800_000L;

    private static final long LATEST = 253_402_300_799_999L;

    public Still {
        String clean = Ranges.withoutControls(name);
        name = Ranges.checkName("name", clean.length() > Ranges.MAX_NAME_LENGTH ? shortened(clean) : clean);
        Ranges.checkPicture("picture", picture, size);
        if (taken < EARLIEST || taken > LATEST) {
            throw new OutOfRange("taken", "must be between the years 1 and 9999");
        }
        if (fit == null) {
            throw new OutOfRange("fit", "must be given");
        }
        aligned = aligned == null ? Aligned.NONE : aligned;
        light = light == null ? Light.AS_IT_IS : light;
    }

    public Still(String picture, String name, Size size, Fit fit) {
        this(picture, name, size, fit, NO_TIME, Aligned.NONE, Light.AS_IT_IS);
    }

    public PictureRef ref() {
        return new PictureRef(picture, size);
    }

    public Still withFit(Fit newFit) {
        return new Still(picture, name, size, newFit, taken, aligned, light);
    }

    public Still withAligned(Aligned newAligned) {
        return new Still(picture, name, size, fit, taken, newAligned, light);
    }

    public Still withLight(Light newLight) {
        return new Still(picture, name, size, fit, taken, aligned, newLight);
    }

    /** @return from the pixels of the upright picture in its file to the canvas */
    public Homography place(Size canvas) {
        Region region = fit.place(size, canvas);
        return aligned.place(size)
                .then(Affine.scale(region.width() / size.width(), region.height() / size.height()))
                .then(Affine.shift(region.x(), region.y()));
    }

    /** @return whether it leaves some of the canvas bare */
    public boolean leavesBare(Size canvas) {
        return aligned.none() ? fit.leavesBare(size, canvas) : !coversCorners(canvas);
    }

    private boolean coversCorners(Size canvas) {
        double slack = 0.5;
        Homography back = place(canvas).inverse();
        for (double x : new double[] {slack, canvas.width() - slack}) {
            for (double y : new double[] {slack, canvas.height() - slack}) {
                double across = back.x(x, y);
                double down = back.y(x, y);
                if (back.divisor(x, y) <= 0
                        || across < 0
                        || across > size.width()
                        || down < 0
                        || down > size.height()) {
                    return false;
                }
            }
        }
        return true;
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

package dobbin.render;

import dobbin.raster.Affine;
import dobbin.raster.Bounds;
import dobbin.raster.Homography;
import dobbin.raster.Raster;
import dobbin.raster.Region;
import dobbin.raster.Size;
import dobbin.reel.Aligned;
import dobbin.reel.OutOfRange;
import dobbin.reel.Still;
import dobbin.register.Area;
import dobbin.register.CommonBox;
import dobbin.register.LineUp;
import dobbin.register.MotionModel;
import dobbin.register.Registration;
import java.util.List;
import java.util.Optional;

/** Lines stills of a reel up to one of them, which stays where it is. */
public final class LiningUp {
    /** Pictures of this level are larger than what is compared. */
    static final Level LEVEL = Level.MEDIUM;

    /** Width of the soft edge of a placed still, in pixels. */
    private static final double SOFT_EDGE = 1.5;

    private final Still to;
    private final Size canvas;
    private final Pictures pictures;
    private final Size size;
    private final LineUp lineUp;

    public LiningUp(Still to, Size canvas, Pictures pictures) {
        this(to, Area.ALL, MotionModel.SIMILARITY, canvas, pictures);
    }

    /** @param area the part of {@code to} that others are lined up by */
    public LiningUp(Still to, Area area, MotionModel motion, Size canvas, Pictures pictures) {
        Raster picture = pictures.raster(to.picture(), LEVEL);
        this.to = to;
        this.canvas = canvas;
        this.pictures = pictures;
        this.size = picture.size();
        this.lineUp = new LineUp(picture, area, motion);
    }

    /**
     * @param onCanvas a part of the canvas
     * @return which part of a still shows there, or empty where that is too little to line up by
     */
    public static Optional<Area> shownAt(Bounds onCanvas, Still still, Size canvas) {
        Homography back = still.place(canvas).inverse();
        Region region = Homography.of(Affine.shift(onCanvas.left(), onCanvas.top()))
                .then(back)
                .around(onCanvas.width(), onCanvas.height());
        double width = still.size().width();
        double height = still.size().height();
        double left = Math.max(0, region.x() / width);
        double top = Math.max(0, region.y() / height);
        double right = Math.min(1, (region.x() + region.width()) / width);
        double bottom = Math.min(1, (region.y() + region.height()) / height);
        return right - left < Area.LEAST || bottom - top < Area.LEAST
                ? Optional.empty()
                : Optional.of(new Area(left, top, right, bottom));
    }

    /** @return how the still is to be moved, or empty where it does not match */
    public Optional<Aligned> of(Still still) {
        if (still.equals(to)) {
            return Optional.of(to.aligned());
        }
        if (still.picture().equals(to.picture())) {
            return moved(still, Homography.NONE, 1);
        }
        Raster picture = pictures.raster(still.picture(), LEVEL);
        Registration found = lineUp.of(picture);
        Homography place = Homography.of(scale(still.size(), picture.size()))
                .then(found.place(picture.size(), size))
                .then(scale(size, to.size()));
        return found.found() ? moved(still, place, found.sure()) : Optional.empty();
    }

    /** @param onOther from the still's pixels to those of the one it is lined up to */
    private Optional<Aligned> moved(Still still, Homography onOther, double sure) {
        Homography onCanvas = onOther.then(to.place(canvas));
        Homography fitted = still.withAligned(Aligned.NONE).place(canvas);
        try {
            return Optional.of(Aligned.of(onCanvas.then(fitted.inverse()), still.size(), sure));
        } catch (OutOfRange e) {
            // Seen so much from the side, it does not match in earnest.
            return Optional.empty();
        }
    }

    static Affine scale(Size from, Size to) {
        return Affine.scale((double) to.width() / from.width(), (double) to.height() / from.height());
    }

    /** @return the largest box of the canvas that every one of the stills covers; all of it where there is none */
    public static Bounds common(List<Still> stills, Size canvas) {
        boolean[] covered = new boolean[Math.toIntExact(canvas.area())];
        List<Homography> back =
                stills.stream().map(still -> still.place(canvas).inverse()).toList();
        double[] softAcross = new double[back.size()];
        double[] softDown = new double[back.size()];
        for (int s = 0; s < back.size(); s++) {
            Affine near = back.get(s).near(canvas.width() / 2.0, canvas.height() / 2.0);
            double edge = stills.get(s).aligned().none() ? 0 : SOFT_EDGE;
            softAcross[s] = edge * near.across();
            softDown[s] = edge * near.down();
        }
        for (int i = 0; i < covered.length; i++) {
            double x = i % canvas.width() + 0.5;
            double y = i / canvas.width() + 0.5;
            covered[i] = true;
            for (int s = 0; s < back.size() && covered[i]; s++) {
                Homography toStill = back.get(s);
                Size still = stills.get(s).size();
                covered[i] = isWithin(toStill.x(x, y), still.width(), softAcross[s])
                        && isWithin(toStill.y(x, y), still.height(), softDown[s]);
            }
        }
        return CommonBox.of(covered, canvas);
    }

    private static boolean isWithin(double at, int length, double edge) {
        return at >= edge && at <= length - edge;
    }
}

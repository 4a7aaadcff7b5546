package dobbin.register;

import dobbin.raster.Affine;
import dobbin.raster.Homography;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Lines stills up to one of them. First all turns, scales and shifts in a range are tried on very small pictures; the
 * likeliest are improved ({@link WarpRefiner}) on larger and larger ones.
 */
public final class LineUp {
    private static final int LONGER_SIDE = 640;
    /** The smallest planes are less than twice as long, or as narrow. */
    private static final int SMALL = 40;

    private static final int NARROW = 12;
    private static final int CANDIDATES = 6;
    private static final double MOST_TURN = 8;
    private static final double TURN_STEP = 2;
    private static final double[] SCALES = {0.93, 1, 1.07};

    /** How far a middle may lie off, as a share of the side. */
    private static final double MOST_SHIFT = 0.14;

    /** From this size on, half of the largest, lightness is compared. */
    private static final int LAST_OF_EDGES = 1;

    private static final double FIRST_SPREAD = 0.1;
    private static final double LATER_SPREAD = 0.02;
    private static final double SURE_ENOUGH = 0.3;

    /** Pixels of the other still to one of the largest plane. */
    private final double pixels;
    /** From the largest to the smallest. */
    private final List<Plane> planes;

    private final List<Plane> edges;

    private record Candidate(Homography warp, double likeness) {}

    private final Area area;
    private final MotionModel motion;

    /** @param other the still that others are lined up to */
    public LineUp(Raster other) {
        this(other, Area.ALL, MotionModel.SIMILARITY);
    }

    /** @param area the part of it that they are lined up by */
    public LineUp(Raster other, Area area, MotionModel motion) {
        this.area = area;
        this.motion = motion;
        this.pixels =
                (double) other.width() / other.size().reducedTo(LONGER_SIDE).width();
        this.planes = pyramid(other);
        this.edges = edges(planes);
    }

    private List<Plane> pyramid(Raster picture) {
        // Of one scale, also where a still has other dimensions.
        Size reduced = new Size((int) Math.max(2, Math.round(picture.width() / pixels)), (int)
                Math.max(2, Math.round(picture.height() / pixels)));
        List<Plane> pyramid = new ArrayList<>();
        Plane plane = Plane.of(picture, reduced).softened();
        pyramid.add(plane);
        while (Math.max(plane.width(), plane.height()) >= 2 * SMALL
                && Math.min(plane.width(), plane.height()) >= NARROW) {
            plane = plane.half();
            pyramid.add(plane);
        }
        return pyramid;
    }

    private static List<Plane> edges(List<Plane> planes) {
        return planes.stream().map(Plane::edges).toList();
    }

    /** @return how the still lies on the other one; as it was where it does not match */
    public Registration of(Raster still) {
        List<Plane> stills = pyramid(still);
        int levels = planes.size();
        if (stills.size() < levels) {
            // Far smaller than the other one.
            return Registration.asItWas(0);
        }
        List<Plane> stillEdges = edges(stills);
        List<Candidate> candidates = guessed(edges.get(levels - 1), stillEdges.get(levels - 1));
        for (int level = levels - 1; level >= 0; level--) {
            boolean isFirst = level == levels - 1;
            List<Candidate> improved = new ArrayList<>();
            for (Candidate candidate : candidates) {
                Homography warp = isFirst ? candidate.warp : timesAsLarge(2, candidate.warp);
                improved.add(improved(level, stills.get(level), stillEdges.get(level), warp));
            }
            improved.sort(Comparator.comparingDouble(Candidate::likeness).reversed());
            candidates = improved.subList(0, Math.max(1, improved.size() / 2));
        }
        Homography found = candidates.get(0).warp;
        int looked = Math.min(1, levels - 1);
        Homography there = looked == 0 ? found : timesAsLarge(0.5, found);
        double sure = Math.max(0, Likeness.of(edges.get(looked), area, stillEdges.get(looked), there));
        return sure < SURE_ENOUGH
                ? Registration.asItWas(sure)
                : new Registration(timesAsLarge(pixels, found.inverse().normalized()), sure, true);
    }

    /** @return the same on pictures so many times as large */
    private static Homography timesAsLarge(double times, Homography warp) {
        return new Homography(
                warp.xx(),
                warp.xy(),
                warp.yx(),
                warp.yy(),
                times * warp.dx(),
                times * warp.dy(),
                warp.wx() / times,
                warp.wy() / times);
    }

    /** By edges while pictures are small; by all lightness once it is near, since fine edges are mostly noise. */
    private Candidate improved(int level, Plane still, Plane stillEdges, Homography warp) {
        // The smallest pictures show too little to tell a perspective from a turn.
        MotionModel free = level == planes.size() - 1 ? MotionModel.SIMILARITY : motion;
        Homography better = level > LAST_OF_EDGES
                ? WarpRefiner.improved(edges.get(level), area, stillEdges, free, warp, FIRST_SPREAD)
                : WarpRefiner.improved(planes.get(level), area, still, free, warp, LATER_SPREAD);
        double before = Likeness.of(edges.get(level), area, stillEdges, warp);
        double after = Likeness.of(edges.get(level), area, stillEdges, better);
        return after >= before ? new Candidate(better, after) : new Candidate(warp, before);
    }

    private List<Candidate> guessed(Plane other, Plane still) {
        List<Candidate> guesses = new ArrayList<>();
        int mostX = (int) Math.ceil(MOST_SHIFT * other.width());
        int mostY = (int) Math.ceil(MOST_SHIFT * other.height());
        for (double turn = -MOST_TURN; turn <= MOST_TURN; turn += TURN_STEP) {
            for (double scale : SCALES) {
                Affine turned = Affine.scale(scale, scale).then(Affine.turn(turn));
                Candidate best = null;
                for (int dy = -mostY; dy <= mostY; dy++) {
                    for (int dx = -mostX; dx <= mostX; dx++) {
                        Homography warp = Homography.of(turned.then(Affine.shift(dx, dy)));
                        double likeness = Likeness.of(other, area, still, warp);
                        best = best == null || likeness > best.likeness ? new Candidate(warp, likeness) : best;
                    }
                }
                guesses.add(best);
            }
        }
        guesses.sort(Comparator.comparingDouble(Candidate::likeness).reversed());
        return guesses.subList(0, CANDIDATES);
    }
}

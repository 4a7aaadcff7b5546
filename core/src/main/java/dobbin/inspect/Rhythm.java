package dobbin.inspect;

import java.util.Arrays;

/**
 * A loop's changes, step by step.
 *
 * @param changes for each frame, how much it differs from the one before it, 0 to 1; the first from the last
 * @param usual the median of the steps other than the seam
 * @param seamRatio how large the jump from last to first is against the loop's usual step, 1 meaning no larger; 0 where
 *     nothing moves
 * @param seam the same as a verdict
 */
public record Rhythm(double[] changes, double usual, double seamRatio, Seam seam) {
    /** How the step from the last frame to the first compares with the usual step. */
    public enum Seam {
        /** Fewer than three frames: the way back is the way there. */
        NONE,
        /** Every step is a cut from one picture to another, and so is the seam. */
        CUTS,
        /** The last frame repeats the first: the loop stops for a beat. */
        REPEATS,
        /** As large as the usual step, or hardly larger. */
        SMOOTH,
        /** Larger than the usual step. */
        VISIBLE,
        /** Many times as large as the usual step. */
        JUMP
    }

    /** Less than this is no change. */
    static final double NOTHING = 0.0005;

    private static final double HARDLY_MORE = 1.6;
    private static final double MUCH_MORE = 4;

    /** @param changes as in the record; the first is the seam */
    public static Rhythm of(double[] changes) {
        return of(changes, false);
    }

    /** @param cuts whether the steps are cuts between pictures that have nothing in common */
    static Rhythm of(double[] changes, boolean cuts) {
        if (changes.length < 2) {
            return new Rhythm(changes, 0, 0, Seam.NONE);
        }
        double usual = median(Arrays.copyOfRange(changes, 1, changes.length));
        double ratio = changes[0] / Math.max(usual, NOTHING);
        Seam seam = changes.length == 2 ? Seam.NONE : verdict(changes[0], usual, ratio, cuts);
        return new Rhythm(changes, usual, ratio, seam);
    }

    /** @return whether a seam of so many usual steps is hardly larger than they are */
    static boolean isSmooth(double seamRatio) {
        return seamRatio <= HARDLY_MORE;
    }

    private static Seam verdict(double seam, double usual, double ratio, boolean cuts) {
        if (seam < NOTHING) {
            return usual < NOTHING ? Seam.SMOOTH : Seam.REPEATS;
        }
        if (cuts) {
            return Seam.CUTS;
        }
        if (isSmooth(ratio)) {
            return Seam.SMOOTH;
        }
        return ratio <= MUCH_MORE ? Seam.VISIBLE : Seam.JUMP;
    }

    private static double median(double[] values) {
        Arrays.sort(values);
        int middle = values.length / 2;
        return values.length % 2 == 1 ? values[middle] : (values[middle - 1] + values[middle]) / 2;
    }
}

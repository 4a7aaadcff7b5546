package dobbin.draw;

import dobbin.raster.Raster;
import java.util.Arrays;

/** Finds the pixels around one that look like it, run by run along the rows (A. R. Smith, "Tint fill", 1979). */
final class Flood implements PixelRuns.Reach {
    private static final int ALPHA = 24;

    private final int[] argb;
    private final int wanted;
    private final int tolerance;
    private final int[] row;

    private Flood(Raster picture, int wanted, int tolerance) {
        this.argb = picture.argb();
        this.wanted = wanted;
        this.tolerance = tolerance;
        this.row = new int[picture.width()];
        Arrays.fill(row, wanted);
    }

    /**
     * @param tolerance 0 to 255, how far a channel may be off
     * @param gap openings up to so many pixels wide are closed
     * @param corners whether pixels that touch at a corner are neighbors
     * @return what belongs
     */
    static PixelRuns from(Raster picture, int x, int y, int tolerance, int gap, boolean corners) {
        int width = picture.width();
        PixelRuns alike = PixelRuns.of(width, picture.height(), new Flood(picture, picture.pixel(x, y), tolerance));
        int away = (gap + 1) / 2;
        PixelRuns closed = away == 0 ? null : new Gaps(alike, width, away).filled(x, y, corners);
        return closed != null ? closed : alike.connected(y * width + x, corners);
    }

    @Override
    public int endOfRun(int at, int end) {
        int past = at;
        while (past < end && isNear(argb[past], wanted, tolerance)) {
            int same = argb[past] == wanted ? Arrays.mismatch(argb, past, end, row, 0, end - past) : 1;
            past = same < 0 ? end : past + same;
        }
        return past;
    }

    @Override
    public int startOfRun(int at, int end) {
        int next = at;
        while (next < end && !isNear(argb[next], wanted, tolerance)) {
            next++;
        }
        return next;
    }

    static boolean isNear(int pixel, int wanted, int tolerance) {
        int alpha = pixel >>> ALPHA;
        int wantedAlpha = wanted >>> ALPHA;
        if (alpha == 0 && wantedAlpha == 0) {
            return true;
        }
        int worst = Math.abs(alpha - wantedAlpha);
        int least = Math.min(alpha, wantedAlpha);
        for (int shift = 0; shift < ALPHA; shift += 8) {
            int off = Math.abs((pixel >> shift & 0xFF) - (wanted >> shift & 0xFF));
            worst = Math.max(worst, off * least / 255);
        }
        return worst <= tolerance;
    }
}

package dobbin.render;

import dobbin.raster.Raster;
import dobbin.raster.Resampler;
import dobbin.raster.Size;
import dobbin.still.StillReader;

/**
 * How large a picture is taken to be drawn from. Drawing a small frame from all of a large photograph costs far more than
 * it shows, so smaller copies stand ready; which one is used depends on the drawn size alone, and so it is the same for
 * preview and delivery, here and elsewhere.
 */
public enum Level {
    SMALL(320, 256),
    MEDIUM(800, 640),
    FULL(StillReader.WORKING_SIDE, Integer.MAX_VALUE);

    private final int side;
    private final int largestDrawn;

    /**
     * @param side the longer side of a copy
     * @param largestDrawn the longer side up to which frames are drawn from it, at least a quarter less than it has
     */
    Level(int side, int largestDrawn) {
        this.side = side;
        this.largestDrawn = largestDrawn;
    }

    /** @return the smallest level that {@code drawn} can be drawn from */
    static Level forDrawing(Size drawn) {
        int longer = Math.max(drawn.width(), drawn.height());
        for (Level level : values()) {
            if (longer <= level.largestDrawn) {
                return level;
            }
        }
        return FULL;
    }

    /** @return whether a picture of that size has a copy of its own here; one not twice as large is used as it is */
    public boolean hasCopyOf(Size working) {
        return this != FULL && Math.max(working.width(), working.height()) >= 2 * side;
    }

    /** @return {@code working} as it is drawn from at this level */
    public Raster of(Raster working) {
        return hasCopyOf(working.size())
                ? Resampler.resize(working.rows(), working.size().reducedTo(side))
                : working;
    }
}

package dobbin.apng;

import dobbin.raster.Bounds;
import dobbin.raster.Disposal;
import dobbin.raster.Size;
import dobbin.still.PngChunks.Chunk;
import dobbin.still.UnreadablePicture;

/**
 * Where a frame is drawn, how, and for how long: an {@code fcTL} chunk.
 *
 * @param place on the canvas
 * @param delayMillis as the file says it, to the nearest millisecond
 * @param disposal what becomes of the place before the next frame
 * @param replaces whether it takes the place of what is there and is not laid over it
 */
record FrameControl(Bounds place, int delayMillis, Disposal disposal, boolean replaces) {
    private static final int LENGTH = 26;
    private static final int USUAL_PARTS = 100;
    private static final double MILLIS = 1000;

    static FrameControl of(Chunk chunk, Size canvas, boolean isFirst) throws UnreadablePicture {
        if (chunk.length() != LENGTH) {
            throw new UnreadablePicture("has a frame control of " + chunk.length() + " bytes instead of " + LENGTH);
        }
        long width = chunk.number(4);
        long height = chunk.number(8);
        long x = chunk.number(12);
        long y = chunk.number(16);
        if (width < 1 || height < 1 || x + width > canvas.width() || y + height > canvas.height()) {
            throw new UnreadablePicture("has a frame that does not lie on its canvas of " + canvas);
        }
        int parts = chunk.shortNumber(22) == 0 ? USUAL_PARTS : chunk.shortNumber(22);
        int millis = (int) Math.round(MILLIS * chunk.shortNumber(20) / parts);
        int disposal = chunk.octet(24);
        if (disposal >= Disposal.values().length || chunk.octet(25) > 1) {
            throw new UnreadablePicture("has a frame control with unknown values");
        }
        Disposal then = Disposal.values()[disposal];
        // Nothing was there before the first frame.
        return new FrameControl(
                new Bounds((int) x, (int) y, (int) (x + width), (int) (y + height)),
                millis,
                isFirst && then == Disposal.PUT_BACK ? Disposal.CLEAR : then,
                chunk.octet(25) == 0);
    }
}

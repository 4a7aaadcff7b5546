package dobbin.still;

import dobbin.raster.Raster;

/** Draws SVG files: {@link SvgDrawing#read} on the calling thread, others elsewhere. */
@FunctionalInterface
public interface SvgRenderer {
    /**
     * @param longerSide of the picture, 1 to 1,600; 0 for its own size, as far as that is no larger
     * @throws UnreadablePicture where it is damaged, or takes too much to draw
     * @throws java.util.concurrent.CancellationException from {@code checkpoint}
     */
    Raster draw(byte[] file, int longerSide, Checkpoint checkpoint) throws UnreadablePicture;
}

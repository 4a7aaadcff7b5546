package dobbin.still;

import dobbin.raster.Size;

/**
 * What a decoder may take on, checked against what a file says of itself before anything is allocated.
 *
 * @param maxPixels of one picture, width times height as stored
 * @param maxFrames of one animation
 * @param maxBytes of the file
 */
public record DecodeLimits(long maxPixels, int maxFrames, long maxBytes) {
    /** The longest side of a picture, in pixels. */
    public static final int MAX_SIDE = 30_000;

    /** 50 megapixels, 2,000 frames, 64 MB. */
    public static final DecodeLimits USUAL = new DecodeLimits(50_000_000, 2_000, 64_000_000);

    public DecodeLimits {
        if (maxPixels < 1 || maxFrames < 1 || maxBytes < 1) {
            throw new IllegalArgumentException("Limits are at least 1");
        }
    }

    /** @throws UnreadablePicture where a picture of that size is too long or too high */
    public static void checkSides(Size size) throws UnreadablePicture {
        if (Math.max(size.width(), size.height()) > MAX_SIDE) {
            throw new UnreadablePicture("is " + size + " pixels; a side may have at most " + MAX_SIDE
                    + ". Cut it or make it smaller first");
        }
    }

    /** @return how many pixels all pictures of one file may have together, each frame of an animation counted as large as the screen */
    public long maxPixelsInAll() {
        return 20 * maxPixels;
    }

    /** @throws UnreadablePicture where the pictures of one file have more pixels together than can be read */
    public void checkPixelsInAll(long pixels) throws UnreadablePicture {
        if (pixels > maxPixelsInAll()) {
            throw new UnreadablePicture("holds pictures of " + pixels / 1_000_000 + " megapixels in all; at most "
                    + maxPixelsInAll() / 1_000_000
                    + " can be read. Make them smaller, or bring fewer of them");
        }
    }
}

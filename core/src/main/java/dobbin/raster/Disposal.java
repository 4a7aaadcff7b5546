package dobbin.raster;

/** What a viewer does with a frame's area once its time is over, in GIF and in animated PNG. */
public enum Disposal {
    /** It stays, and the next frame is drawn over it. */
    KEEP,
    /** It is cleared. */
    CLEAR,
    /** What was there before comes back. */
    PUT_BACK
}

package dobbin.gather;

/**
 * What someone may choose of how a file becomes stills.
 *
 * @param longerSide of a picture that can be drawn at any size, 1 to 1,600; {@link #OWN_SIZE} for its own
 * @param flattened whether the layers of a layered file become one still; else each becomes one
 */
public record GatherOptions(int longerSide, boolean flattened) {
    public static final int OWN_SIZE = 0;

    /** A picture that can be drawn at any size is drawn at its own, where that is not too large. */
    public static final GatherOptions USUAL = new GatherOptions(OWN_SIZE, false);
}

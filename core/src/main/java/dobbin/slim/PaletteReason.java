package dobbin.slim;

/** Why a file has one palette, or several. */
public enum PaletteReason {
    /** It was asked for. */
    WANTED,
    /** There is but one frame. */
    ONE_FRAME,
    /** One palette holds every color there is. */
    HOLDS_ALL,
    /** Frames with palettes of their own would hardly look better. */
    AS_GOOD,
    /** The colors change too much for one. */
    COLORS_CHANGE
}

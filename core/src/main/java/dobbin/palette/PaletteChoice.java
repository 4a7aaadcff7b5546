package dobbin.palette;

/** How many palettes a loop has. */
public enum PaletteChoice {
    /** One for the loop where that looks as good, else a new one whenever it pays. */
    AUTO,
    /** One for the whole loop. */
    LOOP,
    /** Every frame its own. */
    FRAME
}

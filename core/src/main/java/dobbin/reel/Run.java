package dobbin.reel;

/**
 * A name for some frames that follow one another; they say themselves that they belong to it.
 *
 * @param id different from all other runs' in the reel
 */
public record Run(int id, String name) {
    /** Run id of frames that belong to no run. */
    public static final int NONE = 0;

    public Run {
        name = Ranges.checkName("name", name);
    }
}

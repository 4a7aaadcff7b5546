package dobbin.palette;

/**
 * Up to 256 colors, and perhaps one more entry that is transparent. Entries are 0xRRGGBB; the transparent entry, where
 * there is one, comes last and is not a color.
 */
public final class Palette {
    public static final int MAX_ENTRIES = 256;

    private final int[] colors;
    private final boolean transparent;

    private Palette(int[] colors, boolean transparent) {
        int entries = colors.length + (transparent ? 1 : 0);
        if (entries < 1 || entries > MAX_ENTRIES) {
            throw new IllegalArgumentException("A palette has 1 to " + MAX_ENTRIES + " entries, not " + entries);
        }
        this.colors = colors.clone();
        this.transparent = transparent;
    }

    public static Palette opaque(int... colors) {
        return new Palette(colors, false);
    }

    public static Palette withTransparency(int... colors) {
        return new Palette(colors, true);
    }

    /** @return the colors, the transparent entry left out; a copy */
    public int[] colors() {
        return colors.clone();
    }

    /** @return all entries, the transparent one included */
    public int entries() {
        return colors.length + (transparent ? 1 : 0);
    }

    /** @return the index of the transparent entry, or -1 */
    public int transparentIndex() {
        return transparent ? colors.length : -1;
    }
}

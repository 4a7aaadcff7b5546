package dobbin.palette;

import java.util.Arrays;

/**
 * Up to 256 entries, 0xRRGGBB. Where one is transparent, it is entry 0: frames that need only the first few entries can
 * then be written with short codes.
 */
public final class Palette {
    public static final int MAX_ENTRIES = 256;

    private final int[] colors;
    private final int firstColor;

    private Palette(int[] colors, boolean transparent) {
        this.firstColor = transparent ? 1 : 0;
        int entries = colors.length + firstColor;
        if (entries < 1 || entries > MAX_ENTRIES) {
            throw new IllegalArgumentException("A palette has 1 to " + MAX_ENTRIES + " entries, not " + entries);
        }
        this.colors = colors.clone();
    }

    /** @param transparent whether entry 0 is transparent and the colors begin at 1 */
    public static Palette of(boolean transparent, int... colors) {
        return new Palette(colors, transparent);
    }

    /** @return the colors, the transparent entry left out; a copy */
    public int[] colors() {
        return colors.clone();
    }

    /** @return all entries, the transparent one included */
    public int entries() {
        return colors.length + firstColor;
    }

    /** @return bits that an index needs, 1 to 8 */
    public int bits() {
        return Math.max(1, 32 - Integer.numberOfLeadingZeros(entries() - 1));
    }

    /** @return the index of the first color: 0, or 1 behind a transparent entry */
    public int firstColor() {
        return firstColor;
    }

    /** @return the index of the transparent entry, 0, or -1 */
    public int transparentIndex() {
        return firstColor - 1;
    }

    /** @param index of an entry; its color, 0xRRGGBB, and 0 for the transparent one */
    public int rgb(int index) {
        return index < firstColor ? 0 : colors[index - firstColor];
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Palette that && firstColor == that.firstColor && Arrays.equals(colors, that.colors);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.hashCode(colors) + firstColor;
    }
}

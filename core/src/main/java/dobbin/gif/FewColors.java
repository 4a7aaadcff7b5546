package dobbin.gif;

import dobbin.palette.Palette;
import java.util.Arrays;

/**
 * A frame's indices with a palette of only what it uses, in the order of first use.
 *
 * @param indices of {@code palette}
 */
record FewColors(byte[] indices, Palette palette) {
    /** More colors than this cost more bytes in the file than short codes save. */
    private static final int MANY = 64;

    /**
     * @param mayHaveHoles whether the transparent entry is wanted although no index says so
     * @return null where many colors are used
     */
    static FewColors of(byte[] indices, boolean mayHaveHoles, Palette of) {
        int[] places = new int[Palette.MAX_ENTRIES];
        Arrays.fill(places, -1);
        int hole = of.transparentIndex();
        boolean holes = hole >= 0 && (mayHaveHoles || contains(indices, (byte) hole));
        int used = 0;
        if (holes) {
            places[hole] = used++;
        }
        int[] colors = new int[MANY];
        int count = 0;
        for (byte each : indices) {
            int index = each & 0xFF;
            if (places[index] < 0) {
                if (count == MANY) {
                    return null;
                }
                places[index] = used++;
                colors[count++] = of.rgb(index);
            }
        }
        byte[] renumbered = new byte[indices.length];
        for (int i = 0; i < indices.length; i++) {
            renumbered[i] = (byte) places[indices[i] & 0xFF];
        }
        return new FewColors(renumbered, Palette.of(holes, Arrays.copyOf(colors, count)));
    }

    private static boolean contains(byte[] indices, byte wanted) {
        for (byte index : indices) {
            if (index == wanted) {
                return true;
            }
        }
        return false;
    }
}

package dobbin.raster;

/** Enlarges as browsers do: between the four nearest pixels, on sRGB values. */
public final class Bilinear {
    private static final int OPAQUE = 0xFF000000;
    private static final int RED_BLUE = 0xFF00FF;
    private static final int GREEN = 0xFF00;
    private static final int SHARE_BITS = 8;
    private static final int ONE = 1 << SHARE_BITS;
    private static final int HALVES = 0x800080;

    private Bilinear() {}

    /** @param opaque without transparency */
    public static Raster resize(Raster opaque, Size size) {
        if (opaque.size().equals(size)) {
            return opaque;
        }
        Axis across = Axis.of(opaque.width(), size.width());
        Axis down = Axis.of(opaque.height(), size.height());
        int[] source = opaque.argb();
        int[] argb = new int[Math.toIntExact(size.area())];
        int[] row = new int[opaque.width()];
        for (int y = 0, out = 0; y < size.height(); y++) {
            int top = down.first[y] * row.length;
            int bottom = down.second[y] * row.length;
            for (int x = 0; x < row.length; x++) {
                row[x] = mixed(source[top + x], source[bottom + x], down.share[y]);
            }
            for (int x = 0; x < size.width(); x++, out++) {
                argb[out] = OPAQUE | mixed(row[across.first[x]], row[across.second[x]], across.share[x]);
            }
        }
        return Raster.of(size, argb);
    }

    /** Red and blue at once, then green. */
    private static int mixed(int a, int b, int share) {
        int redBlue = (a & RED_BLUE) * (ONE - share) + (b & RED_BLUE) * share + HALVES;
        int green = (a & GREEN) * (ONE - share) + (b & GREEN) * share + (HALVES & 0xFFFF) * ONE;
        return redBlue >>> SHARE_BITS & RED_BLUE | green >>> SHARE_BITS & GREEN;
    }

    /** Of each place along one axis the two source places it lies between, and how far it is towards the second, in 256ths. */
    private record Axis(int[] first, int[] second, int[] share) {
        static Axis of(int from, int to) {
            Axis axis = new Axis(new int[to], new int[to], new int[to]);
            for (int i = 0; i < to; i++) {
                double at = Math.max(0, Math.min(from - 1, (i + 0.5) * from / to - 0.5));
                axis.first[i] = (int) at;
                axis.second[i] = Math.min(from - 1, axis.first[i] + 1);
                axis.share[i] = (int) Math.round((at - axis.first[i]) * ONE);
            }
            return axis;
        }
    }
}

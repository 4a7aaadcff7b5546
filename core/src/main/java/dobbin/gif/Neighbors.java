package dobbin.gif;

import dobbin.palette.NearestColor;

/** For each palette index, which are close enough to stand in for it, itself among them: sets of 256 bits. */
final class Neighbors {
    private final long[] sets;

    /**
     * @param firstColor the index of the first color
     * @param squaredReach how far apart two colors may be, squared
     */
    Neighbors(NearestColor colors, int firstColor, float squaredReach) {
        float[] lab = colors.lab();
        int count = lab.length / 3;
        sets = new long[LzwStrings.WORDS * (firstColor + count)];
        for (int color = 0; color < count; color++) {
            for (int other = 0; other < count; other++) {
                if (colors.squaredDistance(other, lab[3 * color], lab[3 * color + 1], lab[3 * color + 2])
                        < squaredReach) {
                    int index = firstColor + other;
                    sets[LzwStrings.WORDS * (firstColor + color) + (index >> 6)] |= 1L << index;
                }
            }
        }
    }

    /** @return of the indices from {@code 64 * word} on, a bit for each neighbor */
    long of(int index, int word) {
        return sets[LzwStrings.WORDS * index + word];
    }
}

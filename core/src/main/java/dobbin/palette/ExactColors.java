package dobbin.palette;

import java.util.Arrays;

/** Different colors and how often each was seen, until there are more than a palette holds. */
final class ExactColors {
    private static final int SLOTS = 1024;
    private static final int FREE = -1;

    private final int[] colors = new int[SLOTS];
    private final long[] counts = new long[SLOTS];
    private int distinct;

    ExactColors() {
        Arrays.fill(colors, FREE);
    }

    boolean full() {
        return distinct > Palette.MAX_ENTRIES;
    }

    /** Marks the tally as overflowed: it has more distinct colors than it can count. */
    void fill() {
        distinct = Palette.MAX_ENTRIES + 1;
    }

    int distinct() {
        return distinct;
    }

    void add(int rgb, long count) {
        if (full()) {
            return;
        }
        int slot = (rgb * 0x9E3779B1) >>> 22;
        while (colors[slot] != FREE && colors[slot] != rgb) {
            slot = slot + 1 & SLOTS - 1;
        }
        if (colors[slot] == FREE) {
            colors[slot] = rgb;
            distinct++;
        }
        counts[slot] += count;
    }

    void addAll(ExactColors other) {
        if (other.full()) {
            distinct = Math.max(distinct, other.distinct);
        }
        for (int slot = 0; slot < SLOTS; slot++) {
            if (other.colors[slot] != FREE) {
                add(other.colors[slot], other.counts[slot]);
            }
        }
    }

    /** @return the most frequent first, equals by value */
    int[] byFrequency() {
        return java.util.stream.IntStream.range(0, SLOTS)
                .filter(slot -> colors[slot] != FREE)
                .boxed()
                .sorted((a, b) -> counts[a] != counts[b]
                        ? Long.compare(counts[b], counts[a])
                        : Integer.compare(colors[a], colors[b]))
                .mapToInt(slot -> colors[slot])
                .toArray();
    }
}

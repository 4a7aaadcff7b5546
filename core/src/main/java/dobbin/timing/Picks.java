package dobbin.timing;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Which pictures of a clip become frames, and how long each shows. The frames keep the clip's pace, also where its pictures
 * follow one another unevenly: together they show as long as the stretch they come from.
 *
 * @param places of the pictures among those of the clip, from 0, ascending
 * @param delaysMillis how long each shows, each at least 10
 */
public record Picks(int[] places, int[] delaysMillis) {
    private static final int MICROS_IN_MILLI = 1000;
    private static final double MICROS_IN_SECOND = 1e6;

    /**
     * Takes what the clip shows at even moments. A picture that it still shows at the next moment is taken once and shows
     * longer.
     *
     * @param times when each picture begins to show, in microseconds, ascending
     * @param from where the stretch begins, in microseconds, and {@code to} where it ends, which is not part of it
     * @param rate so many a second, above 0 and at most 50
     */
    public static Picks perSecond(long[] times, long from, long to, double rate) {
        int count = (int) Math.max(1, Math.ceil((to - from) * rate / MICROS_IN_SECOND - 1e-6));
        long[] moments = IntStream.range(0, count)
                .mapToLong(i -> from + Math.round(i * MICROS_IN_SECOND / rate))
                .toArray();
        return at(times, moments, to);
    }

    /** Takes the picture that the stretch begins with and every n-th after it; the rest as in {@link #perSecond}. */
    public static Picks everyNth(long[] times, long from, long to, int n) {
        int first = shownAt(times, from);
        int end = Math.max(first + 1, countBefore(times, to));
        long[] moments = IntStream.iterate(first, place -> place < end, place -> place + n)
                .mapToLong(place -> place == first ? from : times[place])
                .toArray();
        return at(times, moments, to);
    }

    /** @return how long all of them show together */
    public int totalMillis() {
        return Arrays.stream(delaysMillis).sum();
    }

    /** Skips pictures that would show for less than the shortest delay. */
    private static Picks at(long[] times, long[] moments, long to) {
        int[] places = new int[moments.length];
        int[] begins = new int[moments.length];
        int taken = 0;
        int total = millis(to - moments[0]);
        for (long moment : moments) {
            int place = shownAt(times, moment);
            int begin = millis(moment - moments[0]);
            boolean isNew = taken == 0 || place != places[taken - 1];
            boolean isLong = taken == 0
                    || begin - begins[taken - 1] >= Delays.SHORTEST_MILLIS && total - begin >= Delays.SHORTEST_MILLIS;
            if (isNew && isLong) {
                places[taken] = place;
                begins[taken++] = begin;
            }
        }
        int[] delays = new int[taken];
        for (int i = 0; i < taken; i++) {
            delays[i] = Math.max(Delays.SHORTEST_MILLIS, (i + 1 < taken ? begins[i + 1] : total) - begins[i]);
        }
        return new Picks(Arrays.copyOf(places, taken), delays);
    }

    /** Before the first picture the first one counts as shown. */
    private static int shownAt(long[] times, long moment) {
        return Math.max(0, countBefore(times, moment + 1) - 1);
    }

    private static int countBefore(long[] times, long moment) {
        int at = Arrays.binarySearch(times, moment);
        return at < 0 ? -at - 1 : at;
    }

    private static int millis(long micros) {
        return Math.toIntExact(Math.round(micros / (double) MICROS_IN_MILLI));
    }
}

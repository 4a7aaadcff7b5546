package dobbin.timing;

import java.util.Arrays;

/** Changes many delays at once, all in whole milliseconds, with totals that come out exact. */
public final class Delays {
    public static final int SHORTEST_MILLIS = 10;
    public static final int LONGEST_MILLIS = 600_000;

    /** Ten frames a second: what motion from stills usually wants. */
    public static final int USUAL_MILLIS = 100;

    private Delays() {}

    /**
     * Stretches or shortens delays in proportion until they last {@code total} together. One that would pass a bound
     * stays at it, and the others make up for that. Moments are rounded, not delays, so no error adds up.
     *
     * @param delays each from {@code min} to {@code max}
     * @param total from {@code min} to {@code max} for each delay
     * @return as many delays within the same bounds
     */
    public static int[] fitted(int[] delays, long total, int min, int max) {
        if (total < (long) min * delays.length || total > (long) max * delays.length) {
            throw new IllegalArgumentException(delays.length + " delays cannot last " + total + " ms");
        }
        long before = Arrays.stream(delays).asLongStream().sum();
        int bound = total < before ? min : max;
        boolean[] atBound = new boolean[delays.length];
        double factor = (double) total / before;
        while (holdAtBound(delays, factor, bound, bound == min, atBound)) {
            factor = factorForRest(delays, total, bound, atBound);
        }
        return spread(delays, factor, bound, atBound);
    }

    /**
     * Keeps every {@code n}-th delay, the first to begin with; each that is kept takes over the time of those dropped
     * after it.
     *
     * @return as many delays, 0 for each that is dropped; their total is as before
     */
    public static int[] thinned(int[] delays, int n) {
        int[] thinned = new int[delays.length];
        for (int i = 0; i < delays.length; i++) {
            thinned[i - i % n] += delays[i];
        }
        return thinned;
    }

    private static boolean holdAtBound(int[] delays, double factor, int bound, boolean isMin, boolean[] atBound) {
        boolean any = false;
        for (int i = 0; i < delays.length; i++) {
            double wanted = delays[i] * factor;
            if (!atBound[i] && (isMin ? wanted < bound : wanted > bound)) {
                atBound[i] = true;
                any = true;
            }
        }
        return any;
    }

    private static double factorForRest(int[] delays, long total, int bound, boolean[] atBound) {
        long left = total;
        long before = 0;
        for (int i = 0; i < delays.length; i++) {
            left -= atBound[i] ? bound : 0;
            before += atBound[i] ? 0 : delays[i];
        }
        return before == 0 ? 0 : (double) left / before;
    }

    private static int[] spread(int[] delays, double factor, int bound, boolean[] atBound) {
        int[] fitted = new int[delays.length];
        double moment = 0;
        long spent = 0;
        for (int i = 0; i < delays.length; i++) {
            if (atBound[i]) {
                fitted[i] = bound;
            } else {
                moment += delays[i] * factor;
                fitted[i] = Math.toIntExact(Math.round(moment) - spent);
                spent += fitted[i];
            }
        }
        return fitted;
    }
}

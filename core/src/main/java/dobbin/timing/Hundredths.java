package dobbin.timing;

/** Turns delays in milliseconds into the hundredths of a second a GIF can hold, so that the loop's length stays true. */
public final class Hundredths {
    private static final int MILLIS_EACH = 10;

    private Hundredths() {}

    /**
     * Rounds the moments at which frames change rather than the delays, so errors never add up: 42 ms each becomes 4, 4,
     * 5, 4, 4 ...
     *
     * @param delaysMillis each at least 10
     * @return as many delays, each at least 1; their sum is the total rounded to the nearest hundredth
     */
    public static int[] apportion(int[] delaysMillis) {
        int[] hundredths = new int[delaysMillis.length];
        long elapsedMillis = 0;
        long spent = 0;
        for (int i = 0; i < delaysMillis.length; i++) {
            elapsedMillis += delaysMillis[i];
            long due = (elapsedMillis + MILLIS_EACH / 2) / MILLIS_EACH;
            hundredths[i] = Math.toIntExact(due - spent);
            spent = due;
        }
        return hundredths;
    }
}

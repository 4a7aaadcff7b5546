package dobbin.draw;

import java.util.Arrays;

/**
 * A part of a picture as runs of pixels along its rows. What is worked out run by run costs little where a part is large and
 * even, as what is filled usually is.
 */
final class PixelRuns {
    private final int width;
    private final int height;

    /** The runs of row y are those from {@code rows[y]} up to {@code rows[y + 1]}. */
    private final int[] rows;

    /** Places in the picture; {@code ends} are those after the last. */
    private int[] starts = new int[1024];

    private int[] ends = new int[1024];
    private int count;

    private PixelRuns(int width, int height) {
        this.width = width;
        this.height = height;
        this.rows = new int[height + 1];
    }

    /** For each start, where what is looked for ends. */
    interface Reach {
        /** @return the first place from {@code at} on, at most {@code end}, that does not belong */
        int endOfRun(int at, int end);

        /** @return the first place from {@code at} on, at most {@code end}, that belongs */
        int startOfRun(int at, int end);
    }

    static PixelRuns of(int width, int height, Reach reach) {
        PixelRuns runs = new PixelRuns(width, height);
        for (int y = 0; y < height; y++) {
            int end = (y + 1) * width;
            int at = reach.startOfRun(y * width, end);
            while (at < end) {
                int after = reach.endOfRun(at, end);
                runs.add(at, after);
                at = after == end ? end : reach.startOfRun(after + 1, end);
            }
            runs.rows[y + 1] = runs.count;
        }
        return runs;
    }

    /** @param pixels for each pixel whether it belongs */
    static PixelRuns of(boolean[] pixels, int width) {
        boolean[] all = new boolean[width];
        boolean[] none = new boolean[width];
        Arrays.fill(all, true);
        return of(width, pixels.length / width, new Reach() {
            @Override
            public int endOfRun(int at, int end) {
                return past(all, at, end);
            }

            @Override
            public int startOfRun(int at, int end) {
                return past(none, at, end);
            }

            private int past(boolean[] same, int at, int end) {
                int off = Arrays.mismatch(pixels, at, end, same, 0, end - at);
                return off < 0 ? end : at + off;
            }
        });
    }

    private void add(int start, int end) {
        if (count == starts.length) {
            starts = Arrays.copyOf(starts, 2 * count);
            ends = Arrays.copyOf(ends, 2 * count);
        }
        starts[count] = start;
        ends[count++] = end;
    }

    interface Run {
        /** @param end the place after the last */
        void from(int start, int end);
    }

    void each(Run run) {
        for (int i = 0; i < count; i++) {
            run.from(starts[i], ends[i]);
        }
    }

    /** @return for each pixel whether it belongs */
    boolean[] pixels() {
        boolean[] pixels = new boolean[width * height];
        each((start, end) -> Arrays.fill(pixels, start, end, true));
        return pixels;
    }

    /**
     * @param start a place that belongs
     * @param corners whether pixels that touch at a corner are neighbors
     * @return what can be reached from there
     */
    PixelRuns connected(int start, boolean corners) {
        boolean[] reached = new boolean[count];
        Places open = new Places();
        int first = firstEndingAfter(start, start / width);
        reached[first] = true;
        open.push(first);
        int reach = corners ? 1 : 0;
        while (open.count() > 0) {
            int run = open.pop();
            int y = starts[run] / width;
            reachFrom(run, y - 1, reach, reached, open);
            reachFrom(run, y + 1, reach, reached, open);
        }
        return only(reached);
    }

    private void reachFrom(int run, int y, int reach, boolean[] reached, Places open) {
        if (y < 0 || y >= height) {
            return;
        }
        int shift = (y - starts[run] / width) * width;
        int from = starts[run] + shift - reach;
        int to = ends[run] + shift + reach;
        for (int other = firstEndingAfter(from, y); other < rows[y + 1] && starts[other] < to; other++) {
            if (!reached[other]) {
                reached[other] = true;
                open.push(other);
            }
        }
    }

    /** @return the first run of the row that ends after that place */
    private int firstEndingAfter(int place, int y) {
        int low = rows[y];
        int high = rows[y + 1];
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (ends[middle] > place) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }

    private PixelRuns only(boolean[] wanted) {
        PixelRuns runs = new PixelRuns(width, height);
        for (int y = 0; y < height; y++) {
            for (int i = rows[y]; i < rows[y + 1]; i++) {
                if (wanted[i]) {
                    runs.add(starts[i], ends[i]);
                }
            }
            runs.rows[y + 1] = runs.count;
        }
        return runs;
    }

    /** @return the places, in no order and some of them twice, that have one beside, over or under them that does not belong */
    Places rim() {
        Places rim = new Places();
        for (int y = 0; y < height; y++) {
            for (int i = rows[y]; i < rows[y + 1]; i++) {
                if (starts[i] > y * width) {
                    rim.push(starts[i]);
                }
                if (ends[i] < (y + 1) * width) {
                    rim.push(ends[i] - 1);
                }
                pushUncovered(i, y - 1, rim);
                pushUncovered(i, y + 1, rim);
            }
        }
        return rim;
    }

    /** Adds those of the run that have none over or under them. */
    private void pushUncovered(int run, int y, Places rim) {
        if (y < 0 || y >= height) {
            return;
        }
        int shift = (y - starts[run] / width) * width;
        int at = starts[run];
        int other = firstEndingAfter(at + shift, y);
        while (at < ends[run]) {
            int covered = other < rows[y + 1] ? Math.min(ends[run], starts[other] - shift) : ends[run];
            while (at < covered) {
                rim.push(at++);
            }
            at = other < rows[y + 1] ? Math.max(at, ends[other] - shift) : at;
            other++;
        }
    }
}

package dobbin.inspect;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.IntFunction;

/**
 * Finds where a loop flashes more than three times within a second over a large part of what one sees at once, which can
 * cause seizures.
 *
 * <p>Source: "Web Content Accessibility Guidelines (WCAG) 2.2", W3C, 2023: success criterion 2.3.1 and its definition of
 * general flash and red flash thresholds. A flash is a pair of opposing changes: of relative luminance by 0.1 or more where the
 * darker state is below 0.8; or to and from a saturated red (R / (R + G + B) at least 0.8) by more than 0.2 in the CIE 1976
 * chromaticity diagram. It counts where it covers more than a quarter of a box of 341 by 256 CSS pixels anywhere. A red must
 * also have (R − G − B) × 320 above 20, as in WCAG 2.1, so that noise in near black is no red. The exception for fine patterns
 * needs no rule: they are gone from pictures this small.
 */
final class Flashes {
    static final int MOST = 3;
    private static final int PERIOD_MILLIS = 1_000;
    private static final int FIELD_WIDTH = 341;
    private static final int FIELD_HEIGHT = 256;
    private static final double MOST_AREA = 0.25 * FIELD_WIDTH * FIELD_HEIGHT;

    /** As many changes as fit into the period where each frame is as short as viewers show any. */
    private static final int REMEMBERED = 64;

    private final int width;
    private final int height;
    private final double area;
    private final Changes general = new Changes(new Luminance());
    private final Changes red = new Changes(new Redness());

    /**
     * Flashes of one kind in the second in which there are most of them.
     *
     * @param red whether they are to and from a saturated red
     * @param count how many
     * @param places of the frames in the loop, from the first change to the last, ascending
     * @param millis from the first change of the shortest row of changes that is too many, to its last
     */
    record Found(boolean red, int count, List<Integer> places, int millis) {}

    private Flashes(Size picture, Size delivered) {
        this.width = picture.width();
        this.height = picture.height();
        this.area = (double) delivered.area() / picture.area();
        int across = Math.min(width, (int) Math.round((double) FIELD_WIDTH * width / delivered.width()));
        int down = Math.min(height, (int) Math.round((double) FIELD_HEIGHT * height / delivered.height()));
        general.fields(Math.max(1, across), Math.max(1, down));
        red.fields(Math.max(1, across), Math.max(1, down));
    }

    /**
     * @param pictures of the frames by their place, small, all of one size
     * @param shownMillis how long each shows
     * @param repeats whether it plays more than once, so that its end meets its beginning
     * @param delivered how large it shows, in CSS pixels
     * @return of each kind of which there are too many
     */
    static List<Found> in(IntFunction<Raster> pictures, int[] shownMillis, boolean repeats, Size delivered) {
        List<Raster> beginning = new ArrayList<>();
        Flashes flashes = null;
        long now = 0;
        for (int place = 0; place < shownMillis.length; place++) {
            Raster picture = pictures.apply(place);
            flashes = flashes == null ? new Flashes(picture.size(), delivered) : flashes;
            flashes.show(picture, place, now);
            if (now <= 2 * PERIOD_MILLIS) {
                beginning.add(picture);
            }
            now += shownMillis[place];
        }
        long end = now;
        // Any second that begins in the loop, or where it begins again, is seen once with all that came before.
        for (int i = 0; repeats && flashes != null && now - end <= 2 * PERIOD_MILLIS; i++) {
            int place = i % beginning.size();
            flashes.show(beginning.get(place), place, now);
            now += shownMillis[place];
        }
        List<Found> found = new ArrayList<>();
        if (flashes != null) {
            flashes.general.found(false).ifPresent(found::add);
            flashes.red.found(true).ifPresent(found::add);
        }
        return found;
    }

    private void show(Raster picture, int place, long millis) {
        general.show(picture, place, millis);
        red.show(picture, place, millis);
    }

    /** Follows changes of one kind, of pixels and of boxes. */
    private final class Changes {
        private final FollowedPixels followed;
        private byte[] directions;
        private int[] up;
        private int[] down;
        private int fieldWidth;
        private int fieldHeight;
        private int across;
        private byte[] last;
        private long[] times;
        private int[] places;
        private int[] counts;
        private boolean first = true;
        private int most;
        private TreeSet<Integer> worst = new TreeSet<>();
        private int shortest = Integer.MAX_VALUE;

        Changes(FollowedPixels followed) {
            this.followed = followed;
        }

        void fields(int newWidth, int newHeight) {
            fieldWidth = newWidth;
            fieldHeight = newHeight;
            followed.begin(width * height);
            directions = new byte[width * height];
            up = new int[(width + 1) * (height + 1)];
            down = new int[(width + 1) * (height + 1)];
            across = width - fieldWidth + 1;
            int fields = across * (height - fieldHeight + 1);
            last = new byte[fields];
            counts = new int[fields];
            times = new long[fields * REMEMBERED];
            places = new int[fields * REMEMBERED];
        }

        void show(Raster picture, int place, long millis) {
            boolean any = false;
            for (int i = 0; i < directions.length; i++) {
                directions[i] = (byte) followed.change(i, picture.argb()[i], first);
                any |= directions[i] != 0;
            }
            first = false;
            if (any) {
                sum();
                for (int field = 0; field < last.length; field++) {
                    changed(field, place, millis);
                }
            }
        }

        /** For each corner, how many pixels above and left of it changed each way. */
        private void sum() {
            for (int y = 0; y < height; y++) {
                int rowUp = 0;
                int rowDown = 0;
                for (int x = 0; x < width; x++) {
                    int direction = directions[y * width + x];
                    rowUp += direction > 0 ? 1 : 0;
                    rowDown += direction < 0 ? 1 : 0;
                    int corner = (y + 1) * (width + 1) + x + 1;
                    up[corner] = up[corner - width - 1] + rowUp;
                    down[corner] = down[corner - width - 1] + rowDown;
                }
            }
        }

        private void changed(int field, int place, long millis) {
            boolean rises = within(up, field) * area > MOST_AREA;
            boolean falls = within(down, field) * area > MOST_AREA;
            // Where parts of it change both ways, what opposes the last change makes a pair with it.
            int direction = rises && (last[field] <= 0 || !falls) ? 1 : falls ? -1 : 0;
            if (direction == 0 || direction == last[field]) {
                return;
            }
            last[field] = (byte) direction;
            int count = counts[field]++;
            int ring = field * REMEMBERED;
            times[ring + count % REMEMBERED] = millis;
            places[ring + count % REMEMBERED] = place;
            int within = 1;
            while (within <= count
                    && within < REMEMBERED
                    && millis - times[ring + (count - within) % REMEMBERED] <= PERIOD_MILLIS) {
                within++;
            }
            if (within / 2 > MOST) {
                tooMany(ring, count, within, millis);
            }
        }

        private void tooMany(int ring, int count, int within, long millis) {
            int row = 2 * (MOST + 1);
            shortest = (int) Math.min(shortest, millis - times[ring + (count - row + 1) % REMEMBERED]);
            if (within / 2 > most) {
                most = within / 2;
                worst = new TreeSet<>();
            }
            if (within / 2 == most) {
                for (int i = 0; i < within; i++) {
                    worst.add(places[ring + (count - i) % REMEMBERED]);
                }
            }
        }

        private int within(int[] sums, int field) {
            int left = field % across;
            int top = field / across;
            int upper = top * (width + 1) + left;
            int lower = upper + fieldHeight * (width + 1);
            return sums[lower + fieldWidth] - sums[lower] - sums[upper + fieldWidth] + sums[upper];
        }

        Optional<Found> found(boolean isRed) {
            return most == 0 ? Optional.empty() : Optional.of(new Found(isRed, most, List.copyOf(worst), shortest));
        }
    }
}

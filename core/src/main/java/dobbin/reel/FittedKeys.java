package dobbin.reel;

import dobbin.timing.Easing;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;

/** Adds poses to a track, as few as it takes, until it passes through where it is wanted. */
public final class FittedKeys {
    private final List<Integer> frames;
    private final List<Pose> wanted;
    private final Key[] keys;

    private FittedKeys(List<Integer> frames, List<Pose> wanted, Key[] keys) {
        this.frames = frames;
        this.wanted = wanted;
        this.keys = keys;
    }

    /**
     * @param frames the ids of all frames in order
     * @param wanted where it is to be on each of them, null for anywhere
     * @param kept the poses it has anyway, one for each frame or null
     * @param likely those to try first where the glide misses what is wanted, likewise
     */
    public static List<Key> of(List<Integer> frames, List<Pose> wanted, Key[] kept, Key[] likely) {
        FittedKeys fitted = new FittedKeys(frames, wanted, kept.clone());
        for (int left = -1, right; left < kept.length; left = right) {
            right = left + 1;
            while (right < kept.length && kept[right] == null) {
                right++;
            }
            fitted.settle(left, right, likely);
        }
        return new ArrayList<>(
                Arrays.stream(fitted.keys).filter(Objects::nonNull).toList());
    }

    /** @param left the place of a kept pose or -1, and {@code right} of the next or the number of frames */
    private void settle(int left, int right, Key[] likely) {
        if (left + 1 >= right || fits(left, right)) {
            return;
        }
        for (int i = left + 1; i < right; i++) {
            keys[i] = likely[i];
        }
        while (addWhereMissed(left, right)) {
            // A pose that was added bends its neighbors' glides, so look again.
        }
        for (int i = left + 1; i < right; i++) {
            dropIfPassed(i);
        }
    }

    private boolean addWhereMissed(int left, int right) {
        List<Integer> missed = new ArrayList<>();
        for (int from = left; from < right; ) {
            int to = next(from, right);
            for (int i = from + 1; i < to; i++) {
                if (wanted.get(i) != null && !isNear(i, from, to)) {
                    missed.add(i);
                }
            }
            from = to;
        }
        missed.forEach(i -> keys[i] = new Key(frames.get(i), wanted.get(i), Easing.EVEN));
        return !missed.isEmpty();
    }

    private void dropIfPassed(int place) {
        Key key = keys[place];
        if (key == null) {
            return;
        }
        int from = place - 1;
        while (from >= 0 && keys[from] == null) {
            from--;
        }
        int to = next(place, keys.length);
        keys[place] = null;
        if (!fits(from, to)) {
            keys[place] = key;
        }
    }

    private int next(int place, int end) {
        int next = place + 1;
        while (next < end && keys[next] == null) {
            next++;
        }
        return next;
    }

    /** @return whether the glide from one pose to the next passes through all that is wanted between */
    private boolean fits(int from, int to) {
        if (from < 0 && to == keys.length) {
            return false;
        }
        for (int i = from + 1; i < to; i++) {
            if (wanted.get(i) != null && !isNear(i, from, to)) {
                return false;
            }
        }
        return true;
    }

    private boolean isNear(int place, int from, int to) {
        Key before = from < 0 ? null : keys[from];
        Key after = to == keys.length ? null : keys[to];
        if (before == null && after == null) {
            return false;
        }
        Pose there = before == null
                ? after.pose()
                : after == null
                        ? before.pose()
                        : before.pose().toward(after.pose(), before.leaves().at((place - from) / (double) (to - from)));
        return there.isNear(wanted.get(place));
    }
}

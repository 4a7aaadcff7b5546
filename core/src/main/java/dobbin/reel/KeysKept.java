package dobbin.reel;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What becomes of poses when frames go: one on a frame that is gone moves to the next one that stayed, or else to the last
 * before it, unless there is one already. Where a cut-out began or ended moves likewise, inward.
 */
final class KeysKept {
    private final List<Frame> before;
    private final List<Frame> after;
    private final Set<Integer> staying;
    private final Tracks places;

    KeysKept(List<Frame> before, List<Frame> after) {
        this.before = before;
        this.after = after;
        this.staying = after.stream().map(Frame::id).collect(Collectors.toSet());
        this.places = new Tracks(before);
    }

    List<Cutout> of(List<Cutout> cutouts) {
        return cutouts.stream().map(cutout -> cutout.deeply(this::kept)).toList();
    }

    private Cutout kept(Cutout cutout) {
        if (cutout.keys().stream().allMatch(key -> staying.contains(key.frame()))
                && isKept(cutout.firstFrame())
                && isKept(cutout.lastFrame())) {
            return cutout;
        }
        return cutout.withKeys(keys(cutout)).withSpan(inward(cutout.firstFrame(), 1), inward(cutout.lastFrame(), -1));
    }

    private boolean isKept(int frame) {
        return frame == Cutout.OPEN || staying.contains(frame);
    }

    private List<Key> keys(Cutout cutout) {
        List<Key> kept = new ArrayList<>();
        Set<Integer> taken = new HashSet<>();
        for (Key key : cutout.keys()) {
            if (staying.contains(key.frame())) {
                kept.add(key);
                taken.add(key.frame());
            }
        }
        for (Key key : places.inOrder(cutout)) {
            int frame = staying.contains(key.frame()) ? key.frame() : neighbor(key.frame(), 1);
            if (taken.add(frame)) {
                kept.add(key.on(frame));
            }
        }
        return kept;
    }

    private int inward(int frame, int step) {
        return isKept(frame) ? frame : neighbor(frame, step);
    }

    /** @return the nearest frame that stays, first looked for in the direction of {@code step} */
    private int neighbor(int frame, int step) {
        int from = places.index(frame);
        if (from < 0) {
            return after.isEmpty() ? Key.NO_FRAME : after.get(0).id();
        }
        int there = staying(from, step);
        return there != Key.NO_FRAME ? there : staying(from, -step);
    }

    private int staying(int from, int step) {
        for (int i = from; i >= 0 && i < before.size(); i += step) {
            if (staying.contains(before.get(i).id())) {
                return before.get(i).id();
            }
        }
        return Key.NO_FRAME;
    }
}

package dobbin.reel;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Where the cut-outs of a reel are on each of its frames. Between two poses a cut-out glides as the first of them says,
 * by frames and not by time, over all frames on the sheet, whether they play or not; so leaving one out changes no other.
 */
public final class Tracks {
    private final List<Frame> frames;
    private final Map<Integer, Integer> indices = new HashMap<>();

    public Tracks(List<Frame> frames) {
        this.frames = frames;
        for (int i = 0; i < frames.size(); i++) {
            indices.put(frames.get(i).id(), i);
        }
    }

    /** @return the frame's place, from 0, or -1 where there is no such frame */
    public int index(int frame) {
        return indices.getOrDefault(frame, -1);
    }

    /** @return the ids of all frames in order */
    public List<Integer> ids() {
        return frames.stream().map(Frame::id).toList();
    }

    /** @return the id of the frame at {@code index} */
    public int id(int index) {
        return frames.get(index).id();
    }

    /** @return whether the cut-out is there on the frame at {@code index}; says nothing about hidden ones */
    public boolean isThere(Cutout cutout, int index) {
        int first = cutout.firstFrame() == Cutout.OPEN ? 0 : index(cutout.firstFrame());
        int last = cutout.lastFrame() == Cutout.OPEN ? frames.size() - 1 : index(cutout.lastFrame());
        return index >= Math.min(first, last) && index <= Math.max(first, last);
    }

    /** @return the cut-out's keys in playing order */
    public List<Key> inOrder(Cutout cutout) {
        List<Key> keys = new ArrayList<>(cutout.keys());
        keys.sort(Comparator.comparingInt(key -> index(key.frame())));
        return keys;
    }

    /** @return where the cut-out is on the frame at {@code index} */
    public Pose pose(Cutout cutout, int index) {
        Key before = null;
        Key after = null;
        for (Key key : cutout.keys()) {
            int at = index(key.frame());
            if (at <= index && (before == null || at > index(before.frame()))) {
                before = key;
            }
            if (at >= index && (after == null || at < index(after.frame()))) {
                after = key;
            }
        }
        return between(before, after, index);
    }

    /** @return where the cut-out is on each frame */
    public List<Pose> poses(Cutout cutout) {
        List<Key> keys = inOrder(cutout);
        List<Pose> poses = new ArrayList<>();
        int next = 0;
        for (int i = 0; i < frames.size(); i++) {
            while (next < keys.size() && index(keys.get(next).frame()) < i) {
                next++;
            }
            Key after = next < keys.size() ? keys.get(next) : null;
            boolean here = after != null && index(after.frame()) == i;
            Key before = here ? after : next == 0 ? null : keys.get(next - 1);
            poses.add(between(before, after, i));
        }
        return poses;
    }

    private Pose between(Key before, Key after, int index) {
        if (before == null || after == null || before == after) {
            return (before == null ? after : before).pose();
        }
        double from = index(before.frame());
        double share = (index - from) / (index(after.frame()) - from);
        return before.pose().toward(after.pose(), before.leaves().at(share));
    }
}

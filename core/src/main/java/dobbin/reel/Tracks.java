package dobbin.reel;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where the cut-outs of a reel are on each of its frames, whether they are there, and which picture of a cycle is seen.
 * Between two poses a cut-out glides as the first of them says, by frames and not by time, over all frames on the sheet,
 * whether they play or not; so leaving one out changes no other. May be asked by several threads at once, and remembers
 * what it has worked out of a cut-out.
 */
public final class Tracks {
    private final List<Frame> frames;
    private final Map<Integer, Integer> indices = new HashMap<>();
    private final Map<Cutout, Track> known = Collections.synchronizedMap(new IdentityHashMap<>());

    public Tracks(List<Frame> frames) {
        this.frames = frames;
        for (int i = 0; i < frames.size(); i++) {
            indices.put(frames.get(i).id(), i);
        }
    }

    /** What is known of one cut-out, by the places of frames. */
    private record Track(Key[] keys, Pose[] poses, BitSet away, int[] turns) {}

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
        return !track(cutout).away.get(index);
    }

    /** @return the place of the picture seen there in the cut-out's cycle, from 0; 0 for other art */
    public int turn(Cutout cutout, int index) {
        return track(cutout).turns[index];
    }

    /** @return the cut-out's keys in playing order */
    public List<Key> inOrder(Cutout cutout) {
        List<Key> keys = new ArrayList<>(cutout.keys());
        keys.sort(Comparator.comparingInt(key -> index(key.frame())));
        return keys;
    }

    /** @return where the cut-out is on the frame at {@code index} */
    public Pose pose(Cutout cutout, int index) {
        return track(cutout).poses[index];
    }

    /** @return where the cut-out is on each frame */
    public List<Pose> poses(Cutout cutout) {
        return List.of(track(cutout).poses);
    }

    /** @return the key on the frame at {@code index}, or null */
    Key keyAt(Cutout cutout, int index) {
        return track(cutout).keys[index];
    }

    private Track track(Cutout cutout) {
        return known.computeIfAbsent(cutout, this::worked);
    }

    private Track worked(Cutout cutout) {
        Key[] keys = new Key[frames.size()];
        for (Key key : cutout.keys()) {
            int place = index(key.frame());
            if (place >= 0) {
                keys[place] = key;
            }
        }
        BitSet away = new BitSet();
        cutout.away().forEach(frame -> away.set(index(frame)));
        return new Track(keys, poses(cutout, keys), away, turns(cutout));
    }

    private Pose[] poses(Cutout cutout, Key[] keys) {
        Pose[] poses = new Pose[frames.size()];
        int before = -1;
        for (int place = 0, after = 0; place < poses.length; place++) {
            if (keys[place] != null) {
                before = place;
            }
            while (after < poses.length && (after < place || keys[after] == null)) {
                after++;
            }
            poses[place] = between(cutout, keys, before, place, after);
        }
        return poses;
    }

    private static Pose between(Cutout cutout, Key[] keys, int before, int place, int after) {
        boolean none = before < 0 && after == keys.length;
        if (none || before < 0 || after == keys.length || before == after) {
            return (none ? cutout.keys().get(0) : keys[before < 0 ? after : before]).pose();
        }
        double share = (place - before) / (double) (after - before);
        return keys[before]
                .pose()
                .toward(keys[after].pose(), keys[before].leaves().at(share));
    }

    private int[] turns(Cutout cutout) {
        int[] turns = new int[frames.size()];
        if (cutout.art() instanceof Cycle cycle) {
            int millis = 0;
            for (int i = 0; i < turns.length; i++) {
                turns[i] = switch (cycle.turns()) {
                    case KEPT ->
                        cutout.shows().getOrDefault(id(i), 0) % cycle.pictures().size();
                    case BY_PLACE -> cycle.turn(i);
                    case BY_TIME -> cycle.turn(millis);
                };
                millis += frames.get(i).leftOut() ? 0 : frames.get(i).delayMillis();
            }
        }
        return turns;
    }
}

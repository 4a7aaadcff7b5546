package dobbin.edit;

import dobbin.raster.Size;
import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.timing.Easing;
import java.util.ArrayList;
import java.util.List;

/**
 * What a motion is made for: a cut-out on frames that follow one another.
 *
 * @param frames their ids, at least one
 * @param poses where the cut-out is on each without the motion
 * @param set the keys it has on them
 */
record MotionRange(Cutout cutout, List<Integer> frames, List<Pose> poses, List<Key> set, Size canvas) {
    int count() {
        return frames.size();
    }

    int last() {
        return frames.size() - 1;
    }

    Pose first() {
        return poses.get(0);
    }

    Pose end() {
        return poses.get(last());
    }

    boolean isStill() {
        return poses.stream().allMatch(pose -> pose.isNear(first()));
    }

    Key key(int offset, Pose pose, Easing leaves) {
        return new Key(frames.get(offset), pose, leaves);
    }

    /** Changes what there is along the range and leaves the glides as they are. */
    interface Change {
        /** @param share of the range that has passed, 0 to 1 */
        Pose at(Pose pose, double share);
    }

    /** @return keys at both ends and where there are some already, each changed */
    List<Key> along(Change change) {
        List<Key> keys = new ArrayList<>();
        for (int i = 0; i < count(); i++) {
            int frame = frames.get(i);
            Key key = set.stream()
                    .filter(each -> each.frame() == frame)
                    .findFirst()
                    .orElse(null);
            if (key != null || i == 0 || i == last()) {
                Easing leaves = key == null ? Easing.EVEN : key.leaves();
                keys.add(key(i, change.at(poses.get(i), count() == 1 ? 1 : (double) i / last()), leaves));
            }
        }
        return keys;
    }
}

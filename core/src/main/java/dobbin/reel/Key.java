package dobbin.reel;

import dobbin.timing.Easing;

/**
 * A pose where it was set.
 *
 * @param frame the id of the frame, or {@link #NO_FRAME} while the reel has none
 * @param leaves how the cut-out goes on from here to its next pose
 */
public record Key(int frame, Pose pose, Easing leaves) {
    public static final int NO_FRAME = 0;

    public Key {
        if (pose == null || leaves == null) {
            throw new OutOfRange(pose == null ? "pose" : "leaves", "must be given");
        }
    }

    public Key on(int newFrame) {
        return new Key(newFrame, pose, leaves);
    }

    public Key withPose(Pose newPose) {
        return new Key(frame, newPose, leaves);
    }

    public Key leaving(Easing newLeaves) {
        return new Key(frame, pose, newLeaves);
    }
}

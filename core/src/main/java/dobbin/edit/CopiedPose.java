package dobbin.edit;

import dobbin.reel.Pose;
import dobbin.timing.Easing;

/**
 * A pose as it is copied.
 *
 * @param later how many frames after the first of those copied together
 */
public record CopiedPose(int cutout, int later, Pose pose, Easing leaves) {}

package dobbin.edit;

import dobbin.reel.Pose;

/** A cut-out and where it is to be. */
public record Placed(int cutout, Pose pose) {}

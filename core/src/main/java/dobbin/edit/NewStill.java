package dobbin.edit;

import dobbin.reel.Still;

/** @param delayMillis how long the file it came from shows it, or 0 where it does not say */
public record NewStill(Still still, int delayMillis) {}

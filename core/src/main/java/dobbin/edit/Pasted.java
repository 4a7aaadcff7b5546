package dobbin.edit;

import dobbin.reel.FrameContent;

/** A frame as it travels from one reel to another. */
public record Pasted(FrameContent content, int delayMillis) {}

package dobbin.edit;

import dobbin.reel.FrameContent;
import dobbin.reel.Ink;

/** A frame as it travels from one reel to another. */
public record Pasted(FrameContent content, Ink ink, int delayMillis) {}

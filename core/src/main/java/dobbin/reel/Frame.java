package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * One picture of the loop and how long it shows.
 *
 * @param id stays with the frame when it moves; never used twice in a reel
 * @param delayMillis 10 to 600,000
 * @param ink what was drawn on it by hand, or {@link Ink#NONE}
 * @param leftOut whether it is kept but not part of the loop
 * @param run the id of the run it belongs to, or {@link Run#NONE}
 */
public record Frame(
        int id,

        @Min(Ranges.MIN_DELAY_MILLIS) @Max(Ranges.MAX_DELAY_MILLIS)
        int delayMillis,

        FrameContent content,
        Ink ink,
        boolean leftOut,
        int run) {
    public Frame {
        Ranges.check(Frame.class, "delayMillis", delayMillis);
        if (content == null || ink == null) {
            throw new OutOfRange(content == null ? "content" : "ink", "must be given");
        }
    }

    /** @return a new frame of the loop, in no run, with nothing drawn on it */
    public static Frame of(int id, int delayMillis, FrameContent content) {
        return new Frame(id, delayMillis, content, Ink.NONE, false, Run.NONE);
    }

    public Frame withId(int newId) {
        return new Frame(newId, delayMillis, content, ink, leftOut, run);
    }

    public Frame withDelay(int millis) {
        return new Frame(id, millis, content, ink, leftOut, run);
    }

    public Frame withContent(FrameContent newContent) {
        return new Frame(id, delayMillis, newContent, ink, leftOut, run);
    }

    public Frame withInk(Ink newInk) {
        return new Frame(id, delayMillis, content, newInk, leftOut, run);
    }

    public Frame withLeftOut(boolean out) {
        return new Frame(id, delayMillis, content, ink, out, run);
    }

    public Frame withRun(int newRun) {
        return new Frame(id, delayMillis, content, ink, leftOut, newRun);
    }
}

package dobbin.reel;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;

/**
 * One picture of the loop and how long it shows.
 *
 * @param id stays with the frame when it moves; never used twice in a reel
 * @param delayMillis 10 to 600,000
 * @param leftOut whether it is kept but not part of the loop
 * @param run the id of the run it belongs to, or {@link Run#NONE}
 */
public record Frame(
        int id,

        @Min(Ranges.MIN_DELAY_MILLIS) @Max(Ranges.MAX_DELAY_MILLIS)
        int delayMillis,

        FrameContent content,
        boolean leftOut,
        int run) {
    public Frame {
        Ranges.check(Frame.class, "delayMillis", delayMillis);
        if (content == null) {
            throw new OutOfRange("content", "must be given");
        }
    }

    /** @return a new frame of the loop, in no run */
    public static Frame of(int id, int delayMillis, FrameContent content) {
        return new Frame(id, delayMillis, content, false, Run.NONE);
    }

    public Frame withId(int newId) {
        return new Frame(newId, delayMillis, content, leftOut, run);
    }

    public Frame withDelay(int millis) {
        return new Frame(id, millis, content, leftOut, run);
    }

    public Frame withContent(FrameContent newContent) {
        return new Frame(id, delayMillis, newContent, leftOut, run);
    }

    public Frame withLeftOut(boolean out) {
        return new Frame(id, delayMillis, content, out, run);
    }

    public Frame withRun(int newRun) {
        return new Frame(id, delayMillis, content, leftOut, newRun);
    }
}

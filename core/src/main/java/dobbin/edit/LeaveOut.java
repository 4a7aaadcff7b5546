package dobbin.edit;

import dobbin.reel.Reel;
import java.util.List;

/**
 * Keeps the named frames on the sheet but out of the loop and the file, or takes them in again.
 *
 * @param out false to take them in
 */
public record LeaveOut(List<Integer> frames, boolean out) implements Edit {
    public LeaveOut {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        return reel.withFrames(Chosen.of(reel, frames).each(frame -> frame.withLeftOut(out)));
    }

    @Override
    public String title(Reel reel) {
        return (out ? "Leave out " : "Take in ") + Chosen.words(reel, frames);
    }
}

package dobbin.edit;

import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import java.util.List;

/**
 * Moves all that was drawn on frames.
 *
 * @param x pixels to the right, {@code y} down
 */
public record MoveInk(List<Integer> frames, int x, int y) implements Edit {
    public MoveInk {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Ranges.check("x", x, -Ranges.MAX_SIDE, Ranges.MAX_SIDE);
        Ranges.check("y", y, -Ranges.MAX_SIDE, Ranges.MAX_SIDE);
        return Inked.with(reel, frames, frame -> frame.ink().movedBy(x, y));
    }

    @Override
    public boolean continues(Edit before) {
        return before instanceof MoveInk other && other.frames.equals(frames);
    }

    @Override
    public Edit joined(Edit before) {
        MoveInk other = (MoveInk) before;
        return new MoveInk(frames, x + other.x, y + other.y);
    }

    @Override
    public String title(Reel reel) {
        return "Move the ink of " + Chosen.words(reel, frames);
    }
}

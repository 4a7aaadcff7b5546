package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes frames out and puts them in elsewhere, together and in playing order.
 *
 * @param to the gap they go into, counted before anything is taken out: 0 is before the first frame, the number of
 *     frames is after the last
 */
public record MoveFrames(List<Integer> frames, int to) implements Edit {
    public MoveFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        Ranges.check("to", to, 0, reel.frames().size());
        List<Frame> moved = new ArrayList<>();
        reel.frames().subList(0, to).stream()
                .filter(frame -> !chosen.has(frame))
                .forEach(moved::add);
        moved.addAll(chosen.frames());
        reel.frames().subList(to, reel.frames().size()).stream()
                .filter(frame -> !chosen.has(frame))
                .forEach(moved::add);
        return reel.withFrames(moved);
    }

    @Override
    public String title(Reel reel) {
        return "Move " + Chosen.words(reel, frames);
    }
}

package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes frames out and puts them in elsewhere, together and in playing order.
 *
 * @param after the frame they go after, which may be one of them; 0 for before all
 */
public record MoveFrames(List<Integer> frames, int after) implements Edit {
    public MoveFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        int gap = Gap.index(reel, after);
        List<Frame> moved = new ArrayList<>();
        reel.frames().subList(0, gap).stream()
                .filter(frame -> !chosen.has(frame))
                .forEach(moved::add);
        moved.addAll(chosen.frames());
        reel.frames().subList(gap, reel.frames().size()).stream()
                .filter(frame -> !chosen.has(frame))
                .forEach(moved::add);
        return reel.withFrames(Bands.settled(moved, chosen::has));
    }

    @Override
    public boolean continues(Edit before) {
        return before instanceof MoveFrames other && frames.equals(other.frames);
    }

    @Override
    public String title(Reel reel) {
        int first = Chosen.of(reel, frames).frames().get(0).id();
        List<Integer> order = applyTo(reel).frames().stream().map(Frame::id).toList();
        return "Move " + Chosen.words(reel, frames) + " to place " + (order.indexOf(first) + 1);
    }
}

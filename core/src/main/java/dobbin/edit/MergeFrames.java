package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.List;

/** Removes all of the named frames but the first, which takes over their time. */
public record MergeFrames(List<Integer> frames) implements Edit {
    public MergeFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        List<Frame> loop = chosen.loop();
        if (loop.size() < 2) {
            throw new EditRejected("frames", "must be at least 2 of the loop to be merged");
        }
        int total = loop.stream().mapToInt(Frame::delayMillis).sum();
        int first = loop.get(0).id();
        return reel.withFrames(reel.frames().stream()
                .filter(frame -> frame.id() == first || !loop.contains(frame))
                .map(frame -> frame.id() == first ? frame.withDelay(total) : frame)
                .toList());
    }

    @Override
    public String title(Reel reel) {
        return "Merge " + Chosen.words(reel, frames);
    }
}

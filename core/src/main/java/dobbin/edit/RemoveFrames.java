package dobbin.edit;

import dobbin.reel.Reel;
import java.util.List;

/** Takes the named frames out. */
public record RemoveFrames(List<Integer> frames) implements Edit {
    public RemoveFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        return reel.withFrames(
                reel.frames().stream().filter(frame -> !chosen.has(frame)).toList());
    }

    @Override
    public String title(Reel reel) {
        return "Remove " + Chosen.words(reel, frames);
    }
}

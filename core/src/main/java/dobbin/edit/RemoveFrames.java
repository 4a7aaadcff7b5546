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
        return reel.withFrames(Chosen.of(reel, frames).others());
    }

    @Override
    public String title(Reel reel) {
        return "Remove " + Chosen.words(reel, frames);
    }
}

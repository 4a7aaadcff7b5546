package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Reverses the order of the named frames among the places they have; frames between them stay where they are. */
public record ReverseFrames(List<Integer> frames) implements Edit {
    public ReverseFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        List<Frame> backward = new ArrayList<>(chosen.frames());
        Collections.reverse(backward);
        return reel.withFrames(Bands.settled(chosen.places(backward), frame -> false));
    }

    @Override
    public String title(Reel reel) {
        return "Reverse " + Chosen.words(reel, frames);
    }
}

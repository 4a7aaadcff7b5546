package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.List;

/** Reverses the order of the named frames among the places they have; frames between them stay where they are. */
public record ReverseFrames(List<Integer> frames) implements Edit {
    public ReverseFrames {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        List<Frame> forward = chosen.frames();
        Frame[] reversed = reel.frames().toArray(Frame[]::new);
        int take = forward.size();
        for (int i = 0; i < reversed.length; i++) {
            if (chosen.has(reversed[i])) {
                reversed[i] = forward.get(--take);
            }
        }
        return reel.withFrames(List.of(reversed));
    }

    @Override
    public String title(Reel reel) {
        return "Reverse " + Chosen.words(reel, frames);
    }
}

package dobbin.edit;

import dobbin.reel.Ink;
import dobbin.reel.Reel;
import java.util.List;

/**
 * Gives frames the ink of another, in place of their own.
 *
 * @param frame the one whose ink it is
 */
public record CopyInk(int frame, List<Integer> to) implements Edit {
    public CopyInk {
        to = List.copyOf(to);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Ink ink = Inked.inkOf(reel, frame);
        return Inked.with(reel, to, any -> ink);
    }

    @Override
    public String title(Reel reel) {
        return "Copy ink to " + Chosen.words(reel, to);
    }
}

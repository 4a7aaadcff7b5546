package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.still.CountingOrder;
import java.util.Comparator;
import java.util.List;

/**
 * Puts the named frames into counting order of the names of what they show, among the places they have; those of one
 * name keep their order.
 */
public record SortByName(List<Integer> frames) implements Edit {
    public SortByName {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        List<Frame> sorted = chosen.frames().stream()
                .sorted(Comparator.comparing(frame -> frame.content().name(), CountingOrder.OF_NAMES))
                .toList();
        return reel.withFrames(Bands.settled(chosen.places(sorted), frame -> false));
    }

    @Override
    public String title(Reel reel) {
        return "Put " + Chosen.words(reel, frames) + " in order of name";
    }
}

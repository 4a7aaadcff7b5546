package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Reel;
import java.util.Comparator;
import java.util.List;

/**
 * Puts the named frames into the order in which their stills were taken, among the places they have. Those taken at one
 * time keep their order; those of which it is not known come last.
 */
public record SortByDate(List<Integer> frames) implements Edit {
    public SortByDate {
        frames = List.copyOf(frames);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen chosen = Chosen.of(reel, frames);
        if (chosen.frames().stream().noneMatch(DateTaken::isKnown)) {
            throw new EditRejected("frames", "have no date: none of their files says when it was taken");
        }
        List<Frame> sorted = chosen.frames().stream()
                .sorted(Comparator.comparingLong(
                        frame -> DateTaken.isKnown(frame) ? DateTaken.millis(frame) : Long.MAX_VALUE))
                .toList();
        return reel.withFrames(Bands.settled(chosen.places(sorted), frame -> false));
    }

    @Override
    public String title(Reel reel) {
        return "Put " + Chosen.words(reel, frames) + " in order of date";
    }
}

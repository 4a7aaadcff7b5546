package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.still.CountingOrder;
import java.util.Comparator;
import java.util.List;

/**
 * Puts stills in as frames, in counting order of their names; stills of one name (the frames of one animation) keep the
 * order they come in. The first stills of a reel settle its canvas.
 *
 * @param after the frame they go after; 0 for before all
 */
public record AddStills(List<NewStill> stills, int after) implements Edit {
    /** Ten frames a second: what motion from stills usually wants. */
    static final int USUAL_DELAY_MILLIS = 100;

    public AddStills {
        stills = List.copyOf(stills);
    }

    @Override
    public Reel applyTo(Reel reel) {
        if (stills.isEmpty()) {
            throw new EditRejected("stills", "must hold at least one still");
        }
        List<NewStill> ordered = stills.stream()
                .sorted(Comparator.comparing(each -> each.name(), CountingOrder.OF_NAMES))
                .toList();
        List<Frame> added = ordered.stream()
                .map(each -> Frame.of(reel.nextId(), delayOf(each), each.still()))
                .toList();
        Reel settled = reel.frames().isEmpty()
                ? Canvases.settledBy(
                        reel, ordered.stream().map(each -> each.size()).toList())
                : reel;
        return Gap.insert(settled, Gap.index(reel, after), added);
    }

    @Override
    public String title(Reel reel) {
        return stills.size() == 1 ? "Add a still" : "Add " + stills.size() + " stills";
    }

    private static int delayOf(NewStill each) {
        return each.delayMillis() < Ranges.MIN_DELAY_MILLIS
                ? USUAL_DELAY_MILLIS
                : Math.min(each.delayMillis(), Ranges.MAX_DELAY_MILLIS);
    }
}

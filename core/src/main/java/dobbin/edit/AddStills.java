package dobbin.edit;

import dobbin.raster.Size;
import dobbin.reel.Delivery;
import dobbin.reel.Frame;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.still.CountingOrder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Puts stills in as frames, in counting order of their names; stills of one name (the frames of one animation) keep the
 * order they come in. The first stills of a reel settle its canvas.
 *
 * @param at how many frames come before the new ones, 0 to the number of frames
 */
public record AddStills(List<NewStill> stills, int at) implements Edit {
    /** Ten frames a second: what motion from stills usually wants. */
    private static final int USUAL_DELAY_MILLIS = 100;

    public AddStills {
        stills = List.copyOf(stills);
    }

    @Override
    public Reel applyTo(Reel reel) {
        if (stills.isEmpty()) {
            throw new EditRejected("stills", "must hold at least one still");
        }
        Ranges.check("at", at, 0, reel.frames().size());
        List<Frame> frames = new ArrayList<>(reel.frames());
        int id = reel.nextFrameId();
        List<Frame> added = new ArrayList<>();
        for (NewStill each : inOrder()) {
            added.add(new Frame(id++, delayOf(each), each.still()));
        }
        frames.addAll(at, added);
        Reel settled = reel.frames().isEmpty() ? settleCanvas(reel) : reel;
        return settled.withFrames(frames, id);
    }

    @Override
    public String title(Reel reel) {
        return stills.size() == 1 ? "Add a still" : "Add " + stills.size() + " stills";
    }

    private List<NewStill> inOrder() {
        return stills.stream()
                .sorted(Comparator.comparing(each -> each.still().name(), CountingOrder.OF_NAMES))
                .toList();
    }

    private static int delayOf(NewStill each) {
        return each.delayMillis() < Ranges.MIN_DELAY_MILLIS
                ? USUAL_DELAY_MILLIS
                : Math.min(each.delayMillis(), Ranges.MAX_DELAY_MILLIS);
    }

    private Reel settleCanvas(Reel reel) {
        Size canvas = commonSize();
        return reel.withCanvas(canvas, Delivery.usualFor(canvas));
    }

    /** The size more than half of the stills share, else the first one's. */
    private Size commonSize() {
        Map<Size, Integer> votes = new LinkedHashMap<>();
        List<NewStill> ordered = inOrder();
        for (NewStill each : ordered) {
            votes.merge(each.still().size(), 1, Integer::sum);
        }
        return votes.entrySet().stream()
                .filter(vote -> 2 * vote.getValue() > ordered.size())
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(ordered.get(0).still().size());
    }
}

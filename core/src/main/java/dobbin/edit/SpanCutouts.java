package dobbin.edit;

import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.ArrayList;
import java.util.List;

/**
 * Lets the named cut-outs be there from one frame to another, and nowhere else.
 *
 * @param firstFrame the first of these, or 0 for from the start
 * @param lastFrame the last of these, or 0 for to the end
 */
public record SpanCutouts(List<Integer> cutouts, int firstFrame, int lastFrame) implements Edit {
    private static final int OPEN = 0;

    public SpanCutouts {
        cutouts = List.copyOf(cutouts);
    }

    @Override
    public Reel applyTo(Reel reel) {
        List<Integer> frames = new Tracks(reel.frames()).ids();
        int first = firstFrame == OPEN ? 0 : place(frames, "firstFrame", firstFrame);
        int last = lastFrame == OPEN ? frames.size() - 1 : place(frames, "lastFrame", lastFrame);
        if (last < first) {
            throw new EditRejected("lastFrame", "must not come before the first frame");
        }
        List<Integer> away = new ArrayList<>(frames.subList(0, first));
        away.addAll(frames.subList(last + 1, frames.size()));
        return Cutouts.of(reel, cutouts).each(each -> each.withAway(away));
    }

    @Override
    public String title(Reel reel) {
        return "Change the frames of " + Cutouts.words(reel, cutouts);
    }

    private static int place(List<Integer> frames, String field, int frame) {
        int place = frames.indexOf(frame);
        if (place < 0) {
            throw new EditRejected(field, "is no longer in this reel");
        }
        return place;
    }
}

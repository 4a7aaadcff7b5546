package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.List;

/**
 * Lets the named cut-outs be there on some frames only.
 *
 * @param firstFrame the first of these, or 0 for from the start
 * @param lastFrame the last of these, or 0 for to the end
 */
public record SpanCutouts(List<Integer> cutouts, int firstFrame, int lastFrame) implements Edit {
    public SpanCutouts {
        cutouts = List.copyOf(cutouts);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Tracks tracks = new Tracks(reel.frames());
        if (firstFrame != Cutout.OPEN
                && lastFrame != Cutout.OPEN
                && tracks.index(lastFrame) < tracks.index(firstFrame)) {
            throw new EditRejected("lastFrame", "must not come before the first frame");
        }
        return Cutouts.of(reel, cutouts).each(each -> each.withSpan(firstFrame, lastFrame));
    }

    @Override
    public String title(Reel reel) {
        return "Change when " + Cutouts.words(reel, cutouts) + (cutouts.size() == 1 ? " is" : " are") + " there";
    }
}

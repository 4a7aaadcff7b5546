package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Plays;
import dobbin.reel.Ranges;
import dobbin.reel.Reel;
import dobbin.still.CountingOrder;
import dobbin.timing.Delays;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Puts stills in as frames, in counting order of their names; stills of one name (the frames of one animation) keep the
 * order they come in. The first stills of a reel settle its canvas.
 *
 * @param after the frame they go after; 0 for before all
 * @param gathering what the stills of one gathering have in common, so that they are one step however slowly they come;
 *     empty or null for none
 */
public record AddStills(List<NewStill> stills, int after, String gathering) implements Edit {
    public AddStills {
        stills = List.copyOf(stills);
        gathering = gathering == null ? "" : gathering;
    }

    public AddStills(List<NewStill> stills, int after) {
        this(stills, after, "");
    }

    @Override
    public boolean continues(Edit before) {
        return !gathering.isEmpty() && before instanceof AddStills other && gathering.equals(other.gathering);
    }

    @Override
    public Edit joined(Edit before) {
        AddStills earlier = (AddStills) before;
        List<NewStill> all = new ArrayList<>(earlier.stills);
        all.addAll(stills);
        return new AddStills(all, earlier.after, gathering);
    }

    @Override
    public boolean gathersOn() {
        return true;
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
        Reel settled = reel.frames().isEmpty() ? begun(reel, ordered) : reel;
        return Gap.insert(settled, Gap.index(reel, after), added);
    }

    @Override
    public String title(Reel reel) {
        return stills.size() == 1 ? "Add a still" : "Add " + stills.size() + " stills";
    }

    /** The first still says what the canvas is and, where it comes from an animation, how often the loop plays. */
    private static Reel begun(Reel reel, List<NewStill> stills) {
        Reel settled = Canvases.settledBy(
                reel, stills.stream().map(each -> each.size()).toList());
        int plays = stills.get(0).plays();
        return plays == NewStill.SAYS_NOTHING
                ? settled
                : settled.withPlays(new Plays(Math.min(plays, Ranges.MAX_PLAYS)));
    }

    private static int delayOf(NewStill each) {
        return each.delayMillis() < Ranges.MIN_DELAY_MILLIS
                ? Delays.USUAL_MILLIS
                : Math.min(each.delayMillis(), Ranges.MAX_DELAY_MILLIS);
    }
}

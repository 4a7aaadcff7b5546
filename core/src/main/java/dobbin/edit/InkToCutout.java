package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Frame;
import dobbin.reel.Ink;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.timing.Easing;
import java.util.ArrayList;
import java.util.List;

/** Makes what was drawn on a frame a cut-out that lies there, on that frame alone. */
public record InkToCutout(int frame) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        Ink ink = Inked.inkOf(reel, frame);
        List<Integer> others =
                reel.frames().stream().map(Frame::id).filter(id -> id != frame).toList();
        Pose pose =
                Pose.at(ink.x() + ink.size().width() / 2.0, ink.y() + ink.size().height() / 2.0);
        Cutout cutout = Cutout.of(
                        reel.nextId(),
                        "Ink",
                        new Cycle(List.of(ink.ref()), Cycle.Turns.KEPT, 1, 0),
                        new Key(frame, pose, Easing.EVEN))
                .withAway(others);
        List<Cutout> all = new ArrayList<>(reel.cutouts());
        all.add(cutout);
        return Inked.with(reel, List.of(frame), any -> Ink.NONE).withCutouts(all, reel.nextId() + 1);
    }

    @Override
    public String title(Reel reel) {
        return "Make the ink of " + Chosen.words(reel, List.of(frame)) + " a cut-out";
    }
}

package dobbin.edit;

import dobbin.reel.Art;
import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.timing.Easing;
import java.util.ArrayList;
import java.util.List;

/**
 * Lays a new cut-out over all others, on all frames.
 *
 * @param frame where its first pose is set
 */
public record AddCutout(String name, Art art, Pose pose, int frame) implements Edit {
    @Override
    public Reel applyTo(Reel reel) {
        Chosen.of(reel, List.of(frame));
        List<Cutout> all = new ArrayList<>(reel.cutouts());
        all.add(Cutout.of(reel.nextId(), name, art, new Key(frame, pose, Easing.EVEN)));
        return reel.withCutouts(all, reel.nextId() + 1);
    }

    @Override
    public String title(Reel reel) {
        return "Add " + name;
    }
}

package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.timing.Easing;
import java.util.List;
import java.util.Set;

/** Sets poses where cut-outs are anyhow, so that they stay there when others change. */
public record KeepPoses(List<Cell> cells) implements Edit {
    public KeepPoses {
        cells = List.copyOf(cells);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Tracks tracks = new Tracks(reel.frames());
        return Cell.each(reel, cells, (cutout, frames) -> kept(cutout, frames, tracks));
    }

    @Override
    public String title(Reel reel) {
        return "Set " + Cell.words(reel, cells);
    }

    private static Cutout kept(Cutout cutout, Set<Integer> frames, Tracks tracks) {
        Cutout kept = cutout;
        for (int frame : frames) {
            if (cutout.key(frame).isEmpty()) {
                kept = kept.withKey(new Key(frame, tracks.pose(cutout, tracks.index(frame)), Easing.EVEN));
            }
        }
        return kept;
    }
}

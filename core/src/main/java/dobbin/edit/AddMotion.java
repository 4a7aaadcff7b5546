package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.ArrayList;
import java.util.List;

/** Lets cut-outs move in a ready way from one frame to another. */
public record AddMotion(List<Integer> cutouts, int firstFrame, int lastFrame, Motion motion) implements Edit {
    public AddMotion {
        cutouts = List.copyOf(cutouts);
        if (motion == null) {
            throw new EditRejected("motion", "must be given");
        }
    }

    @Override
    public Reel applyTo(Reel reel) {
        Tracks tracks = new Tracks(reel.frames());
        int first = tracks.index(firstFrame);
        int last = tracks.index(lastFrame);
        if (first < 0 || last <= first) {
            throw new EditRejected("lastFrame", "must come after the first frame: a motion takes at least 2 frames");
        }
        return Cutouts.of(reel, cutouts).each(cutout -> moving(cutout, reel, tracks, first, last));
    }

    @Override
    public String title(Reel reel) {
        return "Let " + Cutouts.words(reel, cutouts) + " " + motion.verb();
    }

    private Cutout moving(Cutout old, Reel reel, Tracks tracks, int first, int last) {
        Cutout cutout = old.withArt(motion.prepared(old.art()));
        List<Integer> frames = tracks.ids().subList(first, last + 1);
        List<Key> inside = new ArrayList<>();
        List<Key> outside = new ArrayList<>();
        cutout.keys().forEach(key -> (frames.contains(key.frame()) ? inside : outside).add(key));
        MotionRange range =
                new MotionRange(cutout, frames, tracks.poses(cutout).subList(first, last + 1), inside, reel.canvas());
        outside.addAll(motion.keys(range));
        return cutout.withKeys(outside);
    }
}

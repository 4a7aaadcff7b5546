package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.timing.Easing;
import java.util.ArrayList;
import java.util.List;

/** Lets cut-outs glide in one go from where they are on the first frame to where they are on the last. */
public record GlideAgain(List<Integer> cutouts, int firstFrame, int lastFrame, Easing leaves) implements Edit {
    public GlideAgain {
        cutouts = List.copyOf(cutouts);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Tracks tracks = new Tracks(reel.frames());
        int first = tracks.index(firstFrame);
        int last = tracks.index(lastFrame);
        if (first < 0 || last <= first) {
            throw new EditRejected("lastFrame", "must come after the first frame");
        }
        return Cutouts.of(reel, cutouts).each(cutout -> glide(cutout, tracks, first, last));
    }

    @Override
    public String title(Reel reel) {
        return "Make one glide of " + Cutouts.words(reel, cutouts);
    }

    private Cutout glide(Cutout cutout, Tracks tracks, int first, int last) {
        List<Key> keys = new ArrayList<>(cutout.keys());
        keys.removeIf(key -> tracks.index(key.frame()) >= first && tracks.index(key.frame()) <= last);
        Easing after = cutout.key(lastFrame).map(Key::leaves).orElse(Easing.EVEN);
        keys.add(new Key(firstFrame, tracks.pose(cutout, first), leaves));
        keys.add(new Key(lastFrame, tracks.pose(cutout, last), after));
        return cutout.withKeys(keys);
    }
}

package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.timing.Easing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;

/**
 * Keeps what frames show of cut-outs when they are put into another order, copied or thinned out. Poses follow their
 * frames; where the glides between them would no longer pass through the same places, poses are added, as few as needed.
 */
final class CarriedPoses {
    private static final int NONE = 0;

    private final Tracks before;
    private final Tracks after;
    private final int[] sources;

    private CarriedPoses(Reel before, Reel after, IntUnaryOperator source) {
        this.before = new Tracks(before.frames());
        this.after = new Tracks(after.frames());
        this.sources = after.frames().stream()
                .mapToInt(frame -> this.before.index(source.applyAsInt(frame.id())))
                .toArray();
    }

    /** @return {@code after}, where each frame shows its cut-outs as it did in {@code before} */
    static Reel kept(Reel before, Reel after) {
        return kept(before, after, id -> id);
    }

    /** @param source the id of the frame of {@code before} that a frame of {@code after} is to show cut-outs like, or 0 */
    static Reel kept(Reel before, Reel after, IntUnaryOperator source) {
        if (before.cutouts().isEmpty()) {
            return after;
        }
        CarriedPoses carried = new CarriedPoses(before, after, source);
        List<Cutout> cutouts = new ArrayList<>();
        for (int i = 0; i < after.cutouts().size(); i++) {
            cutouts.add(carried.carried(before.cutouts().get(i), after.cutouts().get(i)));
        }
        return after.withCutouts(cutouts);
    }

    /**
     * @param poses where the cut-out is to be on each frame, null for anywhere
     * @return the cut-out with keys added until it is there
     */
    static Cutout fitted(Cutout cutout, Tracks tracks, List<Integer> frames, List<Pose> poses) {
        Cutout fitted = cutout;
        boolean fits = false;
        while (!fits) {
            fits = true;
            for (int i = 0; i < poses.size(); i++) {
                Pose wanted = poses.get(i);
                if (wanted != null && !tracks.pose(fitted, i).isNear(wanted)) {
                    Easing leaves = fitted.key(frames.get(i)).map(Key::leaves).orElse(Easing.EVEN);
                    fitted = fitted.withKey(new Key(frames.get(i), wanted, leaves));
                    fits = false;
                }
            }
        }
        return fitted;
    }

    private Cutout carried(Cutout old, Cutout moved) {
        if (old.keys().size() == 1) {
            return moved;
        }
        List<Pose> poses = before.poses(old);
        List<Pose> wanted = new ArrayList<>();
        List<Integer> frames = after.ids();
        Cutout carried = moved;
        for (int i = 0; i < sources.length; i++) {
            Pose pose = sources[i] < 0 ? null : poses.get(sources[i]);
            wanted.add(pose);
            if (pose != null) {
                carried = seeded(old, carried, frames.get(i), i, pose);
            }
        }
        return fitted(carried, after, frames, wanted);
    }

    /** A key goes where its frame or a copy of it goes, and so does the end of a stretch that plays backward. */
    private Cutout seeded(Cutout old, Cutout carried, int frame, int i, Pose pose) {
        Optional<Key> here = old.key(before.id(sources[i]));
        int step = i + 1 < sources.length && sources[i + 1] >= 0 ? sources[i + 1] - sources[i] : NONE;
        if (step < 0) {
            Easing leaves = leavesBackward(old, sources[i]);
            boolean turns = i == 0 || sources[i - 1] != sources[i] + 1;
            return here.isPresent() || turns ? carried.withKey(new Key(frame, pose, leaves)) : carried;
        }
        boolean endsBackward = i > 0 && sources[i - 1] > sources[i];
        return here.map(key -> carried.withKey(key.on(frame)))
                .orElse(endsBackward ? carried.withKey(new Key(frame, pose, Easing.EVEN)) : carried);
    }

    /** @return how the glide that arrives at {@code index}, or passes it, leaves when time runs backward */
    private Easing leavesBackward(Cutout cutout, int index) {
        Easing leaves = Easing.EVEN;
        for (Key key : before.inOrder(cutout)) {
            if (before.index(key.frame()) < index) {
                leaves = key.leaves();
            }
        }
        return leaves.backward();
    }
}

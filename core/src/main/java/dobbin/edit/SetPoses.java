package dobbin.edit;

import dobbin.reel.Cutout;
import dobbin.reel.Group;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.timing.Easing;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Puts cut-outs elsewhere on a frame. How far that changes their other poses is for {@code scope} to say: these are moved,
 * turned and faded by as much, and scaled by the same factor.
 */
public record SetPoses(List<Placed> placed, int frame, Scope scope) implements Edit {
    public SetPoses {
        placed = List.copyOf(placed);
        if (scope == null) {
            throw new EditRejected("scope", "must be given");
        }
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen.of(reel, List.of(frame));
        Tracks tracks = new Tracks(reel.frames());
        Map<Integer, Pose> poses =
                placed.stream().collect(Collectors.toMap(Placed::cutout, Placed::pose, (first, last) -> last));
        return Cutouts.of(reel, List.copyOf(poses.keySet()))
                .each(cutout -> posed(cutout, tracks, checked(cutout, poses.get(cutout.id()))));
    }

    @Override
    public boolean continues(Edit before) {
        return before instanceof SetPoses other
                && frame == other.frame
                && scope == other.scope
                && cutouts(placed).equals(cutouts(other.placed));
    }

    @Override
    public String title(Reel reel) {
        return "Pose " + Cutouts.words(reel, cutouts(placed));
    }

    private static List<Integer> cutouts(List<Placed> placed) {
        return placed.stream().map(Placed::cutout).toList();
    }

    private Cutout posed(Cutout cutout, Tracks tracks, Pose to) {
        int here = tracks.index(frame);
        Pose from = tracks.pose(cutout, here);
        Cutout changed = cutout.withKeys(cutout.keys().stream()
                .map(key -> counts(tracks.index(key.frame()), here)
                        ? key.withPose(key.pose().changedAs(from, to))
                        : key)
                .toList());
        return scope == Scope.EVERYWHERE ? changed : changed.withKey(new Key(frame, to, leaves(cutout, tracks)));
    }

    private boolean counts(int index, int here) {
        return scope == Scope.EVERYWHERE || scope == Scope.FROM_HERE && index > here;
    }

    /** A new pose within a hold holds; in a glide it goes on evenly. */
    private Easing leaves(Cutout cutout, Tracks tracks) {
        Easing leaves = Easing.EVEN;
        for (Key key : tracks.inOrder(cutout)) {
            if (key.frame() == frame) {
                return key.leaves();
            }
            if (tracks.index(key.frame()) < tracks.index(frame)) {
                leaves = key.leaves() == Easing.HOLD ? Easing.HOLD : Easing.EVEN;
            }
        }
        return leaves;
    }

    /** A group made wider but not higher could not be ungrouped without a jump. */
    private static Pose checked(Cutout cutout, Pose pose) {
        if (cutout.art() instanceof Group && pose.scaleX() != pose.scaleY()) {
            throw new EditRejected("scaleY", "must be as scaleX: a group keeps its shape");
        }
        return pose;
    }
}

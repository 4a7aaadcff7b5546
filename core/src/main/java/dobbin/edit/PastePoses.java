package dobbin.edit;

import dobbin.reel.Key;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.List;

/**
 * Puts copied poses in, each on its cut-out.
 *
 * @param frame where the first of them goes; those that would come after the last frame are left away
 */
public record PastePoses(List<CopiedPose> poses, int frame) implements Edit {
    public PastePoses {
        poses = List.copyOf(poses);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Tracks tracks = new Tracks(reel.frames());
        Chosen.of(reel, List.of(frame));
        int first = tracks.index(frame);
        Reel pasted = reel;
        for (CopiedPose each : poses) {
            int index = first + each.later();
            if (each.later() < 0) {
                throw new EditRejected("later", "must not be less than 0");
            }
            if (index < tracks.ids().size()) {
                Key key = new Key(tracks.id(index), each.pose(), each.leaves());
                pasted = Cutouts.of(pasted, List.of(each.cutout())).each(cutout -> cutout.withKey(key));
            }
        }
        return pasted;
    }

    @Override
    public String title(Reel reel) {
        return poses.size() == 1 ? "Paste a pose" : "Paste " + poses.size() + " poses";
    }
}

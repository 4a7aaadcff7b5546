package dobbin.edit;

import dobbin.lettering.TextBlock.Align;
import dobbin.lettering.Typeface;
import dobbin.raster.Size;
import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Fill;
import dobbin.reel.Group;
import dobbin.reel.PictureRef;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Shape;
import dobbin.reel.Tracks;
import dobbin.reel.Words;
import java.util.ArrayList;
import java.util.List;

/** Reels with cut-outs, for tests. */
final class Moving {
    static final Shape BADGE = new Shape(Shape.Form.ELLIPSE, 40, 40, 5, 0, Fill.of("b23e28"), 0, "000000");
    static final Cycle FERRY = Cycle.dealt(List.of(new PictureRef("a".repeat(64), new Size(60, 30))), 1);

    static final Cycle GULL = Cycle.dealt(
            List.of(new PictureRef("b".repeat(64), new Size(40, 30)), new PictureRef("c".repeat(64), new Size(40, 30))),
            2);

    private Moving() {}

    /** What a frame shows of one cut-out, or of a member of a group. */
    record Shown(boolean there, int turn, Pose pose) {
        boolean isLike(Shown other) {
            return there == other.there && (!there || turn == other.turn && pose.isNear(other.pose));
        }
    }

    /** All that a frame shows of cut-outs, members of groups too. */
    static List<Shown> shown(Reel reel, int frame) {
        Tracks tracks = new Tracks(reel.frames());
        List<Shown> all = new ArrayList<>();
        reel.cutouts().forEach(cutout -> addShown(tracks, cutout, tracks.index(frame), all));
        return all;
    }

    private static void addShown(Tracks tracks, Cutout cutout, int index, List<Shown> all) {
        all.add(new Shown(tracks.isThere(cutout, index), tracks.turn(cutout, index), tracks.pose(cutout, index)));
        if (cutout.art() instanceof Group group) {
            group.members().forEach(member -> addShown(tracks, member, index, all));
        }
    }

    static Words words(String text) {
        return Words.of(text, Typeface.PLAIN, Typeface.Weight.BOLD, 30, "1e2a32", Align.CENTER);
    }

    /** Frames 1 to {@code frames}, and a badge (id {@code frames + 1}) with its pose on frame 1. */
    static Reel reel(int frames) {
        return edited(EditTest.reel(frames), new AddCutout("Badge", BADGE, Pose.at(100, 100), 1));
    }

    /** The badge goes evenly from 100 on the first frame to 100 and 10 for each further one on the last. */
    static Reel gliding(int frames) {
        Reel reel = reel(frames);
        return posed(reel, frames, Pose.at(100 + 10 * (frames - 1), 100), Scope.HERE);
    }

    static Reel posed(Reel reel, int frame, Pose pose, Scope scope) {
        return edited(reel, new SetPoses(List.of(new Placed(badge(reel).id(), pose)), frame, scope));
    }

    static Reel edited(Reel reel, Edit edit) {
        return Edit.apply(edit, reel);
    }

    static Cutout badge(Reel reel) {
        return reel.cutouts().get(0);
    }

    static List<Double> across(Reel reel) {
        return new Tracks(reel.frames())
                .poses(badge(reel)).stream().map(Pose::x).toList();
    }

    static List<Pose> poses(Reel reel) {
        return new Tracks(reel.frames()).poses(badge(reel));
    }
}

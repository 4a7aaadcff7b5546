package dobbin.edit;

import dobbin.raster.Region;
import dobbin.reel.Cutout;
import dobbin.reel.Group;
import dobbin.reel.Key;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.timing.Easing;
import java.util.List;

/**
 * Makes one of several cut-outs, which keep their own poses within it. Nothing moves by that.
 *
 * @param frame whose picture says how large the group is
 */
public record GroupCutouts(List<Integer> cutouts, String name, int frame) implements Edit {
    public GroupCutouts {
        cutouts = List.copyOf(cutouts);
    }

    @Override
    public Reel applyTo(Reel reel) {
        Chosen.of(reel, List.of(frame));
        Cutouts chosen = Cutouts.of(reel, cutouts);
        if (chosen.chosen().size() < 2) {
            throw new EditRejected("cutouts", "must be at least 2 to be grouped");
        }
        Tracks tracks = new Tracks(reel.frames());
        Region box = around(chosen.chosen(), tracks, tracks.index(frame));
        List<Cutout> members = chosen.chosen().stream()
                .map(each -> each.movedBy(-box.x(), -box.y()))
                .toList();
        Pose middle = Pose.at(box.x() + box.width() / 2, box.y() + box.height() / 2);
        Cutout top = chosen.chosen().get(members.size() - 1);
        Cutout group = Cutout.of(
                        reel.nextId(),
                        name,
                        new Group(box.width(), box.height(), members),
                        new Key(frame, middle, Easing.EVEN))
                .lying(top.under(), dobbin.raster.Blend.NORMAL, dobbin.reel.Shadow.NONE);
        List<Cutout> order = chosen.others();
        order.add(reel.cutouts().indexOf(top) - (members.size() - 1), group);
        return reel.withCutouts(order, reel.nextId() + 1);
    }

    @Override
    public String title(Reel reel) {
        return "Group " + Cutouts.words(reel, cutouts);
    }

    private static Region around(List<Cutout> cutouts, Tracks tracks, int index) {
        double left = Double.MAX_VALUE;
        double top = Double.MAX_VALUE;
        double right = -Double.MAX_VALUE;
        double bottom = -Double.MAX_VALUE;
        for (Cutout cutout : cutouts) {
            Region box = cutout.box(tracks.pose(cutout, index));
            left = Math.min(left, box.x());
            top = Math.min(top, box.y());
            right = Math.max(right, box.x() + box.width());
            bottom = Math.max(bottom, box.y() + box.height());
        }
        // Whole pixels, so that poses in the box are whole where they were before.
        left = Math.floor(left);
        top = Math.floor(top);
        return new Region(left, top, even(right - left), even(bottom - top));
    }

    private static double even(double length) {
        return 2 * Math.ceil(length / 2);
    }
}

package dobbin.edit;

import dobbin.raster.Region;
import dobbin.reel.Cutout;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Lines cut-outs up on a frame: one of them on the canvas, several on the box around them all. */
public record AlignCutouts(List<Integer> cutouts, int frame, Alignment to, Scope scope) implements Edit {
    public enum Alignment {
        LEFT,
        CENTER,
        RIGHT,
        TOP,
        MIDDLE,
        BOTTOM,
        /** With equal gaps from left to right. */
        SPREAD_ACROSS,
        /** With equal gaps from top to bottom. */
        SPREAD_DOWN;

        boolean isDown() {
            return this == TOP || this == MIDDLE || this == BOTTOM || this == SPREAD_DOWN;
        }

        boolean isSpread() {
            return this == SPREAD_ACROSS || this == SPREAD_DOWN;
        }

        double share() {
            return this == LEFT || this == TOP ? 0 : this == CENTER || this == MIDDLE ? 0.5 : 1;
        }
    }

    public AlignCutouts {
        cutouts = List.copyOf(cutouts);
    }

    /** A cut-out's extent along the axis that counts. */
    private record Extent(Cutout cutout, Pose pose, double start, double length) {}

    @Override
    public Reel applyTo(Reel reel) {
        int index = new Tracks(reel.frames()).index(frame);
        Chosen.of(reel, List.of(frame));
        Tracks tracks = new Tracks(reel.frames());
        List<Extent> extents = new ArrayList<>(Cutouts.of(reel, cutouts).chosen().stream()
                .map(cutout -> extent(cutout, tracks.pose(cutout, index)))
                .toList());
        List<Placed> placed = to.isSpread() ? spread(extents) : aligned(extents, reel);
        return new SetPoses(placed, frame, scope).applyTo(reel);
    }

    @Override
    public String title(Reel reel) {
        return (to.isSpread() ? "Space out " : "Align ") + Cutouts.words(reel, cutouts);
    }

    private Extent extent(Cutout cutout, Pose pose) {
        Region box = cutout.box(pose);
        return to.isDown()
                ? new Extent(cutout, pose, box.y(), box.height())
                : new Extent(cutout, pose, box.x(), box.width());
    }

    private List<Placed> aligned(List<Extent> extents, Reel reel) {
        double from = 0;
        double until = to.isDown() ? reel.canvas().height() : reel.canvas().width();
        if (extents.size() > 1) {
            from = extents.stream().mapToDouble(Extent::start).min().orElse(0);
            until = extents.stream()
                    .mapToDouble(each -> each.start + each.length)
                    .max()
                    .orElse(0);
        }
        double start = from;
        double room = until - from;
        return extents.stream()
                .map(each -> moved(each, start + (room - each.length) * to.share() - each.start))
                .toList();
    }

    private List<Placed> spread(List<Extent> extents) {
        if (extents.size() < 3) {
            throw new EditRejected("cutouts", "must be at least 3 to be spread");
        }
        extents.sort(Comparator.comparingDouble(Extent::start));
        Extent last = extents.get(extents.size() - 1);
        double room = last.start + last.length - extents.get(0).start;
        double gap = (room - extents.stream().mapToDouble(Extent::length).sum()) / (extents.size() - 1);
        List<Placed> placed = new ArrayList<>();
        double at = extents.get(0).start;
        for (Extent each : extents) {
            placed.add(moved(each, at - each.start));
            at += each.length + gap;
        }
        return placed;
    }

    private Placed moved(Extent extent, double by) {
        Pose pose = extent.pose;
        return new Placed(extent.cutout.id(), to.isDown() ? pose.movedBy(0, by) : pose.movedBy(by, 0));
    }
}

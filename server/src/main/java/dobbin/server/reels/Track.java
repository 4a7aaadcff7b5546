package dobbin.server.reels;

import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Pose;
import dobbin.reel.Tracks;
import dobbin.render.RenderKeys;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * Where a cut-out is on each frame of the sheet, a list for each number of its pose, in ten thousandths: the number on the
 * first frame, then its change from each frame to the next. Along an even glide the changes are alike, so the answer packs
 * well. What is the same on all frames is told once.
 *
 * @param width of the box of what it shows, at scale 1, and {@code height}
 * @param x as in {@link Pose}, and so on
 * @param away the places of the frames it is not there on, from 0
 * @param turns the place of the picture seen in its cycle, from 0; empty where it has no cycle of several
 * @param arts names of what it shows, equal names for equal pictures
 * @param art which of these names each frame has
 */
record Track(
        int cutout,
        double width,
        double height,
        List<Integer> x,
        List<Integer> y,
        List<Integer> scaleX,
        List<Integer> scaleY,
        List<Integer> turn,
        List<Integer> opacity,
        List<Integer> shown,
        List<Integer> walk,
        List<Integer> away,
        List<Integer> turns,
        List<String> arts,
        List<Integer> art) {

    static Track of(Cutout cutout, RenderKeys renderKeys) {
        Tracks tracks = renderKeys.tracks();
        List<Pose> poses = tracks.poses(cutout);
        List<Integer> away = new ArrayList<>();
        List<Integer> turns = new ArrayList<>();
        Map<String, Integer> arts = new HashMap<>();
        List<String> names = new ArrayList<>();
        List<Integer> art = new ArrayList<>();
        boolean cycles = cutout.art() instanceof Cycle cycle && cycle.pictures().size() > 1;
        for (int i = 0; i < poses.size(); i++) {
            if (!tracks.isThere(cutout, i)) {
                away.add(i);
            }
            if (cycles) {
                turns.add(tracks.turn(cutout, i));
            }
            String name = renderKeys.ofArt(cutout, i);
            art.add(arts.computeIfAbsent(name, it -> names.size()));
            if (arts.size() > names.size()) {
                names.add(name);
            }
        }
        return new Track(
                cutout.id(),
                cutout.art().width(),
                cutout.art().height(),
                column(poses, Pose::x),
                column(poses, Pose::y),
                column(poses, Pose::scaleX),
                column(poses, Pose::scaleY),
                column(poses, Pose::turn),
                column(poses, Pose::opacity),
                column(poses, Pose::shown),
                column(poses, Pose::walk),
                away,
                once(turns),
                names,
                once(art));
    }

    private static List<Integer> column(List<Pose> poses, ToDoubleFunction<Pose> number) {
        List<Integer> column = new ArrayList<>(poses.size());
        int before = 0;
        boolean changes = false;
        for (Pose pose : poses) {
            int value = (int) Math.round(Pose.FINEST * number.applyAsDouble(pose));
            changes |= !column.isEmpty() && value != before;
            column.add(value - before);
            before = value;
        }
        return changes || column.isEmpty() ? column : column.subList(0, 1);
    }

    private static <V> List<V> once(List<V> values) {
        return values.size() > 1 && values.stream().allMatch(values.get(0)::equals) ? values.subList(0, 1) : values;
    }
}

package dobbin.server.reels;

import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Pose;
import dobbin.reel.Tracks;
import dobbin.render.Looks;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Where a cut-out is.
 *
 * @param width of the box of what it shows, at scale 1, and {@code height}
 * @param stops where it is on each frame of the sheet
 */
record Track(int cutout, double width, double height, List<Stop> stops) {
    /**
     * @param there whether it is there at all
     * @param turn the place of the picture seen in its cycle, from 0; -1 where it has no cycle of several
     * @param art names what it shows: equal names, equal pictures
     */
    record Stop(Pose pose, boolean there, int turn, String art) {}

    static Track of(Cutout cutout, Tracks tracks) {
        List<Pose> poses = tracks.poses(cutout);
        return new Track(
                cutout.id(),
                cutout.art().width(),
                cutout.art().height(),
                IntStream.range(0, poses.size())
                        .mapToObj(i -> new Stop(
                                poses.get(i),
                                tracks.isThere(cutout, i),
                                turn(cutout, i),
                                Looks.ofArt(tracks, cutout, i)))
                        .toList());
    }

    private static int turn(Cutout cutout, int frame) {
        return cutout.art() instanceof Cycle cycle && cycle.pictures().size() > 1 ? cycle.turn(frame) : -1;
    }
}

package dobbin.server.renders;

import dobbin.reel.Cutout;
import dobbin.reel.Cycle;
import dobbin.reel.Pose;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;
import dobbin.render.Looks;
import dobbin.server.reels.OpenReel;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Where the cut-outs of a reel are.
 *
 * @param revision of the reel that was looked at
 * @param tracks one for each cut-out, the lowest first
 */
record TracksView(int revision, List<Track> tracks) {
    /**
     * @param width of the box of what it shows, at scale 1, and {@code height}
     * @param frames where it is on each frame of the sheet
     */
    record Track(int cutout, double width, double height, List<Stop> frames) {}

    /**
     * @param there whether it is there at all
     * @param turn the place of the picture seen in its cycle, from 0; -1 where it has no cycle of several
     * @param art names what it shows: equal names, equal pictures
     */
    record Stop(Pose pose, boolean there, int turn, String art) {}

    static TracksView of(OpenReel open) {
        Reel reel = open.reel();
        Tracks tracks = new Tracks(reel.frames());
        return new TracksView(
                open.revision(),
                reel.cutouts().stream().map(cutout -> track(cutout, tracks)).toList());
    }

    private static Track track(Cutout cutout, Tracks tracks) {
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

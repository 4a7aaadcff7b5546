package dobbin.form;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Sharing;
import dobbin.reel.Tracks;
import dobbin.slim.Drawing;
import dobbin.slim.Framed;
import java.util.List;
import java.util.Set;

/** The frames of a loop as they are delivered, in full color, each drawn when it is asked for. */
public final class DrawnLoop {
    private final Reel reel;
    private final Drawing drawing;
    private final Framed framed;
    private final Tracks tracks;
    private final List<Frame> frames;
    private final int[] delays;

    /** @throws IllegalArgumentException where the reel has no frames in its loop */
    public DrawnLoop(Reel reel, Drawing drawing) {
        this.reel = reel;
        this.drawing = drawing;
        this.framed = Framed.of(reel);
        this.tracks = new Tracks(reel.frames());
        this.frames = reel.deliveredFrames();
        this.delays = reel.deliveredDelaysMillis();
        if (frames.isEmpty()) {
            throw new IllegalArgumentException("A loop needs at least one frame");
        }
    }

    /** @return the reel with these frames alone in its loop, also where they are left out; all others are left out */
    public static Reel only(Set<Integer> frames, Reel reel) {
        return reel.withFrames(reel.frames().stream()
                .map(frame -> frame.withLeftOut(!frames.contains(frame.id())))
                .toList());
    }

    public int count() {
        return frames.size();
    }

    public Size size() {
        return framed.delivered();
    }

    /** @return how often it plays in all, 0 for forever */
    public int plays() {
        return reel.plays().times();
    }

    /** @param place from 0 */
    public int delayMillis(int place) {
        return delays[place];
    }

    /** @param place from 0 */
    public Raster picture(int place) {
        return drawing.draw(reel, tracks, frames.get(place), framed);
    }

    /** @return what the loop shows, in words, and the frame that stands for it */
    public Sharing sharing() {
        return reel.sharing();
    }

    /** @return the place, from 0, of the frame that stands for the loop; of the first one where it is not delivered */
    public int standing() {
        for (int place = 0; place < frames.size(); place++) {
            if (frames.get(place).id() == reel.sharing().still()) {
                return place;
            }
        }
        return 0;
    }
}

package dobbin.edit;

import dobbin.reel.Frame;
import dobbin.reel.Ink;
import dobbin.reel.Reel;
import java.util.List;
import java.util.function.Function;

/** Frames with other ink. */
final class Inked {
    private Inked() {}

    static Reel with(Reel reel, List<Integer> frames, Function<Frame, Ink> ink) {
        return reel.withFrames(Chosen.of(reel, frames).each(frame -> frame.withInk(ink.apply(frame))));
    }

    static Frame one(Reel reel, int frame) {
        return Chosen.of(reel, List.of(frame)).frames().get(0);
    }

    /** @throws EditRejected where nothing is drawn on the frame */
    static Ink inkOf(Reel reel, int frame) {
        Ink ink = one(reel, frame).ink();
        if (ink.none()) {
            throw new EditRejected("frame", "has no ink. Draw something on it first");
        }
        return ink;
    }
}

package dobbin.inspect;

import dobbin.raster.Raster;
import dobbin.reel.Frame;

/** How an inspector gets to see the frames of one reel. May be asked for the same one many times. */
public interface InspectedFrames {
    /** The longer side of what {@link #coarse} and {@link #fine} sample. */
    int COARSE_SIDE = 48;

    int FINE_SIDE = 480;

    /** The longer side of what {@link #small} gives. */
    int SMALL_SIDE = 128;

    /** @return the frame as drawn with its longer side at most {@link #COARSE_SIDE} */
    Sample coarse(Frame frame);

    /** @return the frame as drawn with its longer side at most {@link #FINE_SIDE}; asked for rarely */
    Sample fine(Frame frame);

    /** @return the frame as it is delivered, with its longer side at most {@link #SMALL_SIDE} */
    Raster small(Frame frame);

    /** @return whether the two look the same without looking: they are made of the same things */
    boolean same(Frame a, Frame b);

    /** @return how much two frames differ, 0 to 1; a difference too small to be seen coarsely is looked for finely */
    default double change(Frame a, Frame b) {
        if (same(a, b)) {
            return 0;
        }
        double change = coarse(a).changeTo(coarse(b));
        return change < Rhythm.NOTHING ? fine(a).changeTo(fine(b)) : change;
    }
}

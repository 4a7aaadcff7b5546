package dobbin.slim;

import dobbin.raster.Raster;
import dobbin.reel.Frame;
import dobbin.reel.Reel;
import dobbin.reel.Tracks;

/** Draws frames for delivery as {@link Framed#draw} does, perhaps from memory. The same frame gives the same pixels. */
@FunctionalInterface
public interface Drawing {
    Raster draw(Reel reel, Tracks tracks, Frame frame, Framed framed);
}

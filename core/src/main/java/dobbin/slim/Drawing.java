package dobbin.slim;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Frame;
import dobbin.reel.Reel;

/** Draws frames for delivery, perhaps from memory. The same frame gives the same pixels. */
@FunctionalInterface
public interface Drawing {
    Raster draw(Reel reel, Frame frame, Size size);
}

package dobbin.draw;

import dobbin.raster.Raster;

/** One thing drawn on a layer of ink, or done to it. */
public sealed interface Mark permits Stroke, Figure, Press, Pour, Recolor, Shift, Wipe {
    /**
     * @param ink the layer, as large as the canvas
     * @param scene what else there is to go by
     * @return the layer with the mark
     */
    Raster on(Raster ink, Scene scene);

    /** @return what making it takes, as a share of the largest mark that is made: about two seconds; what takes little is 0 */
    default double cost() {
        return 0;
    }

    /** @return what was done, in a word or two: "Draw", "Erase" */
    String verb();
}

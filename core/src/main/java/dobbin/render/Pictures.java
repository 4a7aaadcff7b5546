package dobbin.render;

import dobbin.raster.Raster;

/** Where a renderer gets pictures from. May be asked by several threads at once. */
@FunctionalInterface
public interface Pictures {
    /** @param picture a name from the document; it was checked to exist. Any resolution of the whole upright picture */
    Raster raster(String picture);
}

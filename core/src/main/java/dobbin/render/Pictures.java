package dobbin.render;

import dobbin.raster.Raster;

/** Where a renderer gets pictures from. May be asked by several threads at once. */
@FunctionalInterface
public interface Pictures {
    /**
     * @param picture a name from the document; it was checked to exist
     * @return the whole upright picture as {@link Level#of} gives it
     */
    Raster raster(String picture, Level level);
}

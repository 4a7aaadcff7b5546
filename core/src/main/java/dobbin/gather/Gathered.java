package dobbin.gather;

import dobbin.raster.Raster;
import dobbin.raster.Size;

/**
 * One still out of a file.
 *
 * @param raster upright, of working size
 * @param size of the picture in the file
 * @param delayMillis how long the file shows it, or 0 where it does not say
 * @param alone whether the file is this still and no other
 */
public record Gathered(Raster raster, Size size, int delayMillis, boolean alone) {}

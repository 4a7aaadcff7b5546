package dobbin.apng;

import dobbin.raster.Raster;

/**
 * One frame as a viewer shows it.
 *
 * @param picture the whole canvas, composited
 * @param delayMillis as written in the file, to the nearest millisecond; 0 where it is to be as short as can be
 */
public record ApngFrame(Raster picture, int delayMillis) {}

package dobbin.gif;

import dobbin.raster.Raster;

/**
 * One frame as a viewer shows it.
 *
 * @param picture the whole screen, composited
 * @param delayHundredths as written in the file, 0 to 65535 hundredths of a second
 */
public record GifFrame(Raster picture, int delayHundredths) {
    public int delayMillis() {
        return 10 * delayHundredths;
    }
}

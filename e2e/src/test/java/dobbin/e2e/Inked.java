package dobbin.e2e;

import dobbin.raster.Raster;
import java.util.Arrays;

/** How much of a picture is drawn on. */
final class Inked {
    private Inked() {}

    static int count(Raster picture) {
        return (int) Arrays.stream(picture.argb()).filter(pixel -> pixel != 0).count();
    }
}

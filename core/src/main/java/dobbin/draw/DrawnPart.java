package dobbin.draw;

import dobbin.raster.Bounds;
import dobbin.raster.BoundsBuilder;
import dobbin.raster.Raster;
import java.util.Optional;

/** Where on a layer anything is drawn. */
public final class DrawnPart {
    private DrawnPart() {}

    /** @return the box around all pixels that are not wholly transparent; nothing where all are */
    public static Optional<Bounds> of(Raster layer) {
        BoundsBuilder drawn = new BoundsBuilder();
        for (int y = 0; y < layer.height(); y++) {
            int row = y * layer.width();
            int first = 0;
            while (first < layer.width() && layer.argb()[row + first] == 0) {
                first++;
            }
            if (first == layer.width()) {
                continue;
            }
            int last = layer.width() - 1;
            while (layer.argb()[row + last] == 0) {
                last--;
            }
            drawn.add(first, y, last + 1, y + 1);
        }
        return Optional.of(drawn.bounds()).filter(box -> !box.isEmpty());
    }
}

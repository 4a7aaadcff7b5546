package dobbin.draw;

import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import java.util.Optional;

/** Where on a layer anything is drawn. */
public final class DrawnPart {
    private DrawnPart() {}

    /** @return the box around all pixels that are not wholly transparent; nothing where all are */
    public static Optional<Bounds> of(Raster layer) {
        int left = layer.width();
        int top = layer.height();
        int right = 0;
        int bottom = 0;
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
            left = Math.min(left, first);
            right = Math.max(right, last + 1);
            top = Math.min(top, y);
            bottom = y + 1;
        }
        return right == 0 ? Optional.empty() : Optional.of(new Bounds(left, top, right, bottom));
    }
}

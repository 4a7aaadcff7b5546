package dobbin.draw;

import dobbin.raster.Raster;
import java.util.function.Supplier;

/**
 * What a mark may go by besides the ink it is made on, all as large as the canvas; worked out only where it is asked for.
 *
 * @param still what lies under the ink
 * @param seen all of the frame
 * @param source the ink that is moved or copied here
 * @param art what is pressed into the ink, where it is pressed
 */
public record Scene(Supplier<Raster> still, Supplier<Raster> seen, Supplier<Raster> source, Supplier<Raster> art) {
    /** @return one in which nothing is seen but the ink itself */
    public static Scene of(Raster ink) {
        return new Scene(() -> ink, () -> ink, () -> ink, () -> ink);
    }
}

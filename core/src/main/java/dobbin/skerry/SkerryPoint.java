package dobbin.skerry;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** All that is drawn of Skerry Point. */
public final class SkerryPoint {
    private SkerryPoint() {}

    /** @return the folders of the visitor newsletter, drawn afresh: a second or two of work */
    public static List<DemoFolder> folders() {
        return List.of(
                new DemoFolder(
                        "Sunrise at Skerry Point", Sunrise.files(), 100, Map.of(1, 400, 24, 1200), 480, 128, true),
                new DemoFolder("Gull over the point", Gull.files(), 70, Map.of(), 420, 32, false),
                new DemoFolder("Last ferry at six", FerryBanner.files(), 90, Map.of(16, 1600), 640, 64, false),
                new DemoFolder("Little red sail", PixelBoat.files(), 120, Map.of(), 480, 16, false),
                new DemoFolder("The light", NightLight.files(), 100, Map.of(), 360, 128, true));
    }

    /** @return photographs of a sunrise, as decoded rasters: material for measuring */
    public static List<Raster> sunrise(int frames, Size size) {
        List<Raster> stills = new ArrayList<>();
        for (int i = 0; i < frames; i++) {
            BufferedImage still = Sunrise.still(1 + i % 24, size.width(), size.height());
            int[] argb = still.getRGB(0, 0, size.width(), size.height(), null, 0, size.width());
            stills.add(Raster.of(size, argb));
        }
        return stills;
    }
}

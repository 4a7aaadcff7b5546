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

    /** @return the folders of the visitor newsletter, drawn afresh: some seconds of work */
    public static List<DemoFolder> folders() {
        return List.of(sunrise(), gull(), ferry(), sail(), light());
    }

    /** @return hand-held photographs, one of another size, with names that sort badly */
    public static DemoFolder sunrise() {
        Map<Integer, Integer> holds = Map.of(1, 400, 24, 1200);
        return new DemoFolder("Sunrise at Skerry Point", Sunrise.files(), 100, holds, 420, 128, true);
    }

    /** @return an ink drawing on nothing */
    public static DemoFolder gull() {
        return new DemoFolder("Gull over the point", Gull.files(), 70, Map.of(), 420, 32, false);
    }

    /** @return a banner with lettering and a last pose that stays */
    public static DemoFolder ferry() {
        return new DemoFolder("Last ferry at six", FerryBanner.files(), 90, Map.of(16, 1600), 640, 64, false);
    }

    /** @return hard pixels in few colors */
    public static DemoFolder sail() {
        return new DemoFolder("Little red sail", PixelBoat.files(), 120, Map.of(), 480, 16, false);
    }

    /** @return one animation with uneven delays */
    public static DemoFolder light() {
        return new DemoFolder("The light", NightLight.files(), 100, Map.of(), 360, 128, true);
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

package dobbin.skerry;

import dobbin.dither.Dither;
import dobbin.edit.LeaveOut;
import dobbin.edit.NameRun;
import dobbin.edit.SetDelay;
import dobbin.edit.SetDelivery;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;

/** All that is drawn of Skerry Point. */
public final class SkerryPoint {
    private SkerryPoint() {}

    /** @return the folders of the visitor newsletter, drawn afresh: some seconds of work */
    public static List<DemoFolder> folders() {
        return List.of(sunrise(), gull(), ferry(), sail(), light(), crossing());
    }

    /** @return hand-held photographs, one of another size, with names that sort badly */
    public static DemoFolder sunrise() {
        return new DemoFolder(
                "Sunrise at Skerry Point",
                Sunrise.files(),
                100,
                List.of(
                        new SetDelay(List.of(1), 400),
                        new SetDelay(List.of(24), 1200),
                        new NameRun(List.of(7, 8, 9, 10, 11, 12), "First light"),
                        new LeaveOut(List.of(20), true),
                        new SetDelivery(420, 128, Dither.SIERRA_LITE, "")));
    }

    /** @return an ink drawing on nothing */
    public static DemoFolder gull() {
        return new DemoFolder(
                "Gull over the point", Gull.files(), 70, List.of(new SetDelivery(420, 32, Dither.NONE, "")));
    }

    /** @return a banner with lettering and a last pose that stays */
    public static DemoFolder ferry() {
        return new DemoFolder(
                "Last ferry at six",
                FerryBanner.files(),
                90,
                List.of(new SetDelay(List.of(16), 1600), new SetDelivery(640, 64, Dither.NONE, "")));
    }

    /** @return hard pixels in few colors */
    public static DemoFolder sail() {
        return new DemoFolder(
                "Little red sail", PixelBoat.files(), 120, List.of(new SetDelivery(480, 16, Dither.NONE, "")));
    }

    /** @return one animation with uneven delays */
    public static DemoFolder light() {
        return new DemoFolder(
                "The light", NightLight.files(), 100, List.of(new SetDelivery(360, 128, Dither.SIERRA_LITE, "")));
    }

    /** @return two stills, and cut-outs that move over them */
    public static DemoFolder crossing() {
        return Crossing.folder();
    }

    /** @return photographs that were taken with one hand, to be lined up */
    public static List<DemoFile> handHeld() {
        return HandHeld.files();
    }

    /** @return ten drawings on one sheet of paper, to be cut apart */
    public static DemoFile gullPlate() {
        return GullPlate.file();
    }

    /** @return the pictures of a clip, 20 a second, that loops every twelve */
    public static List<DemoFile> gullClip() {
        return GullClip.pictures();
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

package dobbin.skerry;

import dobbin.dither.Dithering;
import dobbin.gif.GifFile;
import dobbin.gif.GifSettings;
import dobbin.gif.LoopEncoder;
import dobbin.palette.ColorCloud;
import dobbin.palette.ColorTally;
import dobbin.palette.Palette;
import dobbin.palette.PaletteBuilder;
import dobbin.palette.PaletteTerms;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;

/** The light at night as someone's old GIF: the beam sweeps by, then darkness, in uneven delays. */
final class NightLight {
    private static final Size SIZE = new Size(360, 240);
    private static final int[] HUNDREDTHS = {90, 8, 8, 6, 6, 4, 12, 4, 6, 6, 8, 8};
    private static final float LAMP_X = 0.828f;
    private static final float LAMP_Y = 0.212f;

    private NightLight() {}

    static List<DemoFile> files() {
        BufferedImage night = new Coast(SIZE.width(), SIZE.height(), 0f, 0).draw();
        List<Raster> frames = new ArrayList<>();
        for (int frame = 0; frame < HUNDREDTHS.length; frame++) {
            frames.add(lit(night, frame));
        }
        return List.of(new DemoFile("the light.gif", gif(frames)));
    }

    /** A beam from the lamp, swinging from the left to the viewer and on. */
    private static Raster lit(BufferedImage night, int frame) {
        float swing = (frame - 6) / 5f;
        float strength = frame == 0 ? 0 : 1 - 0.55f * Math.abs(swing);
        LinearColor beam = LinearColor.of(0xFFF0C0);
        int[] argb = new int[Math.toIntExact(SIZE.area())];
        for (int y = 0; y < SIZE.height(); y++) {
            for (int x = 0; x < SIZE.width(); x++) {
                float dx = ((x + 0.5f) / SIZE.width() - LAMP_X) * 1.5f;
                float dy = (y + 0.5f) / SIZE.height() - LAMP_Y;
                float distance = (float) Math.sqrt(dx * dx + dy * dy);
                float facing = Math.signum(dx) == Math.signum(swing) ? 1 : 0;
                float width = 0.012f + 0.16f * distance;
                float cone = facing * (float) Math.exp(-squared((dy - 0.10f * distance) / width)) * Math.abs(swing);
                float glow = (float) Math.exp(-distance * (5 + 9 * Math.abs(swing)));
                float shine = strength * (0.5f * cone * (float) Math.exp(-distance * 0.9f) + 1.1f * glow);
                argb[y * SIZE.width() + x] = 0xFF000000
                        | LinearColor.of(night.getRGB(x, y)).plus(beam, shine).rgb();
            }
        }
        return Raster.of(SIZE, argb);
    }

    private static byte[] gif(List<Raster> frames) {
        ColorTally tally = new ColorTally();
        ColorCloud colors = ColorCloud.joined(frames.stream().map(tally::count).toList());
        Palette palette = PaletteBuilder.build(colors, PaletteTerms.seen(128, true, true));
        GifSettings settings = new GifSettings(palette, false, true, Dithering.USUAL, 0, 0, "");
        LoopEncoder encoder = new LoopEncoder(SIZE, settings, Runnable::run);
        frames.forEach(frame -> encoder.add(frame, palette));
        return GifFile.bytes(SIZE, settings, encoder.finish(), HUNDREDTHS);
    }

    private static float squared(float value) {
        return value * value;
    }
}

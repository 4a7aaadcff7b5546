package dobbin.draw;

import dobbin.raster.Raster;
import dobbin.raster.Size;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Layers of ink for tests, and pictures of them in letters. */
final class Inks {
    static final Pen INK = new Pen("202830", 100, 0, false, false);
    static final Pen PIXELS = new Pen("202830", 100, 0, true, false);

    private Inks() {}

    static Raster empty(int width, int height) {
        return Raster.filled(new Size(width, height), 0);
    }

    static Raster drawn(Raster ink, Mark... marks) {
        Raster all = ink;
        for (Mark mark : marks) {
            all = mark.on(all, Scene.of(all));
        }
        return all;
    }

    static Stroke stroke(Pen pen, Double... points) {
        return new Stroke(pen, List.of(points), Mirroring.NONE);
    }

    static Pen erasing(Pen pen) {
        return new Pen(pen.color(), pen.opacity(), pen.softness(), pen.hard(), true);
    }

    /** @return a row a line: a dot where nothing is drawn, # where all of the pixel is, + where some */
    static String picture(Raster ink) {
        return IntStream.range(0, ink.height())
                .mapToObj(y -> IntStream.range(0, ink.width())
                        .mapToObj(x -> {
                            int alpha = ink.pixel(x, y) >>> 24;
                            return alpha == 0 ? "." : alpha == 255 ? "#" : "+";
                        })
                        .collect(Collectors.joining()))
                .collect(Collectors.joining("\n"));
    }

    static Raster mirrored(Raster ink, boolean across, boolean down) {
        int[] argb = new int[ink.argb().length];
        for (int y = 0; y < ink.height(); y++) {
            for (int x = 0; x < ink.width(); x++) {
                argb[y * ink.width() + x] =
                        ink.pixel(across ? ink.width() - 1 - x : x, down ? ink.height() - 1 - y : y);
            }
        }
        return Raster.of(ink.size(), argb);
    }

    static long inked(Raster ink) {
        return Arrays.stream(ink.argb()).filter(pixel -> pixel != 0).count();
    }
}

package dobbin.slim;

import dobbin.dither.Dither;
import dobbin.dither.Dithering;
import dobbin.dither.Indexer;
import dobbin.palette.ColorCloud;
import dobbin.palette.ColorTally;
import dobbin.palette.NearestColor;
import dobbin.palette.Palette;
import dobbin.palette.PaletteBuilder;
import dobbin.palette.PaletteTerms;
import dobbin.raster.Bounds;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Delivery;

/** A piece of one's own picture under every dither, each with the palette it would get. */
public final class DitherPatches {
    private static final int WIDTH = 72;
    private static final int HEIGHT = 44;
    private static final int STEP = 12;

    private DitherPatches() {}

    /**
     * @param frame as it is delivered, its edges hard
     * @return the patches one below the other, in the order of {@link Dither}
     */
    public static Raster of(Raster frame, Delivery delivery) {
        ColorCloud cloud = new ColorTally().count(frame);
        Bounds part = part(frame);
        Size size = new Size(part.width(), part.height() * Dither.values().length);
        int[] all = new int[Math.toIntExact(size.area())];
        for (Dither dither : Dither.values()) {
            Dithering dithering = new Dithering(
                    dither,
                    delivery.encoding().ditherAmount(),
                    delivery.dithering().keptColors());
            PaletteTerms terms =
                    delivery.withDithering(dither, dithering.amount()).paletteTerms(true);
            Palette palette = PaletteBuilder.build(cloud, terms);
            byte[] indices =
                    Indexer.indices(frame.argb(), frame.width(), part, null, new NearestColor(palette), dithering);
            int start = dither.ordinal() * indices.length;
            for (int i = 0; i < indices.length; i++) {
                int index = indices[i] & 0xFF;
                all[start + i] = index == palette.transparentIndex() ? 0 : 0xFF000000 | palette.rgb(index);
            }
        }
        return Raster.of(size, all);
    }

    /** The part with the most gentle change: where dithers differ. */
    private static Bounds part(Raster frame) {
        int width = Math.min(WIDTH, frame.width());
        int height = Math.min(HEIGHT, frame.height());
        Bounds best = new Bounds(0, 0, width, height);
        long most = -1;
        for (int y = 0; y + height <= frame.height(); y += STEP) {
            for (int x = 0; x + width <= frame.width(); x += STEP) {
                Bounds part = new Bounds(x, y, x + width, y + height);
                long gentle = gentle(frame, part);
                if (gentle > most) {
                    most = gentle;
                    best = part;
                }
            }
        }
        return best;
    }

    private static long gentle(Raster frame, Bounds part) {
        int[] argb = frame.argb();
        boolean[] seen = new boolean[1 << 15];
        int colors = 0;
        long edges = 0;
        for (int y = part.top(); y < part.bottom(); y += 2) {
            for (int at = y * frame.width() + part.left() + 1, end = at + part.width() - 1; at < end; at += 2) {
                int pixel = argb[at];
                int bin = pixel >> 9 & 0x7C00 | pixel >> 6 & 0x3E0 | pixel >> 3 & 0x1F;
                if (pixel != 0 && !seen[bin]) {
                    seen[bin] = true;
                    colors++;
                }
                edges += Math.abs((pixel >> 8 & 0xFF) - (argb[at - 1] >> 8 & 0xFF)) > STEP ? 1 : 0;
            }
        }
        return 40L * colors - edges;
    }
}

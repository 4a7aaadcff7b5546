package dobbin.slim;

import dobbin.dither.Dither;
import dobbin.edit.Edit;
import dobbin.edit.SetDelivery;
import dobbin.palette.ColorChoice;
import dobbin.palette.PaletteChoice;
import dobbin.raster.Raster;
import dobbin.raster.Size;
import dobbin.reel.Coloring;
import dobbin.reel.Crop;
import dobbin.reel.Delivery;
import dobbin.reel.Encoding;
import dobbin.reel.Framing;
import dobbin.reel.Reel;
import dobbin.reel.Scaling;
import dobbin.skerry.SkerryPoint;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * A loop and how it is delivered, drawn at random.
 *
 * @param rasters its frames
 */
record AnyDelivery(List<Raster> rasters, Delivery delivery) {
    private static final Size SIZE = new Size(28, 20);
    private static final int[] LENGTHS = {1, 2, 6};
    private static final List<Raster> SUNRISE = SkerryPoint.sunrise(6, SIZE);
    /** Colors whose number a palette just holds, or just does not, come about this often. */
    private static final double NEAR_THE_EDGE = 0.4;

    static AnyDelivery ofSeed(int seed) {
        Random random = new Random(seed);
        List<Raster> rasters = loop(random, LENGTHS[random.nextInt(LENGTHS.length)]);
        return new AnyDelivery(rasters, delivery(random, rasters));
    }

    Reel reel() {
        return Edit.apply(new SetDelivery(delivery), Loops.reel(rasters));
    }

    @Override
    public String toString() {
        return rasters.size() + " frames, " + distinct(rasters) + " colors, " + delivery;
    }

    private static List<Raster> loop(Random random, int frames) {
        return switch (random.nextInt(4)) {
            case 0 -> SUNRISE.subList(0, frames);
            case 1 ->
                changing(random, frames, random.nextInt(4) == 0 ? 240 + random.nextInt(40) : 2 + random.nextInt(40), 0);
            case 2 -> changing(random, frames, 2 + random.nextInt(30), 0.3);
            default -> List.copyOf(java.util.Collections.nCopies(frames, Raster.filled(SIZE, color(random))));
        };
    }

    /** Frames of so many colors, of which a part changes each time, and some pixels within that part do not. */
    private static List<Raster> changing(Random random, int frames, int colors, double transparent) {
        int[] all = IntStream.range(0, colors).map(i -> color(random)).toArray();
        int[] argb =
                IntStream.range(0, (int) SIZE.area()).map(i -> all[i % colors]).toArray();
        List<Raster> loop = new ArrayList<>();
        for (int frame = 0; frame < frames; frame++) {
            int left = random.nextInt(SIZE.width());
            int top = random.nextInt(SIZE.height());
            for (int i = 0; i < argb.length; i++) {
                boolean inPart = i % SIZE.width() >= left && i / SIZE.width() >= top;
                if (inPart && random.nextInt(3) > 0) {
                    argb[i] = random.nextDouble() < transparent
                            ? random.nextInt(255) << 24 | 0x405060
                            : all[random.nextInt(colors)];
                }
            }
            loop.add(Raster.of(SIZE, argb.clone()));
        }
        return loop;
    }

    private static int color(Random random) {
        return 0xFF000000 | random.nextInt(0x1000000);
    }

    private static long distinct(List<Raster> rasters) {
        return rasters.stream()
                .flatMapToInt(raster -> Arrays.stream(raster.argb()))
                .filter(argb -> argb != 0)
                .distinct()
                .count();
    }

    private static Delivery delivery(Random random, List<Raster> rasters) {
        int colors = 2 + random.nextInt(random.nextBoolean() ? 255 : 31);
        if (random.nextDouble() < NEAR_THE_EDGE) {
            colors = (int) Math.max(2, Math.min(256, distinct(rasters) - 1 + random.nextInt(3)));
        }
        String matte = random.nextInt(3) == 0 ? hex(random) : "";
        return new Delivery(
                framing(random),
                colors,
                coloring(random),
                any(random, Dither.values()),
                matte,
                !matte.isEmpty() && random.nextBoolean(),
                encoding(random, rasters, colors));
    }

    private static Framing framing(Random random) {
        Crop crop = random.nextInt(3) > 0
                ? Crop.WHOLE
                : new Crop(random.nextInt(9), random.nextInt(9), 1 + random.nextInt(19), 1 + random.nextInt(11));
        int size = random.nextInt(4);
        return new Framing(
                crop,
                size == 1 ? 1 + random.nextInt(40) : Framing.FOLLOWS,
                size == 2 ? 1 + random.nextInt(30) : Framing.FOLLOWS,
                size == 3 ? 1 + random.nextInt(3) : 1,
                any(random, Scaling.values()),
                random.nextInt(3) == 0 ? 2 + random.nextInt(3) : 1);
    }

    private static Coloring coloring(Random random) {
        ColorChoice choice = any(random, ColorChoice.values());
        int own = choice == ColorChoice.OWN ? 1 + random.nextInt(30) : 0;
        return new Coloring(
                choice, IntStream.range(0, own).mapToObj(i -> hex(random)).toList());
    }

    private static Encoding encoding(Random random, List<Raster> rasters, int colors) {
        int kept = random.nextInt(3) == 0 ? random.nextInt(Math.min(4, colors)) : 0;
        int[] argb = rasters.get(0).argb();
        List<String> keptColors = IntStream.range(0, kept)
                .mapToObj(i -> random.nextBoolean()
                        ? hex(random)
                        : String.format(Locale.ROOT, "%06x", argb[random.nextInt(argb.length)] & 0xFFFFFF))
                .toList();
        return new Encoding(
                random.nextInt(4) == 0 ? 0 : random.nextInt(101),
                any(random, PaletteChoice.values()),
                random.nextInt(3) == 0 ? 0 : 1 + random.nextInt(100),
                1 + random.nextInt(255),
                keptColors,
                "");
    }

    private static String hex(Random random) {
        return String.format(Locale.ROOT, "%06x", random.nextInt(0x1000000));
    }

    private static <T> T any(Random random, T[] values) {
        return values[random.nextInt(values.length)];
    }
}

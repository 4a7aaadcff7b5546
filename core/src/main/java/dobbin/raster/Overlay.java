package dobbin.raster;

import dobbin.color.LinearLight;
import java.util.Optional;

/** Many frames seen together. Frames are given one after the other and not kept. */
public final class Overlay {
    private static final int OPAQUE = 0xFF000000;
    /** How strongly what differs from the mean shows through it. */
    private static final float SHOWN = 0.6f;

    private final Size size;
    private final double[] sums;
    private final int[] first;
    /** The color that was farthest from the first frame's, and how far. */
    private final int[] farthest;

    private final int[] distance;
    private final boolean[] changes;
    private int frames;

    public Overlay(Size size) {
        int area = Math.toIntExact(size.area());
        this.size = size;
        this.sums = new double[4 * area];
        this.first = new int[area];
        this.farthest = new int[area];
        this.distance = new int[area];
        this.changes = new boolean[area];
    }

    public void add(Raster frame) {
        int[] argb = frame.argb();
        for (int i = 0; i < argb.length; i++) {
            int pixel = argb[i];
            int alpha = pixel >>> 24;
            sums[4 * i] += alpha * LinearLight.of(pixel >> 16 & 0xFF);
            sums[4 * i + 1] += alpha * LinearLight.of(pixel >> 8 & 0xFF);
            sums[4 * i + 2] += alpha * LinearLight.of(pixel & 0xFF);
            sums[4 * i + 3] += alpha;
            if (frames == 0) {
                first[i] = pixel;
                farthest[i] = pixel;
            } else if (pixel != first[i]) {
                changes[i] = true;
                int apart = apart(pixel, first[i]);
                if (apart > distance[i]) {
                    distance[i] = apart;
                    farthest[i] = pixel;
                }
            }
        }
        frames++;
    }

    /** @return the mean of all, and through it what any of them has that the first has not: nothing that moves is missed */
    public Raster together() {
        int[] argb = new int[first.length];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = changes[i] && farthest[i] >>> 24 > 0 ? mixed(mean(i), farthest[i]) : mean(i);
        }
        return Raster.of(size, argb);
    }

    /** @return the box outside which every frame is empty or of one unchanging color; empty where all is that */
    public Optional<Bounds> content() {
        int ground = first[0];
        Bounds box = null;
        for (int i = 0; i < first.length; i++) {
            boolean plain = !changes[i] && (first[i] >>> 24 == 0 || first[i] == ground);
            if (!plain) {
                int x = i % size.width();
                int y = i / size.width();
                box = box == null
                        ? new Bounds(x, y, x + 1, y + 1)
                        : new Bounds(
                                Math.min(box.left(), x),
                                Math.min(box.top(), y),
                                Math.max(box.right(), x + 1),
                                Math.max(box.bottom(), y + 1));
            }
        }
        return Optional.ofNullable(box);
    }

    private int mean(int i) {
        double alpha = sums[4 * i + 3];
        if (alpha == 0) {
            return 0;
        }
        int opacity = (int) Math.round(alpha / frames);
        return opacity << 24
                | LinearLight.toSrgb((float) (sums[4 * i] / alpha)) << 16
                | LinearLight.toSrgb((float) (sums[4 * i + 1] / alpha)) << 8
                | LinearLight.toSrgb((float) (sums[4 * i + 2] / alpha));
    }

    private static int mixed(int under, int over) {
        int mixed = OPAQUE;
        for (int shift = 16; shift >= 0; shift -= 8) {
            int a = under >> shift & 0xFF;
            mixed |= Math.round(a + ((over >> shift & 0xFF) - a) * SHOWN) << shift;
        }
        return mixed;
    }

    private static int apart(int a, int b) {
        return Math.abs((a >>> 24) - (b >>> 24))
                + Math.abs((a >> 16 & 0xFF) - (b >> 16 & 0xFF))
                + Math.abs((a >> 8 & 0xFF) - (b >> 8 & 0xFF))
                + Math.abs((a & 0xFF) - (b & 0xFF));
    }
}

package dobbin.plate;

import dobbin.raster.Raster;
import dobbin.raster.Size;

/**
 * Makes the ground of a drawing transparent. Pixels at the edge are mixtures of ground and drawing: each gets the share of
 * the drawing as its alpha and the drawing's color, so that no rim is left on another ground. The drawing's color is taken
 * from the pixel near by that is farthest from the ground's.
 */
final class Clearing {
    /** How far from the ground mixtures reach, in pixels. */
    private static final int REACH = 2;

    private static final double WHOLE = 0.97;

    private final Ground ground;
    private final Size size;
    private final int[] argb;
    private final boolean[] cleared;

    private Clearing(Raster piece, Ground ground, double tolerance, boolean enclosed) {
        this.ground = ground;
        this.size = piece.size();
        this.argb = piece.argb();
        boolean[] ink = ground.ink(piece, tolerance);
        this.cleared = enclosed ? inverse(ink) : outside(ink, size);
    }

    static Raster of(Raster piece, Ground ground, double tolerance, boolean enclosed) {
        return ground.transparent() ? piece : new Clearing(piece, ground, tolerance, enclosed).picture();
    }

    private static boolean[] inverse(boolean[] ink) {
        boolean[] inverse = new boolean[ink.length];
        for (int i = 0; i < ink.length; i++) {
            inverse[i] = !ink[i];
        }
        return inverse;
    }

    /** @return the ground that is reached from the edge */
    private static boolean[] outside(boolean[] ink, Size size) {
        boolean[] outside = new boolean[ink.length];
        int[] stack = new int[ink.length];
        int depth = 0;
        for (int i = 0; i < ink.length; i++) {
            int x = i % size.width();
            int y = i / size.width();
            boolean atEdge = x == 0 || y == 0 || x == size.width() - 1 || y == size.height() - 1;
            if (atEdge && !ink[i]) {
                outside[i] = true;
                stack[depth++] = i;
            }
        }
        while (depth > 0) {
            int at = stack[--depth];
            int x = at % size.width();
            for (int side = 0; side < 4; side++) {
                int next = at + (side == 0 ? -1 : side == 1 ? 1 : side == 2 ? -size.width() : size.width());
                boolean isInside =
                        next >= 0 && next < ink.length && (side > 1 || next / size.width() == at / size.width());
                if (isInside && !ink[next] && !outside[next]) {
                    outside[next] = true;
                    stack[depth++] = next;
                }
            }
        }
        return outside;
    }

    private Raster picture() {
        int[] clear = new int[argb.length];
        for (int y = 0; y < size.height(); y++) {
            for (int x = 0; x < size.width(); x++) {
                int at = y * size.width() + x;
                clear[at] = cleared[at] ? 0 : isNearGround(x, y) ? unmixed(argb[at], purest(x, y)) : argb[at];
            }
        }
        return Raster.of(size, clear);
    }

    private boolean isNearGround(int x, int y) {
        for (int v = Math.max(0, y - REACH); v <= Math.min(size.height() - 1, y + REACH); v++) {
            for (int u = Math.max(0, x - REACH); u <= Math.min(size.width() - 1, x + REACH); u++) {
                if (cleared[v * size.width() + u]) {
                    return true;
                }
            }
        }
        return false;
    }

    private int purest(int x, int y) {
        int purest = argb[y * size.width() + x];
        int farthest = -1;
        for (int v = Math.max(0, y - REACH); v <= Math.min(size.height() - 1, y + REACH); v++) {
            for (int u = Math.max(0, x - REACH); u <= Math.min(size.width() - 1, x + REACH); u++) {
                int pixel = argb[v * size.width() + u];
                int far = along(pixel, pixel);
                if (far > farthest) {
                    farthest = far;
                    purest = pixel;
                }
            }
        }
        return purest;
    }

    /** @return how far both colors go the same way from the ground's, as a product */
    private int along(int a, int b) {
        int sum = 0;
        for (int shift = 0; shift < 24; shift += 8) {
            int base = ground.rgb() >> shift & 0xFF;
            sum += ((a >> shift & 0xFF) - base) * ((b >> shift & 0xFF) - base);
        }
        return sum;
    }

    /** @param pure the drawing's color, of which {@code mixed} has a share */
    private int unmixed(int mixed, int pure) {
        int whole = along(pure, pure);
        double share = whole == 0 ? 1 : Math.max(0, Math.min(1, (double) along(mixed, pure) / whole));
        if (share >= WHOLE) {
            return mixed;
        }
        int alpha = (int) Math.round(share * (mixed >>> 24));
        int result = alpha;
        for (int shift = 16; shift >= 0; shift -= 8) {
            int base = ground.rgb() >> shift & 0xFF;
            double channel = share == 0 ? 0 : base + ((mixed >> shift & 0xFF) - base) / share;
            result = result << 8 | (int) Math.max(0, Math.min(255, Math.round(channel)));
        }
        return alpha == 0 ? 0 : result;
    }
}

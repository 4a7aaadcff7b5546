package dobbin.gif;

import dobbin.raster.Bounds;
import dobbin.raster.BoundsBuilder;
import dobbin.raster.Size;
import java.util.Arrays;
import java.util.Set;

/**
 * Where a frame differs from what viewers see, so that it must be drawn.
 *
 * <p>With a tolerance, a pixel is held although it differs where no channel is off by more than the tolerance allows and
 * the differences around it cancel out: noise does, a slow drift does not, and is drawn. What is compared with is always
 * the color that was last drawn there, so that nothing adds up from frame to frame.
 */
final class Change {
    private static final int TILE_WIDTH = Calm.TILE_WIDTH;
    private static final int TILE_HEIGHT = Calm.TILE_HEIGHT;
    private static final int TILE_AREA = TILE_WIDTH * TILE_HEIGHT;
    /** If a larger share of a tile than this changed for good, the rest of the tile is no noise either. */
    private static final int RESTLESS = 10;
    /** A tolerance of 20 (percent) lets a channel be off by 6, and a tile's mean by 1.2, of 255. */
    private static final float CHANNEL_PER_TOLERANCE = 0.3f;

    private static final float MEAN_PER_CHANNEL = 0.2f;
    private static final int ALPHA_SHIFT = 24;
    private static final byte HELD = 1;
    private static final byte DRAWN = 0;
    private static final byte UNDECIDED = 2;

    private final int[] shown;
    private final int[] wanted;
    private final int width;
    private final int height;
    private final int channelLimit;
    private final float meanLimit;
    private final Set<Integer> keptColors;
    private final boolean keepsColors;
    private final Calm calm;
    private final byte[] held;
    /** Null where nothing returns. */
    private boolean[] returned;

    private int drawn;
    private boolean exact = true;
    private final BoundsBuilder box = new BoundsBuilder();
    private final BoundsBuilder vanishing = new BoundsBuilder();

    private Change(int[] shown, int[] wanted, Size size, int tolerance, Set<Integer> keptColors, Calm calm) {
        this.calm = calm;
        this.shown = shown;
        this.wanted = wanted;
        this.width = size.width();
        this.height = size.height();
        this.channelLimit = (int) (tolerance * CHANNEL_PER_TOLERANCE);
        this.meanLimit = channelLimit * MEAN_PER_CHANNEL;
        this.keptColors = keptColors;
        this.keepsColors = !keptColors.isEmpty();
        this.held = new byte[shown.length];
    }

    /**
     * @param shown what viewers see, opaque colors or 0
     * @param wanted what they shall see
     * @param tolerance 0 to 100
     * @param keptColors colors, 0xRRGGBB, that are drawn unless they are there to the last bit
     * @param calm what pixels were in calm; what returns to that is drawn, too
     */
    static Change between(int[] shown, int[] wanted, Size size, int tolerance, Set<Integer> keptColors, Calm calm) {
        Change change = new Change(shown, wanted, size, tolerance, keptColors, calm);
        for (int y = 0; y < change.height; y += TILE_HEIGHT) {
            change.strip(y, Math.min(y + TILE_HEIGHT, change.height));
        }
        return change;
    }

    /** @return for each pixel 1 where it is held, else 0 */
    byte[] held() {
        return held;
    }

    /** @return for each pixel whether it is drawn since it returns to what it was in calm; null where none does */
    boolean[] returned() {
        return returned;
    }

    /** @return how many pixels must be drawn */
    int drawn() {
        return drawn;
    }

    /** @return whether all that is held is the same to the last bit */
    boolean exact() {
        return exact;
    }

    /** @return the box of what must be drawn; empty where nothing must */
    Bounds box() {
        return box.bounds();
    }

    /** @return the box of what must become transparent, which drawing cannot do; empty where nothing must */
    Bounds vanishing() {
        return vanishing.bounds();
    }

    /** Only the tiles from the first pixel to the last that differ are looked at; most strips of most loops have none. */
    private void strip(int y0, int y1) {
        Arrays.fill(held, y0 * width, y1 * width, HELD);
        int first = width;
        int end = 0;
        for (int y = y0; y < y1; y++) {
            int row = y * width;
            int same = Arrays.mismatch(shown, row, row + first, wanted, row, row + first);
            first = same < 0 ? first : same;
            int last = row + width;
            while (last > row + end && shown[last - 1] == wanted[last - 1]) {
                last--;
            }
            end = Math.max(end, last - row);
        }
        for (int x = first - first % TILE_WIDTH; x < end; x += TILE_WIDTH) {
            int x1 = Math.min(x + TILE_WIDTH, width);
            if (!isPlain(x, y0, x1, y1)) {
                tile(x, y0, x1, y1);
            }
        }
    }

    /**
     * Settles a tile in which nothing but noise changes, or nearly everything does. {@link #tile} would do the same, but has
     * to think about each pixel.
     *
     * @return false where it is another kind of tile
     */
    private boolean isPlain(int x0, int y0, int x1, int y1) {
        int flips = 0;
        int differing = 0;
        int restless = 0;
        boolean returning = false;
        int red = 0;
        int green = 0;
        int blue = 0;
        for (int y = y0; y < y1; y++) {
            for (int at = y * width + x0, end = y * width + x1; at < end; at++) {
                int is = shown[at];
                int shall = wanted[at];
                int dr = (shall >> 16 & 0xFF) - (is >> 16 & 0xFF);
                int dg = (shall >> 8 & 0xFF) - (is >> 8 & 0xFF);
                int db = (shall & 0xFF) - (is & 0xFF);
                int worst = Math.max(Math.abs(dr), Math.max(Math.abs(dg), Math.abs(db)));
                flips |= is ^ shall;
                differing += is == shall ? 0 : 1;
                returning |= is != shall && calm.knows(at, shall);
                restless += worst > channelLimit ? 1 : 0;
                red += dr;
                green += dg;
                blue += db;
            }
        }
        if (flips >>> ALPHA_SHIFT != 0 || returning || keepsColors && differing > 0) {
            return false;
        }
        if (restless == 0 && isNoise(red, green, blue, (x1 - x0) * (y1 - y0))) {
            exact &= differing == 0;
            return true;
        }
        if (restless > RESTLESS) {
            drawWhatDiffers(x0, y0, x1, y1, differing);
            return true;
        }
        return false;
    }

    private void drawWhatDiffers(int x0, int y0, int x1, int y1, int differing) {
        for (int y = y0; y < y1; y++) {
            for (int at = y * width + x0, end = y * width + x1; at < end; at++) {
                held[at] = shown[at] == wanted[at] ? HELD : DRAWN;
            }
        }
        if (differing == (x1 - x0) * (y1 - y0)) {
            drawn += differing;
            box.add(x0, y0, x1, y1);
        } else {
            look(x0, y0, x1, y1);
        }
    }

    private void tile(int x0, int y0, int x1, int y1) {
        int undecided = 0;
        int restless = 0;
        int red = 0;
        int green = 0;
        int blue = 0;
        for (int y = y0; y < y1; y++) {
            for (int at = y * width + x0, end = y * width + x1; at < end; at++) {
                int is = shown[at];
                int shall = wanted[at];
                if (is == shall) {
                    continue;
                }
                boolean returns = calm.knows(at, shall) && shall != 0;
                if (returns) {
                    returned = returned == null ? new boolean[held.length] : returned;
                    returned[at] = true;
                }
                if (returns
                        || restless > RESTLESS
                        || is == 0
                        || shall == 0
                        || keepsColors && keptColors.contains(shall & 0xFFFFFF)) {
                    if (shall == 0) {
                        vanish(at);
                    }
                    held[at] = DRAWN;
                    restless++;
                    continue;
                }
                int dr = (shall >> 16 & 0xFF) - (is >> 16 & 0xFF);
                int dg = (shall >> 8 & 0xFF) - (is >> 8 & 0xFF);
                int db = (shall & 0xFF) - (is & 0xFF);
                if (Math.max(Math.abs(dr), Math.max(Math.abs(dg), Math.abs(db))) > channelLimit) {
                    held[at] = DRAWN;
                    restless++;
                    continue;
                }
                held[at] = UNDECIDED;
                undecided++;
                red += dr;
                green += dg;
                blue += db;
            }
        }
        int pixels = (x1 - x0) * (y1 - y0);
        if (undecided > 0) {
            boolean hold = restless <= RESTLESS && isNoise(red, green, blue, pixels - restless);
            decide(x0, y0, x1, y1, hold);
            restless += hold ? 0 : undecided;
        }
        if (restless == pixels) {
            drawn += pixels;
            box.add(x0, y0, x1, y1);
        } else if (restless > 0) {
            look(x0, y0, x1, y1);
        }
    }

    /** The mean of fewer pixels strays more. */
    private boolean isNoise(int red, int green, int blue, int pixels) {
        double limit = meanLimit * Math.sqrt((double) TILE_AREA * pixels);
        return Math.abs(red) <= limit && Math.abs(green) <= limit && Math.abs(blue) <= limit;
    }

    private void decide(int x0, int y0, int x1, int y1, boolean hold) {
        exact &= !hold;
        for (int y = y0; y < y1; y++) {
            for (int at = y * width + x0, end = y * width + x1; at < end; at++) {
                if (held[at] == UNDECIDED) {
                    held[at] = hold ? HELD : DRAWN;
                }
            }
        }
    }

    private void look(int x0, int y0, int x1, int y1) {
        for (int y = y0; y < y1; y++) {
            for (int x = x0; x < x1; x++) {
                if (held[y * width + x] == DRAWN) {
                    drawn++;
                    box.add(x, y);
                }
            }
        }
    }

    private void vanish(int at) {
        vanishing.add(at % width, at / width);
    }
}
